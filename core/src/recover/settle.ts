import type { Vec2 } from "../geometry";
import { brightness, type Grey } from "./grey";

/** A line laid on a picture's own edge. */
export interface Settled {
  readonly a: Vec2;
  readonly b: Vec2;
  /** How far the edge itself strays from the line, px: the root of the mean square. */
  readonly off: number;
  /** Change of brightness across it, in 256ths a px. */
  readonly strength: number;
}

/** Places along the line at which the edge is looked for. */
const LEAST = 8;
const MAX_SAMPLES = 120;
/** An edge is one where brightness changes by so much a px on the mean, over so much of its length. */
const STRONG = 4;
const SHARE = 0.6;
/** At the very reach an edge must be this many times as strong as one under the line. */
const SOFT = 2;

/** Changes of brightness across a line: a row for each place along it, from -reach to reach px across. */
function profiles(
  grey: Grey,
  [ax, ay]: Vec2,
  [dx, dy]: Vec2,
  [nx, ny]: Vec2,
  reach: number,
): { readonly t: number[]; readonly rows: Float32Array[] } {
  const length = Math.hypot(dx, dy);
  const places = Math.min(MAX_SAMPLES, Math.max(LEAST, Math.round(length / 3)));
  const t: number[] = [];
  const rows: Float32Array[] = [];
  for (let k = 0; k < places; k++) {
    const share = (k + 0.5) / places;
    const row = new Float32Array(2 * reach + 1);
    const along = [-1, 0, 1].map((i): Vec2 => [
      ax + share * dx + (i * dx) / length,
      ay + share * dy + (i * dy) / length,
    ]);
    // The mean of three px along the line, so that grain counts for less than the edge.
    const at = (s: number) => {
      let sum = 0;
      for (const [x, y] of along) {
        const value = brightness(grey, x + s * nx, y + s * ny);
        if (value < 0) return -1;
        sum += value;
      }
      return sum / 3;
    };
    const values = Array.from({ length: 2 * reach + 3 }, (_, i) => at(i - reach - 1));
    if (values.some((value) => value < 0)) continue;
    for (let s = 0; s <= 2 * reach; s++) row[s] = (values[s + 2] - values[s]) / 2;
    t.push(2 * share - 1);
    rows.push(row);
  }
  return { t, rows };
}

/**
 * The offset and slant, whole px, of the line along which brightness changes most, all of it one way; and which way.
 */
function strongest(
  t: readonly number[],
  rows: readonly Float32Array[],
  reach: number,
): readonly [number, number, number] {
  let [best, offset, slant, way] = [-1, 0, 0, 1];
  for (let o = -reach; o <= reach; o++) {
    for (let s = -reach; s <= reach; s++) {
      if (Math.abs(o) + Math.abs(s) > reach) continue;
      let sum = 0;
      for (let k = 0; k < rows.length; k++) sum += rows[k][Math.round(reach + o + s * t[k])];
      const score = Math.abs(sum) * (1 - (1 - 1 / SOFT) * ((Math.abs(o) + Math.abs(s)) / (reach + 1)));
      if (score > best) [best, offset, slant, way] = [score, o, s, Math.sign(sum) || 1];
    }
  }
  return [offset, slant, way];
}

/**
 * Lays a line on the strongest edge of a picture within reach of both its ends: first to whole px along all lines there
 * are, then between px by a line of least squares through the peaks of the change across it.
 * @param reach px on either side
 * @returns null where there is no edge near enough
 */
export function settle(grey: Grey, a: Vec2, b: Vec2, reach: number): Settled | null {
  const d: Vec2 = [b[0] - a[0], b[1] - a[1]];
  const length = Math.hypot(d[0], d[1]);
  if (!(length >= 4)) return null;
  const n: Vec2 = [-d[1] / length, d[0] / length];
  const wide = Math.max(2, Math.ceil(reach));
  const { t, rows } = profiles(grey, a, d, n, wide + 2);
  if (rows.length < LEAST / 2) return null;
  const inner = rows.map((row) => row.subarray(2, row.length - 2));
  const [from0, slant0, way] = strongest(t, inner, wide);
  let [offset, slant] = [from0, slant0];
  const middle = wide + 2;
  let [off, strength] = [0, 0];
  for (let round = 0; round < 3; round++) {
    let [w, wt, wtt, ws, wst, wss, agree] = [0, 0, 0, 0, 0, 0, 0];
    for (let k = 0; k < rows.length; k++) {
      const from = Math.round(middle + offset + slant * t[k]);
      let peak = from;
      for (let s = Math.max(1, from - 1); s <= Math.min(2 * middle - 1, from + 1); s++)
        if (way * rows[k][s] > way * rows[k][peak]) peak = s;
      const [low, high, top] = [peak - 1, peak + 1, peak].map((s) => way * (rows[k][s] ?? 0));
      if (top < STRONG / 2) continue;
      agree++;
      const bend = low - 2 * top + high;
      const at = peak - middle + (bend < 0 ? Math.max(-0.5, Math.min(0.5, (low - high) / (2 * bend))) : 0);
      w += top;
      wt += top * t[k];
      wtt += top * t[k] * t[k];
      ws += top * at;
      wst += top * at * t[k];
      wss += top * at * at;
    }
    const det = w * wtt - wt * wt;
    if (agree < SHARE * rows.length || det <= 1e-9) return null;
    [offset, slant] = [(ws * wtt - wst * wt) / det, (w * wst - wt * ws) / det];
    off = Math.sqrt(Math.max(0, (wss - offset * ws - slant * wst) / w));
    strength = w / rows.length;
  }
  if (strength < STRONG) return null;
  const end = ([x, y]: Vec2, side: number): Vec2 => [
    x + n[0] * (offset + side * slant),
    y + n[1] * (offset + side * slant),
  ];
  return { a: end(a, -1), b: end(b, 1), off, strength };
}

/** A line laid on the middle of a pencil stroke. */
export interface OnStroke extends Settled {
  /** How wide the stroke is, px; null where only one flank of it was found. */
  readonly width: number | null;
}

/** The far flank of a stroke changes brightness at least so many times as much as the near one. */
const FLANK = 0.4;
/** The far flank is laid anew within so many px of where it shows. */
const AROUND = 2;

/** How far across a line, px to its right, brightness changes back the most; null where it does not. */
function farFlank(grey: Grey, { a, b }: Settled, reach: number): number | null {
  const d: Vec2 = [b[0] - a[0], b[1] - a[1]];
  const length = Math.hypot(d[0], d[1]);
  const n: Vec2 = [-d[1] / length, d[0] / length];
  const wide = Math.max(3, Math.ceil(reach));
  const { rows } = profiles(grey, a, d, n, wide);
  if (rows.length === 0) return null;
  const change = (s: number) => rows.reduce((sum, row) => sum + row[wide + s], 0) / rows.length;
  const near = change(0);
  // A stroke is darker than its paper: its other flank lies on the dark side of this one.
  const side = near > 0 ? -1 : 1;
  const found = Array.from({ length: wide }, (_, i) => side * (i + 1)).reduce<number | null>(
    (best, s) =>
      -change(s) * Math.sign(near) > (best === null ? FLANK * Math.abs(near) : -change(best) * Math.sign(near))
        ? s
        : best,
    null,
  );
  return found;
}

/**
 * Lays a line on the middle of a pencil stroke: between the strongest flank within reach and the one that ends the
 * stroke on its dark side.
 * @returns null where there is no edge near enough; where a flank has no other, the line on it
 */
export function settleOnStroke(grey: Grey, a: Vec2, b: Vec2, reach: number): OnStroke | null {
  const one = settle(grey, a, b, reach);
  if (!one) return null;
  const s = farFlank(grey, one, reach);
  const d: Vec2 = [one.b[0] - one.a[0], one.b[1] - one.a[1]];
  const length = Math.hypot(d[0], d[1]);
  const beside = ([x, y]: Vec2, by: number): Vec2 => [x - (by * d[1]) / length, y + (by * d[0]) / length];
  const other = s === null ? null : settle(grey, beside(one.a, s), beside(one.b, s), AROUND);
  if (!other) return { ...one, width: null };
  const between = (p: Vec2, q: Vec2): Vec2 => [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  const width = Math.abs(((other.a[0] - one.a[0]) * d[1] - (other.a[1] - one.a[1]) * d[0]) / length);
  return {
    a: between(one.a, other.a),
    b: between(one.b, other.b),
    off: Math.max(one.off, other.off),
    strength: Math.min(one.strength, other.strength),
    width,
  };
}
