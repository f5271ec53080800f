import { NoAnswer } from "../problem";
import { distance2, type Vec2 } from "../geometry";
import { smaller, type Grey } from "./grey";
import { settle } from "./settle";

/** An edge that was found in a picture by itself, px. */
export interface Detected {
  readonly a: Vec2;
  readonly b: Vec2;
  /** Change of brightness across it, in 256ths a px. */
  readonly strength: number;
}

/** Edges are looked for in a picture of about so many px, and then laid on the whole one. */
const WORKED = 3_200_000;
/** No more edges than these are kept, the longest first. */
const MAX_SEGMENTS = 4000;
/** Shorter than this part of the picture's longer side, an edge says little. */
const SHORTEST = 0.012;
/**
 * Brightness must change by so much between neighbours: below, rounding alone may turn the slope by more than 22.5
 * degrees.
 */
const FAINT = 5.2;
/** Cosines of how far slopes of one edge may turn from it: 22.5 degrees, and half of that at a second try. */
const COS_WIDE = Math.cos(Math.PI / 8);
const COS_NARROW = Math.cos(Math.PI / 16);
/** So much of an edge's rectangle must be made of agreeing px. */
const DENSE = 0.55;

/** Brightness smoothed by a binomial of three, both ways: grain is smaller than edges are. */
function smooth({ width, height, data }: Grey): Grey {
  const rows = new Uint16Array(width * height);
  for (let y = 0, p = 0; y < height; y++) {
    rows[p] = data[p] << 2;
    p++;
    for (let x = 1; x < width - 1; x++, p++) rows[p] = data[p - 1] + 2 * data[p] + data[p + 1];
    rows[p] = data[p] << 2;
    p++;
  }
  const out = new Uint8Array(width * height);
  for (let y = 0, p = 0; y < height; y++) {
    const [up, down] = [y ? -width : 0, y < height - 1 ? width : 0];
    for (let x = 0; x < width; x++, p++) out[p] = (rows[p + up] + 2 * rows[p] + rows[p + down] + 8) >> 4;
  }
  return { width, height, data: out };
}

/** Slopes of brightness, between each px and the ones right of, below and diagonally below it. */
interface Slopes {
  readonly width: number;
  readonly height: number;
  readonly gx: Float32Array;
  readonly gy: Float32Array;
  readonly size: Float32Array;
  /** Px with a slope, the steepest first. */
  readonly order: Int32Array;
}

function slopesOf({ width, height, data }: Grey): Slopes {
  const count = width * height;
  const [gx, gy, size] = [new Float32Array(count), new Float32Array(count), new Float32Array(count)];
  const bins = new Int32Array(257);
  for (let y = 0; y < height - 1; y++) {
    for (let x = 0, p = y * width; x < width - 1; x++, p++) {
      const [down, across] = [data[p + width + 1] - data[p], data[p + 1] - data[p + width]];
      const [dx, dy] = [(down + across) / 2, (down - across) / 2];
      const slope = Math.sqrt(dx * dx + dy * dy);
      if (slope < FAINT) continue;
      gx[p] = dx / slope;
      gy[p] = dy / slope;
      size[p] = slope;
      bins[256 - Math.min(255, slope | 0)]++;
    }
  }
  for (let i = 1; i <= 256; i++) bins[i] += bins[i - 1];
  const order = new Int32Array(bins[256]);
  const next = bins.slice();
  for (let p = count - 1; p >= 0; p--) if (size[p] > 0) order[--next[256 - Math.min(255, size[p] | 0)]] = p;
  return { width, height, gx, gy, size, order };
}

/** Px around a seed whose slopes run the way of the whole: written to `region`. @returns how many they are */
function grow(
  { width, gx, gy, size }: Slopes,
  taken: Uint8Array,
  region: Int32Array,
  seed: number,
  cos: number,
): number {
  let [sx, sy, n] = [gx[seed], gy[seed], 1];
  region[0] = seed;
  taken[seed] = 1;
  for (let i = 0; i < n; i++) {
    const p = region[i];
    for (let dy = -width; dy <= width; dy += width) {
      for (let q = p + dy - 1; q <= p + dy + 1; q++) {
        if (q < 0 || q >= taken.length || taken[q] || size[q] === 0) continue;
        const along = sx * gx[q] + sy * gy[q];
        if (along <= 0 || along * along < cos * cos * (sx * sx + sy * sy)) continue;
        taken[q] = 1;
        region[n++] = q;
        sx += gx[q];
        sy += gy[q];
      }
    }
  }
  return n;
}

interface Ends {
  readonly a: Vec2;
  readonly b: Vec2;
}

/**
 * The straight edge that a region makes: the axis of the rectangle through its centre of weight, along its longer axis
 * of inertia. Null where the rectangle is short, thick, or holds much else.
 */
function straight({ width, size }: Slopes, region: Int32Array, n: number, least: number): Ends | null {
  let [w, cx, cy] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const [p, m] = [region[i], size[region[i]]];
    w += m;
    cx += m * (p % width);
    cy += m * ((p / width) | 0);
  }
  cx /= w;
  cy /= w;
  let [xx, xy, yy] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const p = region[i];
    const [dx, dy] = [(p % width) - cx, ((p / width) | 0) - cy];
    xx += size[p] * dx * dx;
    xy += size[p] * dx * dy;
    yy += size[p] * dy * dy;
  }
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  const [ux, uy] = [Math.cos(turn), Math.sin(turn)];
  let [low, high, left, right] = [0, 0, 0, 0];
  for (let i = 0; i < n; i++) {
    const p = region[i];
    const [dx, dy] = [(p % width) - cx, ((p / width) | 0) - cy];
    const [along, across] = [dx * ux + dy * uy, dy * ux - dx * uy];
    low = Math.min(low, along);
    high = Math.max(high, along);
    left = Math.min(left, across);
    right = Math.max(right, across);
  }
  const [long, wide] = [high - low, right - left + 1];
  if (long < least || long < 4 * wide || n < DENSE * (long + 1) * wide) return null;
  // A slope lies between four px, whose centres are at .5.
  const at = (t: number): Vec2 => [cx + 1 + t * ux, cy + 1 + t * uy];
  return { a: at(low), b: at(high) };
}

/** Pieces of one edge, joined where they continue each other; the longest lead. */
function joined(segments: readonly Ends[], off: number): Ends[] {
  const length = ({ a, b }: Ends) => distance2(a, b);
  const sorted = [...segments].sort((p, q) => length(q) - length(p));
  const gone = new Uint8Array(sorted.length);
  const out: Ends[] = [];
  sorted.forEach((first, i) => {
    if (gone[i]) return;
    let { a, b } = first;
    for (let again = true; again;) {
      again = false;
      for (let k = i + 1; k < sorted.length; k++) {
        if (gone[k]) continue;
        const long = distance2(a, b);
        const u: Vec2 = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
        const place = (p: Vec2): Vec2 => {
          const v: Vec2 = [p[0] - a[0], p[1] - a[1]];
          return [v[0] * u[0] + v[1] * u[1], u[0] * v[1] - u[1] * v[0]];
        };
        const [p, q] = [place(sorted[k].a), place(sorted[k].b)];
        if (Math.abs(p[1]) > off || Math.abs(q[1]) > off) continue;
        const [low, high] = [Math.min(p[0], q[0]), Math.max(p[0], q[0])];
        if (low > long + Math.min(0.3 * long, 3 * (high - low)) || high < -Math.min(0.3 * long, 3 * (high - low)))
          continue;
        gone[k] = 1;
        const ends = [
          [a, 0],
          [b, long],
          [sorted[k].a, p[0]],
          [sorted[k].b, q[0]],
        ] as const;
        const [from, to] = [ends.reduce((m, e) => (e[1] < m[1] ? e : m)), ends.reduce((m, e) => (e[1] > m[1] ? e : m))];
        if (from[0] !== a || to[0] !== b) again = true;
        [a, b] = [from[0], to[0]];
      }
    }
    out.push({ a, b });
  });
  return out;
}

/**
 * Straight edges of a picture, the longest first: px whose brightness slopes one way are grown into regions from the
 * steepest on, each becomes the line of its longer axis, and is then laid between px on the whole picture (after
 * Grompone von Gioi, Jakubowicz, Morel and Randall, LSD, IEEE PAMI 32, 2010 (from memory)).
 * @param tell told how much is done, 0 to 1
 * @throws NoAnswer for a picture of next to no px
 */
export function detect(grey: Grey, tell: (share: number) => void = () => undefined): Detected[] {
  if (Math.min(grey.width, grey.height) < 32)
    throw new NoAnswer("The picture is too small: edges need 32 px at least.");
  const by = Math.max(1, Math.round(Math.sqrt((grey.width * grey.height) / WORKED)));
  const small = smooth(smaller(grey, by));
  tell(0.15);
  const slopes = slopesOf(small);
  const taken = new Uint8Array(slopes.size.length);
  const [region, inner] = [new Int32Array(slopes.order.length), new Int32Array(slopes.order.length)];
  const least = Math.max(10, SHORTEST * Math.max(small.width, small.height));
  const found: Ends[] = [];
  const { order } = slopes;
  for (let i = 0, told = 0; i < order.length; i++) {
    if (i > told) {
      tell(0.2 + (0.5 * i) / order.length);
      told += order.length / 20;
    }
    if (taken[order[i]]) continue;
    const n = grow(slopes, taken, region, order[i], COS_WIDE);
    if (n < least) continue;
    const first = straight(slopes, region, n, least);
    if (first) {
      found.push(first);
      continue;
    }
    // What makes no straight edge with this much freedom may with less; what was left over then has another chance.
    for (let k = 0; k < n; k++) taken[region[k]] = 0;
    const m = grow(slopes, taken, inner, order[i], COS_NARROW);
    const second = m < least ? null : straight(slopes, inner, m, least);
    if (second) found.push(second);
    else for (let k = 0; k < n; k++) taken[region[k]] = 1;
  }
  const whole = joined(found, 1.2).map(({ a, b }) => ({
    a: [a[0] * by, a[1] * by] as Vec2,
    b: [b[0] * by, b[1] * by] as Vec2,
  }));
  tell(0.8);
  const kept = whole.sort((p, q) => distance2(q.a, q.b) - distance2(p.a, p.b)).slice(0, MAX_SEGMENTS);
  return kept.flatMap(({ a, b }, i) => {
    if (i % 200 === 0) tell(0.8 + (0.2 * i) / kept.length);
    const exact = settle(grey, a, b, 1.5 * by);
    return exact ? [{ a: exact.a, b: exact.b, strength: exact.strength }] : [];
  });
}
