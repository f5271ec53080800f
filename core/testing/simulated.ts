import { add, dot, scale, type Vec2, type Vec3 } from "../src/geometry";
import { eyeAxes, type Gaze } from "../src/shot";
import type { Segment } from "../src/recover";
import type { Edge } from "../src/scene";

/** Gaussian numbers from a seed, by the method of Box and Muller, over the generator mulberry32 (from memory). */
export function gauss(seed: number): () => number {
  let a = seed | 0;
  const even = () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
}

/** A camera for tests: focal length and centre in px, and a gaze in degrees. */
export interface Camera {
  readonly f: number;
  readonly centre: Vec2;
  readonly gaze: Gaze;
}

/** Edges that run along a world direction, as a camera sees them and a hand of so many px traces them. */
export function tracedEdges(
  { f, centre, gaze }: Camera,
  along: Vec3,
  n: number,
  sigma: number,
  noise: () => number,
  seed: number,
): Segment[] {
  const place = gauss(seed);
  const { right, up, forward } = eyeAxes(gaze);
  const at = (p: Vec3): Vec2 => {
    const [a, b, c] = [dot(p, right), dot(p, up), dot(p, forward)];
    return [centre[0] + (f * a) / c, centre[1] - (f * b) / c];
  };
  const edges: Segment[] = [];
  while (edges.length < n) {
    // A world edge of 3 m, 8 to 30 m ahead, that lies before the eye with both ends.
    const ahead = 8 + 22 * Math.abs(Math.sin(place()));
    const middle = add(
      add(scale(forward, ahead), scale(right, ahead * 0.3 * place())),
      scale(up, ahead * 0.2 * place()),
    );
    const [p, q] = [add(middle, scale(along, -1.5)), add(middle, scale(along, 1.5))];
    if (Math.min(dot(p, forward), dot(q, forward)) < 2) continue;
    const [a, b] = [at(p), at(q)];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (length < 60) continue;
    const [nx, ny] = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
    const [e, g] = [sigma * noise(), sigma * noise()];
    edges.push({ a: [a[0] + e * nx, a[1] + e * ny], b: [b[0] + g * nx, b[1] + g * ny] });
  }
  return edges;
}

/** Traced edges as a reference keeps them. */
export const asEdges = (segments: readonly Segment[]): Edge[] =>
  segments.map(({ a, b }) => ({ x1: a[0], y1: a[1], x2: b[0], y2: b[1] }));
