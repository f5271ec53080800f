import { applyHomography, fromUnitSquare, type Quad, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { sharesOf } from "../rhythm";
import { MAX_PARTS, type Part } from "../rhythm";

/** A line by its two ends. */
export type Stretch = readonly [Vec2, Vec2];

/** How a quadrilateral is divided, and repeated along its columns. */
export interface Division {
  /** From its first side (corners 1 and 4) to the opposite one. */
  readonly columns: readonly Part[];
  /** From its first edge (corners 1 and 2) to the opposite one. */
  readonly rows?: readonly Part[];
  /** How often it is repeated before its first side, and after the opposite one. */
  readonly before?: number;
  readonly after?: number;
}

/** A divided quadrilateral. */
export interface Divided {
  readonly centre: Vec2;
  /** Its sides, the lines between its columns, and those of its repeats, in their order along it. */
  readonly columns: readonly Stretch[];
  readonly rows: readonly Stretch[];
  /** The middle lines, across and along. */
  readonly halves: readonly [Stretch, Stretch];
}

/** The sine of the flattest corner that still tells something. */
const FLAT = 1e-4;

/**
 * Why four corners are not the picture of a rectangle, or null.
 */
export function quadProblem(quad: Quad): string | null {
  const turns = quad.map((p, i) => {
    const [q, r] = [quad[(i + 1) % 4], quad[(i + 2) % 4]];
    const [ax, ay, bx, by] = [q[0] - p[0], q[1] - p[1], r[0] - q[0], r[1] - q[1]];
    const long = Math.hypot(ax, ay) * Math.hypot(bx, by);
    return long > 0 ? (ax * by - ay * bx) / long : 0;
  });
  const flat = turns.findIndex((turn) => Math.abs(turn) < FLAT);
  if (flat >= 0) return `Corners ${[0, 1, 2].map((k) => ((flat + k) % 4) + 1).join(", ")} lie on one line.`;
  const left = turns.filter((turn) => turn > 0).length;
  if (left === 2) return "The corners cross: press them in their order around.";
  if (left === 1 || left === 3) {
    const odd = turns.findIndex((turn) => turn > 0 === (left === 1));
    return `Corner ${((odd + 1) % 4) + 1} lies inside the other three.`;
  }
  return null;
}

/** A line of a quadrilateral between two places of the unit square. */
type Between = (from: Vec2, to: Vec2) => Stretch;

/** Maps the unit square, and what goes on around it, to a quadrilateral. @throws NoAnswer for corners that are none */
export function onQuad(quad: Quad): (place: Vec2) => Vec2 {
  const problem = quadProblem(quad);
  if (problem) throw new NoAnswer(problem);
  const homography = fromUnitSquare(quad);
  return (place) => {
    const at = applyHomography(homography, place);
    if (!at) throw new NoAnswer("It would go on behind the eye: repeat it fewer times.");
    return at;
  };
}

/**
 * A quadrilateral on paper, taken for the picture of a rectangle, divided and repeated by the homography from the unit
 * square.
 * @throws NoAnswer where the corners are crossed, flat or inside each other, or a repeat would lie behind the eye
 */
export function divideQuad(quad: Quad, { columns, rows = [], before = 0, after = 0 }: Division): Divided {
  const at = onQuad(quad);
  if ((before + after + 1) * columns.length > MAX_PARTS) throw new NoAnswer(`More than ${MAX_PARTS} columns.`);
  const line: Between = (from, to) => [at(from), at(to)];
  const own = sharesOf(columns);
  const turns = Array.from({ length: before + after + 1 }, (_, i) => i - before);
  const across = turns.flatMap((turn, i) => (i === 0 ? own : own.slice(1)).map((share) => turn + share));
  return {
    centre: at([0.5, 0.5]),
    columns: across.map((u) => line([u, 0], [u, 1])),
    rows: rows.length > 0 ? sharesOf(rows).map((v) => line([-before, v], [1 + after, v])) : [],
    halves: [line([0.5, 0], [0.5, 1]), line([0, 0.5], [1, 0.5])],
  };
}
