import { cross, middle, type Vec2, type Vec3 } from "../geometry";

/** A traced or detected edge by its two ends, picture px, x right and y down. */
export interface Segment {
  readonly a: Vec2;
  readonly b: Vec2;
  /** How many times less sure its ends are than the hand is said to be: a small picture is traced less exactly. */
  readonly looser?: number;
}

/** Picture px around the middle, in units of half the longer side: what everything is fitted in. */
export interface Norm {
  readonly x: number;
  readonly y: number;
  readonly size: number;
}

export const normOf = ({ width, height }: { readonly width: number; readonly height: number }): Norm => {
  const [x, y] = middle({ x: 0, y: 0, width, height });
  return { x, y, size: Math.max(width, height) / 2 };
};

/**
 * Segments as they are fitted: eight numbers each: both ends (x y), the line through them (a b c), and the weight of
 * their residuals.
 */
export interface Lines {
  readonly count: number;
  readonly data: Float64Array;
}

/** The numbers of one segment. */
const WIDE = 8;

export function linesOf(segments: readonly Segment[], { x, y, size }: Norm): Lines {
  const data = new Float64Array(WIDE * segments.length);
  segments.forEach(({ a, b, looser = 1 }, i) => {
    const [ax, ay, bx, by, o] = [(a[0] - x) / size, (a[1] - y) / size, (b[0] - x) / size, (b[1] - y) / size, WIDE * i];
    data[o] = ax;
    data[o + 1] = ay;
    data[o + 2] = bx;
    data[o + 3] = by;
    data[o + 4] = ay - by;
    data[o + 5] = bx - ax;
    data[o + 6] = ax * by - ay * bx;
    data[o + 7] = 1 / looser;
  });
  return { count: segments.length, data };
}

/**
 * How far a segment misses a homogeneous point v: the square root of the sum of the squared distances of both ends to
 * the line through v that fits them best, signed, in the unit of the norm. With q1, q2 the ends seen from v it is the
 * smaller eigenvalue of their scatter, (S - sqrt(S^2 - 4 X^2)) / 2 with S = q1^2 + q2^2 and X = q1 x q2, written so
 * that it holds for points at infinity, too (w = 0). Weighted, its standard deviation is that of the hand.
 */
export function residual({ data }: Lines, i: number, v: Vec3): number {
  const o = WIDE * i;
  const vx = v[0],
    vy = v[1],
    vw = v[2];
  const e = data[o + 4] * vx + data[o + 5] * vy + data[o + 6] * vw;
  const ax = data[o] * vw - vx,
    ay = data[o + 1] * vw - vy;
  const bx = data[o + 2] * vw - vx,
    by = data[o + 3] * vw - vy;
  const s = ax * ax + ay * ay + bx * bx + by * by;
  if (s === 0) return 0;
  const x = 2 * e * vw;
  const rest = s * s - x * x;
  return (data[o + 7] * Math.SQRT2 * e) / Math.sqrt(s + (rest > 0 ? Math.sqrt(rest) : 0));
}

/** The weight of a segment's residuals. */
export const weightOf = ({ data }: Lines, i: number): number => data[WIDE * i + 7];

/** Half the length of a segment, in the unit of the norm. */
export function halfLength({ data }: Lines, i: number): number {
  const o = WIDE * i;
  const [x, y] = [data[o + 2] - data[o], data[o + 3] - data[o + 1]];
  return Math.sqrt(x * x + y * y) / 2;
}

/** Where the lines of two segments cross, homogeneous and of length 1, or null where they are one line. */
export function crossing({ data }: Lines, i: number, k: number): Vec3 | null {
  const [p, q] = [WIDE * i + 4, WIDE * k + 4];
  const v = cross([data[p], data[p + 1], data[p + 2]], [data[q], data[q + 1], data[q + 2]]);
  const length = Math.sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);
  return length > 1e-14 ? [v[0] / length, v[1] / length, v[2] / length] : null;
}
