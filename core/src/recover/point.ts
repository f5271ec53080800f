import { add, cross, degrees, seededRandom, scale, unit, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { crossing, halfLength, linesOf, residual, weightOf, type Lines, type Norm, type Segment } from "./segments";

/** Where the edges of one family meet, and how sure that is. */
export interface RecoveredPoint {
  /** Homogeneous, of length 1, in the norm of the picture. */
  readonly direction: Vec3;
  /** Picture px; null for edges that run parallel, or as good as. */
  readonly at: Vec2 | null;
  /** Degrees clockwise from right that the edges run at, for a point at infinity. */
  readonly angle: number | null;
  /** Covariance of `at`, px^2; null at infinity, and from edges that leave it open. */
  readonly covariance: readonly [readonly [number, number], readonly [number, number]] | null;
  /** How far each edge misses the point, px: of its ends from the line to the point that fits it best. */
  readonly residuals: readonly number[];
  /** The same as the turn of the edge about its middle, degrees. */
  readonly turns: readonly number[];
  /** Indices of edges that are probably not parallel to the others. */
  readonly strays: readonly number[];
}

/** An edge that misses by more standard deviations than this is a stray. */
const STRAY = 3.5;
/** A start is looked for among so many pairs, and judged by so many edges at most. */
const PAIRS = 300;
const JUDGES = 400;
/** Farther than this many picture widths, a point counts as at infinity. */
const FAR = 1e5;

/** The crossing of a pair of edges that most of the others agree with, each counting by how little it misses. */
function start(lines: Lines, limit: number, seed: number): Vec3 | null {
  const roll = seededRandom(seed);
  const { count } = lines;
  const judges = count <= JUDGES ? [...Array(count).keys()] : Array.from({ length: JUDGES }, () => roll(count));
  const every = (count * (count - 1)) / 2;
  let [best, least] = [null as Vec3 | null, Infinity];
  const judge = (i: number, k: number) => {
    const v = crossing(lines, i, k);
    if (!v) return;
    let cost = 0;
    for (const j of judges) cost += Math.min(1, (residual(lines, j, v) / limit) ** 2);
    if (cost < least) [best, least] = [v, cost];
  };
  if (every <= PAIRS) for (let i = 0; i < count; i++) for (let k = 0; k < i; k++) judge(i, k);
  else {
    for (let n = 0; n < PAIRS; n++) {
      const [i, k] = [roll(count), roll(count)];
      if (i !== k) judge(i, k);
    }
  }
  return best;
}

/** Two directions at right angles to one, and to each other. */
export function tangents(v: Vec3): readonly [Vec3, Vec3] {
  const a = unit(cross(v, Math.abs(v[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
  return [a, cross(v, a)];
}

/** A direction moved within the plane that touches the sphere there. */
const moved = (v: Vec3, [a, b]: readonly [Vec3, Vec3], [p, q]: readonly number[]): Vec3 =>
  unit(add(v, add(scale(a, p), scale(b, q))));

/** Rounds of the refinement, and the step (radians) by which a residual is differenced. */
const ROUNDS = 25;
const STEP = 1e-7;

interface Refined {
  readonly v: Vec3;
  /** The plane that touches the sphere there, and the covariance in it; null where the edges leave it open. */
  readonly plane: readonly [Vec3, Vec3];
  readonly covariance: readonly (readonly number[])[] | null;
}

/** Sum of squared residuals of the kept edges at a direction. */
function costAt(lines: Lines, kept: readonly number[], v: Vec3): number {
  let cost = 0;
  for (const i of kept) cost += residual(lines, i, v) ** 2;
  return cost;
}

/**
 * The direction of least squared residuals of the kept edges from a start: Gauss and Newton's method in the plane that
 * touches the sphere, damped where a step would be for the worse.
 */
function refined(lines: Lines, kept: readonly number[], from: Vec3, sigma: number): Refined {
  let [v, cost, damping] = [from, costAt(lines, kept, from), 0];
  for (let round = 0; ; round++) {
    const plane = tangents(v);
    const [a, b] = [moved(v, plane, [STEP, 0]), moved(v, plane, [0, STEP])];
    let [aa, ab, bb, ga, gb] = [0, 0, 0, 0, 0];
    for (const i of kept) {
      const here = residual(lines, i, v);
      const [da, db] = [(residual(lines, i, a) - here) / STEP, (residual(lines, i, b) - here) / STEP];
      aa += da * da;
      ab += da * db;
      bb += db * db;
      ga += da * here;
      gb += db * here;
    }
    const det = aa * bb - ab * ab;
    const told = det > 1e-12 * (aa + bb) ** 2;
    const covariance = told
      ? [
          [(bb / det) * sigma * sigma, (-ab / det) * sigma * sigma],
          [(-ab / det) * sigma * sigma, (aa / det) * sigma * sigma],
        ]
      : null;
    const done = { v, plane, covariance };
    if (round === ROUNDS) return done;
    for (let attempt = 0; ; attempt++) {
      const [p, q] = [aa * (1 + damping) + 1e-300, bb * (1 + damping) + 1e-300];
      const d = p * q - ab * ab;
      const step = [-(q * ga - ab * gb) / d, -(p * gb - ab * ga) / d];
      const size = Math.hypot(step[0], step[1]);
      if (!(size > 1e-13) || attempt === 12) return done;
      const k = Math.min(1, 0.5 / size);
      const next = moved(v, plane, [k * step[0], k * step[1]]);
      const better = costAt(lines, kept, next);
      if (better <= cost) {
        const settled = cost - better <= 1e-10 * cost && size < 1e-6;
        [v, cost, damping] = [next, better, damping / 10 < 1e-8 ? 0 : damping / 10];
        if (settled) round = ROUNDS - 1;
        break;
      }
      damping = damping ? damping * 8 : 1e-3;
    }
  }
}

/** A homogeneous point in picture px, with its covariance there; null where it is at infinity. */
function inPixels(
  [vx, vy, vw]: Vec3,
  plane: readonly [Vec3, Vec3],
  c: readonly (readonly number[])[] | null,
  { x, y, size }: Norm,
): Pick<RecoveredPoint, "at" | "covariance"> {
  if (Math.abs(vw) * FAR < Math.hypot(vx, vy)) return { at: null, covariance: null };
  const at: Vec2 = [x + (size * vx) / vw, y + (size * vy) / vw];
  if (!c) return { at, covariance: null };
  // d(v / w) = (dv - (v / w) dw) / w along each tangent.
  const [px, py] = plane.map(([dx, dy, dw]): Vec2 => [
    (size * (dx - (vx / vw) * dw)) / vw,
    (size * (dy - (vy / vw) * dw)) / vw,
  ]);
  const entry = (i: 0 | 1, k: 0 | 1) =>
    px[i] * c[0][0] * px[k] + px[i] * c[0][1] * py[k] + py[i] * c[1][0] * px[k] + py[i] * c[1][1] * py[k];
  return {
    at,
    covariance: [
      [entry(0, 0), entry(0, 1)],
      [entry(1, 0), entry(1, 1)],
    ],
  };
}

/**
 * The vanishing point of a family of edges: the point for which the squared residuals of their ends are least (Caprile
 * and Torre, IJCV 4, 1990; Hartley and Zisserman, Multiple View Geometry, 2004, ch. 8 (from memory)), found on the
 * sphere so that points at infinity are points like any other. It starts from the pair of edges that most others agree
 * with, and leaves strays out.
 * @param sigma standard deviation of the hand at an end, px
 * @throws NoAnswer for fewer than two edges that have a length, or edges that all lie on one line
 */
export function recoverPoint(segments: readonly Segment[], picture: Norm, sigma = 1, seed = 1): RecoveredPoint {
  const lines = linesOf(segments, picture);
  const unitSigma = sigma / picture.size;
  const long = [...Array(segments.length).keys()].filter((i) => halfLength(lines, i) > 1e-9);
  if (long.length < 2)
    throw new NoAnswer(
      `There ${long.length === 1 ? "is one edge" : "are no edges"} with a length: two at least are needed to ` +
        "meet in a point.",
    );
  const used = linesOf(
    long.map((i) => segments[i]),
    picture,
  );
  const from = start(used, STRAY * unitSigma, seed);
  if (!from)
    throw new NoAnswer("All edges lie on one line: they meet everywhere on it. Trace another one beside them.");
  const all = [...Array(long.length).keys()];
  const agree = (v: Vec3) => all.filter((i) => Math.abs(residual(used, i, v)) <= STRAY * unitSigma);
  let kept = agree(from);
  let found = refined(used, kept.length >= 2 ? kept : all, from, unitSigma);
  for (let round = 0; round < 4; round++) {
    const next = agree(found.v);
    if (next.length < 2 || (next.length === kept.length && next.every((i, k) => i === kept[k]))) break;
    kept = next;
    found = refined(used, kept, found.v, unitSigma);
  }
  const { v, plane, covariance } = found;
  const placed = inPixels(v, plane, covariance, picture);
  const weighted = segments.map((_, i) =>
    halfLength(lines, i) > 1e-9 ? residual(lines, i, v) / weightOf(lines, i) : 0,
  );
  return {
    direction: v,
    ...placed,
    angle: placed.at ? null : ((degrees(Math.atan2(v[1], v[0])) % 180) + 180) % 180,
    residuals: weighted.map((value) => Math.abs(value) * picture.size),
    turns: weighted.map((value, i) =>
      halfLength(lines, i) > 1e-9 ? degrees(Math.atan(Math.abs(value) / (Math.SQRT2 * halfLength(lines, i)))) : 0,
    ),
    strays: long.filter((_, k) => Math.abs(residual(used, k, v)) > STRAY * unitSigma),
  };
}

/** Half axes and slant of the ellipse that holds the point with a likelihood of 95 %. */
export function ellipseOf([[a, b], [, d]]: readonly [readonly [number, number], readonly [number, number]]): {
  readonly major: number;
  readonly minor: number;
  readonly slant: number;
} {
  const [mean, half] = [(a + d) / 2, Math.sqrt(((a - d) / 2) ** 2 + b * b)];
  // The 95 % point of chi square with two degrees of freedom: -2 ln 0.05.
  const k = Math.sqrt(-2 * Math.log(0.05));
  return {
    major: k * Math.sqrt(Math.max(0, mean + half)),
    minor: k * Math.sqrt(Math.max(0, mean - half)),
    slant: degrees(Math.atan2(2 * b, a - d) / 2),
  };
}
