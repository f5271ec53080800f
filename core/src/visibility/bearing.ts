import { cross, dot, sub, type Vec3 } from "../geometry";

/**
 * What the eye sees of a thing, as boxes of azimuth and elevation (radians): minimum azimuth, minimum elevation,
 * maximum azimuth, maximum elevation. A thing across the seam at azimuth pi has two.
 */
export type Box = readonly [number, number, number, number];

const SLACK = 1e-9;
const TURN = 2 * Math.PI;

const azimuth = (v: Vec3): number => Math.atan2(v[1], v[0]);
const elevation = (v: Vec3): number => Math.atan2(v[2], Math.hypot(v[0], v[1]));

/** Lowest and highest elevation along a segment a b, seen from the origin. */
function elevations(a: Vec3, b: Vec3): readonly [number, number] {
  const d = sub(b, a);
  const [ea, eb] = [elevation(a), elevation(b)];
  // d/dt of z / hypot(x, y) vanishes where p + t q = 0: the quadratic terms cancel.
  const [q0, q1, q2] = [a[0] * a[0] + a[1] * a[1], a[0] * d[0] + a[1] * d[1], d[0] * d[0] + d[1] * d[1]];
  const t = (a[2] * q1 - d[2] * q0) / (d[2] * q1 - a[2] * q2);
  const inner = t > 0 && t < 1 ? elevation([a[0] + t * d[0], a[1] + t * d[1], a[2] + t * d[2]]) : ea;
  return [Math.min(ea, eb, inner), Math.max(ea, eb, inner)];
}

/** The boxes of an azimuth range that may run over the seam. */
function split(from: number, to: number, low: number, high: number): Box[] {
  const [e0, e1] = [low - SLACK, high + SLACK];
  if (to - from >= TURN - SLACK) return [[-Math.PI, e0, Math.PI, e1]];
  const shift = from < -Math.PI ? TURN : from >= Math.PI ? -TURN : 0;
  const [a0, a1] = [from + shift - SLACK, to + shift + SLACK];
  if (a1 <= Math.PI) return [[a0, e0, a1, e1]];
  return [
    [a0, e0, Math.PI, e1],
    [-Math.PI, e0, a1 - TURN, e1],
  ];
}

/** The signed turn from one azimuth to the next along a segment, in (-pi, pi]. */
function turn(from: number, to: number): number {
  const d = to - from;
  return d > Math.PI ? d - TURN : d <= -Math.PI ? d + TURN : d;
}

/** The boxes of a convex polygon (or a segment), its corners given from the eye. */
export function loopBoxes(loop: readonly Vec3[]): Box[] {
  const closed = loop.length > 2;
  const start = azimuth(loop[0]);
  let [at, from, to] = [start, start, start];
  let [low, high] = [Infinity, -Infinity];
  let overhead = false;
  for (let i = 0; i < (closed ? loop.length : 1); i++) {
    const [a, b] = [loop[i], loop[(i + 1) % loop.length]];
    const [e0, e1] = elevations(a, b);
    [low, high] = [Math.min(low, e0), Math.max(high, e1)];
    const step = turn(azimuth(a), azimuth(b));
    // A segment straight over or under the eye has no azimuth of its own.
    if (Math.abs(step) > Math.PI - 1e-6) overhead = true;
    at += step;
    [from, to] = [Math.min(from, at), Math.max(to, at)];
  }
  const round = closed && Math.abs(at - start) > 1;
  if (round || overhead) {
    const above = closed ? plumb(loop) : loop[0][2] + loop[1][2];
    return split(-Math.PI, Math.PI, above > 0 ? low : -Math.PI / 2, above > 0 ? Math.PI / 2 : high);
  }
  return split(from, to, low, high);
}

/** The side on which a polygon's plane meets the eye's plumb line: positive above. */
function plumb(loop: readonly Vec3[]): number {
  const n = cross(sub(loop[1], loop[0]), sub(loop[2], loop[0]));
  return dot(n, loop[0]) * n[2];
}
