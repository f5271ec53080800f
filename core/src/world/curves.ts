import { degrees, distance2, radians, type Vec2 } from "../geometry";

/** An arc of a kerb is drawn in stretches that leave it by no more than this, m; a curve of a whole path by this. */
const SAGITTA = 0.004;
const OF_PATH = 0.01;
/** Nearer than this is the same place, m. */
const SAME = 1e-6;
/** Of a leg between two bends, each may take so much. */
const SHARE = 0.5;
/** A curve through points is halved so many times at most between two of them. */
const DEPTH = 7;
/** Walls that turn by less than this are of one curve, degrees. */
export const CURVED = 15;

/** By how much a line turns at a place, degrees; to the left is positive. */
export function turnAt([ax, ay]: Vec2, [bx, by]: Vec2, [cx, cy]: Vec2): number {
  const [ux, uy, vx, vy] = [bx - ax, by - ay, cx - bx, cy - by];
  return degrees(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
}

/** Places on the shorter arc around a centre from one place to another, both included. */
export function arcBetween([cx, cy]: Vec2, radius: number, from: Vec2, to: Vec2, sagitta = SAGITTA): Vec2[] {
  const start = Math.atan2(from[1] - cy, from[0] - cx);
  const sweep = Math.atan2(to[1] - cy, to[0] - cx) - start;
  const turn = Math.atan2(Math.sin(sweep), Math.cos(sweep));
  const number = Math.max(1, Math.ceil(Math.abs(turn) / (2 * Math.acos(Math.max(0.5, 1 - sagitta / radius)))));
  return Array.from({ length: number + 1 }, (_, i): Vec2 => {
    if (i === 0) return from;
    if (i === number) return to;
    const angle = start + (turn * i) / number;
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)];
  });
}

/** The place so many m from one place towards another. */
const towards = ([ax, ay]: Vec2, [bx, by]: Vec2, far: number): Vec2 => {
  const k = far / distance2([ax, ay], [bx, by]);
  return [ax + k * (bx - ax), ay + k * (by - ay)];
};

/** A path that turns around a radius at its corners, m; where a leg is too short, around the largest that fits. */
export function bentPath(path: readonly Vec2[], radius: number): readonly Vec2[] {
  if (radius <= 0) return path;
  const bent = path.flatMap((at, i): readonly Vec2[] => {
    const [before, after] = [path[i - 1], path[i + 1]];
    if (!before || !after) return [at];
    const turn = Math.abs(turnAt(before, at, after));
    if (turn < 1e-6 || turn > 180 - 1e-3) return [at];
    const half = Math.tan(radians(turn) / 2);
    const tangent = Math.min(radius * half, SHARE * distance2(before, at), SHARE * distance2(at, after));
    const [from, to] = [towards(at, before, tangent), towards(at, after, tangent)];
    const r = tangent / half;
    // The centre lies on the line that halves the corner.
    const middle: Vec2 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
    return arcBetween(towards(at, middle, Math.hypot(r, tangent)), r, from, to, OF_PATH);
  });
  // Where two bends share a leg, one begins where the other ends.
  return bent.filter((at, i) => i === 0 || distance2(at, bent[i - 1]) > SAME);
}

/**
 * A smooth path through places: the centripetal Catmull-Rom curve (Catmull and Rom, 1974; Yuksel, Schaefer and Keyser,
 * 2011 (from memory)), its ends led on as far as its first and last legs are long. One that ends where it begins is
 * closed: it goes on smoothly there, too.
 */
export function smoothPath(path: readonly Vec2[]): readonly Vec2[] {
  const last = path.length - 1;
  if (last < 2) return path;
  const beyond = ([x, y]: Vec2, [px, py]: Vec2): Vec2 => [2 * x - px, 2 * y - py];
  const isClosed = last > 2 && distance2(path[0], path[last]) < SAME;
  const places = isClosed
    ? [path[last - 1], ...path, path[1]]
    : [beyond(path[0], path[1]), ...path, beyond(path[last], path[last - 1])];
  const spans = path.slice(1).map((_, i) => spanOf(places.slice(i, i + 4)));
  return [path[0], ...spans.flatMap((at, i) => [...halved(at, 0, path[i], 1, path[i + 1], DEPTH), path[i + 1]])];
}

/** The span between the middle two of four places, by shares from 0 to 1 (Barry and Goldman, 1988 (from memory)). */
function spanOf(four: readonly Vec2[]): (share: number) => Vec2 {
  const knots = [0];
  four.slice(1).forEach((at, i) => knots.push(knots[i] + Math.sqrt(distance2(four[i], at)) || 1e-4));
  const mix = (a: Vec2, b: Vec2, from: number, to: number, t: number): Vec2 => {
    const k = (t - from) / (to - from);
    return [a[0] + k * (b[0] - a[0]), a[1] + k * (b[1] - a[1])];
  };
  const [t0, t1, t2, t3] = knots;
  return (share) => {
    const t = t1 + share * (t2 - t1);
    const [a, b, c] = [
      mix(four[0], four[1], t0, t1, t),
      mix(four[1], four[2], t1, t2, t),
      mix(four[2], four[3], t2, t3, t),
    ];
    return mix(mix(a, b, t0, t2, t), mix(b, c, t1, t3, t), t1, t2, t);
  };
}

/** Places between two of a curve, as many as keep its stretches near it. */
function halved(
  at: (share: number) => Vec2,
  from: number,
  start: Vec2,
  to: number,
  end: Vec2,
  depth: number,
): readonly Vec2[] {
  const middle = (from + to) / 2;
  const place = at(middle);
  const chord: Vec2 = [(start[0] + end[0]) / 2, (start[1] + end[1]) / 2];
  // The first halves are made whatever they are: an S passes through the middle of its chord.
  if (depth === 0 || (depth < DEPTH - 1 && distance2(place, chord) < OF_PATH)) return [];
  return [
    ...halved(at, from, start, middle, place, depth - 1),
    place,
    ...halved(at, middle, place, to, end, depth - 1),
  ];
}

/** The curve that each wall of a ring is of, by numbers from one on: walls of one follow one another smoothly. */
export function curvesOf(ring: readonly Vec2[], first = 0): number[] {
  const n = ring.length;
  const bends = ring.map((at, i) => Math.abs(turnAt(ring[(i + n - 1) % n], at, ring[(i + 1) % n])) < CURVED);
  // Numbers begin at a corner, so that no curve runs over the end of the ring.
  const corner = Math.max(0, bends.indexOf(false));
  let curve = first;
  const out: number[] = [];
  for (let j = 0; j < n; j++) {
    const i = (corner + j) % n;
    if (j > 0 && !bends[i]) curve++;
    out[i] = curve;
  }
  return out;
}
