import type { Vec2 } from "../../geometry";
import {
  breakIn,
  contourEnds,
  distanceTo,
  INSIDE,
  isLevel,
  looks,
  SAME,
  turnsAway,
  type EyeAt,
  type HalfTurn,
} from "./eyeAt";
import { insideSagittaAt, sagittaAt, type Fineness } from "./how";
import { isSmooth, placeOn, stepsOf, type Piece } from "./outline";
import { ON_AXIS } from "./turned";

/** Of steps around a circle or along an arc, those nearer to a special place are left out. */
const CLOSE = 0.3;
/** Behind their contours, convex solids have one step for so many. */
const COARSER = 4;
/** Beside the ends of a contour there are rows at these shares of a step. */
const BESIDE = [1 / 64, 1 / 16, 1 / 4, 9 / 16] as const;

/** A circle of a turned surface: its vertices stand at angles from that of the eye. */
export interface Row {
  readonly r: number;
  readonly z: number;
  /** Whether it is an edge of the solid; else it lies within a smooth surface. */
  readonly isRim: boolean;
  readonly marks: number[];
  /** From where to where, around it, its surfaces look at the eye. */
  readonly seen: (readonly [number, number])[];
  angles: readonly number[];
  vertices: readonly number[];
}

/** A row of a piece: where on it, and up to which angle on either side of the eye's its surface faces one way. */
export interface PieceRow {
  readonly row: Row;
  readonly t: number;
  /** Where the contour crosses the row, one angle in each half turn. */
  readonly breaks: readonly number[];
}

/** What the rows of a turned solid are worked out from. */
export interface Turn {
  readonly pieces: readonly Piece[];
  /** Whether its outline leads back to its first place. */
  readonly closed: boolean;
  /** Whether it goes all the way around. */
  readonly around: boolean;
  readonly halves: readonly HalfTurn[];
  readonly how: Fineness;
  readonly eye: EyeAt | null;
  /** Whether only those facets are wanted that look at the eye. */
  readonly frontsOnly: boolean;
  /** Whether it is convex and looked at from outside. */
  readonly isPlain: boolean;
}

function sagittaIn({ how, eye }: Turn, place: Vec2, isFine: boolean): number {
  const distance = eye ? distanceTo(place, eye) : 0;
  return isFine ? sagittaAt(how, distance) : insideSagittaAt(how, distance);
}

/** How far a rim or a contour may leave its chords at a place, m. */
export const rimSagitta = (turn: Turn, place: Vec2): number => sagittaIn(turn, place, true);

/** The rows of every piece: one more than its steps; where two pieces meet they share one. */
export function rowsOf(turn: Turn): readonly (readonly PieceRow[])[] {
  const { pieces, closed, halves, eye } = turn;
  const rowAt = ([r, z]: Vec2, isRim = false): Row => ({ r, z, isRim, marks: [], seen: [], angles: [], vertices: [] });
  const before = (p: number) => (p > 0 || closed ? pieces[(p + pieces.length - 1) % pieces.length] : null);
  const ends = pieces.map((piece, p) => {
    const last = before(p);
    return rowAt(piece.from, last !== null && !isSmooth(last, piece));
  });
  const last = closed ? ends[0] : rowAt(pieces[pieces.length - 1].to);
  return pieces.map((piece, p) =>
    stepsAlong(turn, piece).map((t): PieceRow => {
      const row = t === 0 ? ends[p] : t === 1 ? (ends[p + 1] ?? last) : rowAt(placeOn(piece, t));
      const away = eye && !isLevel(piece) ? turnsAway(piece, t, eye) : 0;
      const breaks = halves.map((half) => marked(row, half, breakIn(half, away)));
      if (eye)
        halves.forEach(([low, high], h) => {
          const [first, second] = looks(piece, low, eye);
          if (first) row.seen.push([low, breaks[h]]);
          if (second) row.seen.push([breaks[h], high]);
        });
      return { row, t, breaks };
    }),
  );
}

/** The parameters of a piece's rows: evenly, and where its contour ends. */
function stepsAlong(turn: Turn, piece: Piece): readonly number[] {
  const { arc } = piece;
  if (!arc) return [0, 1];
  const sweep = Math.abs(arc.sweep);
  // The ends of a part of a turn are edges along the outline; facets of a hollow lie before it.
  const isFine = !turn.around || arc.sweep < 0;
  const longest = turn.frontsOnly && turn.around ? Math.PI / 2 : Math.PI / 4;
  const steps = Math.max(
    ...[0, 0.5, 1].map((t) => stepsOf(arc.radius, sweep, sagittaIn(turn, placeOn(piece, t), isFine), longest)),
  );
  const even = Array.from({ length: steps + 1 }, (_, i) => i / steps);
  const ends = turn.eye ? contourEnds(piece, turn.eye) : [];
  // Beside its ends a contour runs along the rows: they are closer there.
  const close = ends.flatMap((t) => [0, ...BESIDE, ...BESIDE.map((by) => -by)].map((by) => t + by / steps));
  const inside = close.filter((t) => t > INSIDE && t < 1 - INSIDE);
  const isApart = (t: number) => t === 0 || t === 1 || inside.every((one) => Math.abs(one - t) > CLOSE / steps);
  return [...even.filter(isApart), ...inside].sort((a, b) => a - b);
}

/** Marks an angle on a row; one that is as good as known already is that. */
function marked(row: Row, half: HalfTurn, at: number): number {
  const known = [...half, ...row.marks].find((one) => Math.abs(one - at) < SAME);
  if (known === undefined) row.marks.push(at);
  return known ?? at;
}

/** How many steps a row would have by itself. */
const stepsWanted = (turn: Turn, { r, z, isRim }: Row): number =>
  stepsOf(Math.max(r, ON_AXIS), 2 * Math.PI, sagittaIn(turn, [r, z], isRim));

/** How many steps around the row with the most of them has: a multiple of eight that can be halved. */
export function mostSteps(turn: Turn, rows: readonly Row[]): number {
  const most = Math.max(...rows.map((row) => stepsWanted(turn, row)));
  const unit = most > 64 ? 32 : 8;
  return unit * Math.ceil(most / unit);
}

/** Puts the vertices of a row: at its special angles, and evenly between them. @param most as `mostSteps` tells */
export function placeRow(turn: Turn, row: Row, most: number, put: (at: number) => number): void {
  const { r, marks } = row;
  const special = [...new Set([...turn.halves.flat(), ...marks])].sort((a, b) => a - b);
  // Steps are halved from row to row, so that the angles of one stand over those of another.
  const halvings = Math.max(0, Math.floor(Math.log2(most / stepsWanted(turn, row)) + 1e-9));
  const step = ((2 * Math.PI) / most) * 2 ** Math.min(halvings, Math.floor(Math.log2(most / 8)));
  const even = r < ON_AXIS ? [] : evenAngles(turn, row, special, step);
  const between = even.filter((at) => special.every((one) => Math.abs(one - at) > CLOSE * step));
  const angles = [...special, ...between].sort((a, b) => a - b);
  row.angles = angles;
  // On the axis all are one place; all the way around, the last is the first.
  const first = put(angles[0]);
  const high = special[special.length - 1];
  row.vertices = angles.map((at, i) => (i === 0 || r < ON_AXIS || (turn.around && at === high) ? first : put(at)));
}

/** Angles around a row, evenly: where it is seen; of a convex solid, few behind its contours. */
function evenAngles(
  { isPlain, frontsOnly }: Turn,
  { isRim, seen }: Row,
  special: readonly number[],
  step: number,
): readonly number[] {
  const [low, high] = [special[0], special[special.length - 1]];
  const count = Math.ceil((high - low) / step);
  // Nothing is seen of a convex solid between its last contour before the far side and its first one behind that.
  const from = Math.max(...special.filter((at) => at < Math.PI));
  const to = Math.min(...special.filter((at) => at > Math.PI));
  const isKept = (at: number, i: number) =>
    !isPlain || count < 8 * COARSER || i % COARSER === 0 || at < from || at > to;
  const isSeen = (at: number) => isRim || !frontsOnly || seen.some(([p, q]) => at >= p && at <= q);
  return Array.from({ length: count }, (_, i) => low + i * step).filter((at, i) => isKept(at, i) && isSeen(at));
}
