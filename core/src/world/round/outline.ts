import type { Vec2 } from "../../geometry";

/**
 * A place of an outline in its plane, m. What runs from it to the next is straight, or an arc by its bulge: the tangent
 * of a quarter of its sweep, positive where it turns to the left.
 */
export interface OutlinePoint {
  readonly at: Vec2;
  readonly bulge?: number;
}

/** A straight or round piece of an outline, by a parameter from 0 to 1. */
export interface Piece {
  readonly from: Vec2;
  readonly to: Vec2;
  /**
   * The circle that it is an arc of: turning to the left from `start` by `sweep`, radians; null where it is straight.
   */
  readonly arc: {
    readonly centre: Vec2;
    readonly radius: number;
    readonly start: number;
    readonly sweep: number;
  } | null;
}

/** Smaller than this a bulge is none. */
const STRAIGHT = 1e-9;

/** The piece from one place of an outline to the next. */
export function pieceOf({ at: [ax, ay], bulge = 0 }: OutlinePoint, to: Vec2): Piece {
  const from: Vec2 = [ax, ay];
  const [dx, dy] = [to[0] - ax, to[1] - ay];
  if (Math.abs(bulge) < STRAIGHT) return { from, to, arc: null };
  // The centre lies on the chord's bisector, off its middle by (1 - b^2) / 4 b of the chord, to the left.
  const off = (1 - bulge * bulge) / (4 * bulge);
  const centre: Vec2 = [(ax + to[0]) / 2 - off * dy, (ay + to[1]) / 2 + off * dx];
  const radius = Math.hypot(ax - centre[0], ay - centre[1]);
  return {
    from,
    to,
    arc: { centre, radius, start: Math.atan2(ay - centre[1], ax - centre[0]), sweep: 4 * Math.atan(bulge) },
  };
}

/** The pieces of an outline; of a closed one, one more leads back to its first place. */
export const piecesOfOutline = (points: readonly OutlinePoint[], closed: boolean): readonly Piece[] =>
  points.flatMap((point, i) =>
    closed || i + 1 < points.length ? [pieceOf(point, points[(i + 1) % points.length].at)] : [],
  );

/** The place of a piece at a parameter, exact at its ends. */
export function placeOn({ from, to, arc }: Piece, t: number): Vec2 {
  if (t === 0) return from;
  if (t === 1) return to;
  if (!arc) return [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
  const angle = arc.start + t * arc.sweep;
  return [arc.centre[0] + arc.radius * Math.cos(angle), arc.centre[1] + arc.radius * Math.sin(angle)];
}

/** The unit direction of a piece at a parameter. */
export function directionOn({ from, to, arc }: Piece, t: number): Vec2 {
  if (arc) {
    const angle = arc.start + t * arc.sweep;
    const turn = Math.sign(arc.sweep);
    return [-turn * Math.sin(angle), turn * Math.cos(angle)];
  }
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
}

/** The unit normal on the right of a piece at a parameter: outwards, of an outline that runs counter-clockwise. */
export function normalOn(piece: Piece, t: number): Vec2 {
  const [x, y] = directionOn(piece, t);
  return [y, -x];
}

/** How strongly a piece curves, 1/m: positive where it turns to the left. */
export const curvatureOf = ({ arc }: Piece): number => (arc ? Math.sign(arc.sweep) / arc.radius : 0);

/** The bulge of an arc that turns to the left by an angle, radians. */
export const bulgeOf = (sweep: number): number => Math.tan(sweep / 4);

/** Two pieces that follow one another with no more turn than this pass into each other smoothly, radians. */
const SMOOTH = 1e-6;

/** Whether a piece goes on from another without a corner. */
export function isSmooth(before: Piece, after: Piece): boolean {
  const [a, b] = [directionOn(before, 1), directionOn(after, 0)];
  return Math.abs(a[0] * b[1] - a[1] * b[0]) < SMOOTH && a[0] * b[0] + a[1] * b[1] > 0;
}

/** The numbers of the surfaces that pieces are of: those that go on into one another smoothly are one. */
export function surfaceNumbers(pieces: readonly Piece[], closed: boolean): readonly number[] {
  let number = -1;
  const numbers = pieces.map((piece, p) => (p > 0 && isSmooth(pieces[p - 1], piece) ? number : ++number));
  const last = numbers[numbers.length - 1];
  const goesOn = closed && last > 0 && isSmooth(pieces[pieces.length - 1], pieces[0]);
  return goesOn ? numbers.map((one) => (one === last ? 0 : one)) : numbers;
}

/**
 * Places along an outline, its arcs in chords that leave them by no more than a sagitta, m; the last one is left out.
 */
export const chordsAlong = (pieces: readonly Piece[], sagitta: number): readonly Vec2[] =>
  pieces.flatMap((piece) => {
    const steps = piece.arc ? stepsOf(piece.arc.radius, Math.abs(piece.arc.sweep), sagitta) : 1;
    return Array.from({ length: steps }, (_, i) => placeOn(piece, i / steps));
  });

/** An arc has no fewer chords than one for each of these, and no more of them than so many, radians. */
const [LONGEST, MOST] = [Math.PI / 4, 512] as const;

/** How many chords an arc has that leaves none of them by more than a sagitta: r (1 - cos(step / 2)). */
export function stepsOf(radius: number, sweep: number, sagitta: number, longest: number = LONGEST): number {
  const step = 2 * Math.acos(Math.max(0, 1 - sagitta / radius));
  return Math.max(1, Math.ceil(sweep / longest - 1e-9), Math.min(MOST, Math.ceil(sweep / step - 1e-9)));
}

/**
 * The arc from the springing of a dome to its top: a quarter of a circle; of a lower one less of a larger circle, level
 * at its top; a higher one is upright at its springing, and pointed.
 */
export function domeArc(radius: number, low: number, rise: number): readonly [OutlinePoint, OutlinePoint] {
  const lean = Math.atan2(rise, radius);
  const half = rise <= radius ? lean : Math.PI / 2 - lean;
  return [{ at: [radius, low], bulge: bulgeOf(2 * half) }, { at: [0, low + rise] }];
}
