import { dot, sub, type Vec2, type Vec3 } from "../../geometry";
import { normalOn, placeOn, type Piece } from "./outline";
import { frameOfAxis, ON_AXIS, type Axis } from "./turned";

/** The eye in an axis's frame: its distance from the axis, its height, and its angle. */
export interface EyeAt {
  readonly far: number;
  readonly height: number;
  readonly angle: number;
}

/** Parameters nearer to the end of a piece are that end. */
export const INSIDE = 1e-6;
/** Where the contour of a piece ends within it is looked for between so many places. */
const SAMPLES = 24;

/** Where an eye is in the frame of an axis. */
export function eyeIn(axis: Axis, eye: Vec3): EyeAt {
  const from = sub(eye, axis.origin);
  const [x, y, z] = frameOfAxis(axis).map((way) => dot(from, way));
  return { far: Math.hypot(x, y), height: z, angle: Math.atan2(y, x) };
}

/** Whether a piece is a level disc or ring. */
export const isLevel = ({ from, to, arc }: Piece): boolean => arc === null && Math.abs(from[1] - to[1]) < ON_AXIS;

/**
 * The angle from that of the eye at which a row of a surface of revolution turns away from it, 0 to pi: the normal n
 * there is square to the line of sight, nr (far cos(angle) - r) + nz (height - z) = 0.
 */
export function turnsAway(piece: Piece, at: number, { far, height }: EyeAt): number {
  // Where an arc ends level, it turns away as it does just before.
  const t = piece.arc && Math.abs(normalOn(piece, at)[0]) < INSIDE ? at + (at < 0.5 ? INSIDE : -INSIDE) : at;
  const [r, z] = placeOn(piece, t);
  const [nr, nz] = normalOn(piece, t);
  if (Math.abs(nr) < 1e-12 || far < ON_AXIS) return 0;
  const cosine = (r * nr - nz * (height - z)) / (far * nr);
  return Math.acos(Math.min(1, Math.max(-1, cosine)));
}

/** The parameters at which the contour of a round piece begins or ends, by halving. */
export function contourEnds(piece: Piece, eye: EyeAt): readonly number[] {
  const isOpen = (t: number) => {
    const angle = turnsAway(piece, t, eye);
    return angle > 0 && angle < Math.PI;
  };
  return Array.from({ length: SAMPLES }, (_, i) => i).flatMap((i) => {
    let [a, b] = [i / SAMPLES, (i + 1) / SAMPLES];
    const [first, last] = [isOpen(a), isOpen(b)];
    if (first === last) return [];
    for (let k = 0; k < 48; k++) {
      const middle = (a + b) / 2;
      if (isOpen(middle) === first) a = middle;
      else b = middle;
    }
    // The side on which there is none: exactly at the end the angle is 0 or pi.
    return [first ? b : a];
  });
}

/** Whether some of a convex piece looks at an eye: at the angle of the eye, its middle or one of its ends does. */
export const looksAt = (piece: Piece, { far, height }: EyeAt): boolean =>
  [0, 0.5, 1].some((t) => {
    const [[r, z], [nr, nz]] = [placeOn(piece, t), normalOn(piece, t)];
    return nr * (far - r) + nz * (height - z) > 0;
  });

/** How far the eye is from a circle of a turned surface, m. */
export const distanceTo = ([r, z]: Vec2, { far, height }: EyeAt): number => Math.hypot(far - r, height - z);

/** Whether a piece looks at the eye up to its contour and behind it, in the half turn from an angle on. */
export function looks(piece: Piece, low: number, eye: EyeAt): readonly [boolean, boolean] {
  const [nr, nz] = normalOn(piece, 0.5);
  if (isLevel(piece) || eye.far < ON_AXIS || Math.abs(nr) < 1e-12) {
    const [r, z] = placeOn(piece, 0.5);
    const towards = nz * (eye.height - z) - nr * r > 0;
    return [towards, towards];
  }
  return isFirstHalf(low) === nr > 0 ? [true, false] : [false, true];
}

/** A part of a turn from one angle to another, within one of the half turns from the eye's angle on. */
export type HalfTurn = readonly [low: number, high: number];

/** Angles nearer to each other are one, radians. */
export const SAME = 1e-9;

/** Whether a half turn leads away from the eye's angle; the other leads back to it. */
const isFirstHalf = (low: number): boolean => Math.floor(low / Math.PI + SAME) % 2 === 0;

/** Where a contour that is so far off the eye's angle crosses a half turn, or the end of that which is nearest. */
export function breakIn([low, high]: HalfTurn, away: number): number {
  const k = Math.floor(low / Math.PI + SAME);
  return Math.min(high, Math.max(low, isFirstHalf(low) ? k * Math.PI + away : (k + 1) * Math.PI - away));
}

/**
 * The half turns that a turn falls into, from the eye's angle on. @param sweep all the way around where nothing is said
 */
export function halfTurns(sweep: readonly [number, number] | undefined, angle: number): readonly HalfTurn[] {
  const begin = sweep ? sweep[0] - angle : 0;
  const low = begin - 2 * Math.PI * Math.floor(begin / (2 * Math.PI));
  const high = low + (sweep ? sweep[1] - sweep[0] : 2 * Math.PI);
  const first = Math.floor(low / Math.PI);
  return Array.from({ length: Math.ceil((high - SAME) / Math.PI) - first }, (_, i): HalfTurn => [
    Math.max(low, (first + i) * Math.PI),
    Math.min(high, (first + i + 1) * Math.PI),
  ]).filter(([from, to]) => to - from > SAME);
}
