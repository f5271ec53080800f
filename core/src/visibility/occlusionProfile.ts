import { sub, type Vec3 } from "../geometry";
import type { Solid } from "../world";
import type { Occluder } from "./occluder";

/** Directions that the occlusion profile is kept for, all round. */
const BINS = 4096;
/**
 * Within a bin an edge's slope strays from that at the bin's ends by less than this part of it: an eighth of the
 * bin's square.
 */
const STRAY = 1e-6;

/** What is lower than this is low ground, m. */
const LOW = 0.5;

const bin = (azimuth: number): number => ((azimuth + Math.PI) / (2 * Math.PI)) * BINS;

/** What an upright strip of the sight is covered by: from which slope (height over distance) to which. */
interface Sky {
  readonly low: Float64Array;
  readonly high: Float64Array;
}

/**
 * The slopes that a convex piece covers in every direction between two azimuths of a bin: those it covers at both.
 * Along a straight edge the slope is a sine of the azimuth, and strays between them by next to nothing; null where it
 * covers none.
 */
function covered(loop: readonly Vec3[], from: number, to: number): readonly [number, number] | null {
  let [low, high] = [-Infinity, Infinity];
  for (const azimuth of [from, to]) {
    const [c, s] = [Math.cos(azimuth), Math.sin(azimuth)];
    let [least, most] = [Infinity, -Infinity];
    for (let i = 0; i < loop.length; i++) {
      const [a, b] = [loop[i], loop[(i + 1) % loop.length]];
      const [sa, sb] = [c * a[1] - s * a[0], c * b[1] - s * b[0]];
      if (sa === sb || (sa > 0 && sb > 0) || (sa < 0 && sb < 0)) continue;
      const t = sa / (sa - sb);
      const [x, y, z] = [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])];
      const out = c * x + s * y;
      if (out <= 0) continue;
      const slope = z / out;
      least = Math.min(least, slope);
      most = Math.max(most, slope);
    }
    if (!(most >= least)) return null;
    [low, high] = [Math.max(low, least + STRAY * Math.abs(least)), Math.min(high, most - STRAY * Math.abs(most))];
  }
  return high > low ? [low, high] : null;
}

/** Adds what a piece covers to the occlusion profile, in every bin that it spans from end to end. */
function cover(sky: Sky, loop: readonly Vec3[], far: number): void {
  // What is narrower than a bin spans none.
  const wide = loop.reduce((most, [x, y]) => Math.max(most, Math.hypot(x - loop[0][0], y - loop[0][1])), 0);
  if (Math.PI * wide < ((2 * Math.PI) / BINS) * (far - wide)) return;
  const azimuths = loop.map(([x, y]) => Math.atan2(y, x));
  const [from, to] = [Math.min(...azimuths), Math.max(...azimuths)];
  // One across the seam, or over or under the eye, is left out: it costs time and no truth.
  if (to - from > Math.PI) return;
  for (let i = Math.ceil(bin(from)); i + 1 <= Math.floor(bin(to)); i++) {
    const at = (n: number) => (n / BINS) * 2 * Math.PI - Math.PI;
    const slopes = covered(loop, at(i), at(i + 1));
    if (!slopes) continue;
    const [low, high] = slopes;
    // Joined to what is there where they meet; of two apart, the one that reaches lower counts: towns stand on the
    // ground.
    if (low <= sky.high[i] && high >= sky.low[i])
      [sky.low[i], sky.high[i]] = [Math.min(low, sky.low[i]), Math.max(high, sky.high[i])];
    else if (sky.high[i] < sky.low[i] || low < sky.low[i]) [sky.low[i], sky.high[i]] = [low, high];
  }
}

/** Whether the occlusion profile covers all directions in which some places, and what lies between them, are seen. */
function coversAll(sky: Sky, vertices: readonly Vec3[], near: number): boolean {
  const azimuths = vertices.map(([x, y]) => Math.atan2(y, x));
  const [from, to] = [Math.min(...azimuths), Math.max(...azimuths)];
  if (to - from > Math.PI) return false;
  const far = farthest(vertices);
  const [floor, roof] = [Math.min(...vertices.map((p) => p[2])), Math.max(...vertices.map((p) => p[2]))];
  const [low, high] = [floor / (floor < 0 ? near : far), roof / (roof > 0 ? near : far)];
  for (let i = Math.floor(bin(from)); i <= Math.min(BINS - 1, Math.floor(bin(to))); i++)
    if (!(sky.low[i] < low && sky.high[i] > high)) return false;
  return true;
}

/** How near the box around some places comes to the eye, on the plan. */
function nearest(vertices: readonly Vec3[]): number {
  const gap = (k: 0 | 1) => {
    const [least, most] = [Math.min(...vertices.map((p) => p[k])), Math.max(...vertices.map((p) => p[k]))];
    return least > 0 ? least : most < 0 ? -most : 0;
  };
  return Math.hypot(gap(0), gap(1));
}
const farthest = (vertices: readonly Vec3[]): number => Math.max(...vertices.map(([x, y]) => Math.hypot(x, y)));

/**
 * Which solids are hidden whole by what stands wholly before them. An occlusion profile is kept of the elevations
 * that are covered in each direction, and grows by the faces that lie nearer than the solid that is asked for: it never
 * calls hidden what is seen, and may call seen what is hidden.
 * @param occluders the pieces of faces that stand in the eye's way
 */
export function hiddenWhole(solids: readonly Solid[], occluders: readonly Occluder[], eye: Vec3): Uint8Array {
  const lost = new Uint8Array(solids.length);
  if (solids.length < 8) return lost;
  const seen = solids.map(({ vertices }) => vertices.map((p) => sub(p, eye)));
  const plan = seen.map(nearest);
  const order = [...solids.keys()].sort((a, b) => plan[a] - plan[b]);
  // Pavements and kerbs hide nothing whole: they would cost time.
  const isLow = solids.map(({ vertices }) => vertices.every(([, , z]) => Math.abs(z - vertices[0][2]) < LOW));
  const pieces = occluders
    .filter(({ solid }) => !isLow[solid])
    .map(({ solid, loop }) => {
      const places = loop.map((n) => seen[solid][n]);
      return { solid, places, far: farthest(places) };
    })
    .sort((a, b) => a.far - b.far);
  const sky: Sky = { low: new Float64Array(BINS).fill(Infinity), high: new Float64Array(BINS).fill(-Infinity) };
  let next = 0;
  for (const s of order) {
    while (next < pieces.length && pieces[next].far < plan[s]) {
      const { solid, places, far } = pieces[next++];
      // What is hidden whole adds nothing.
      if (!lost[solid]) cover(sky, places, far);
    }
    if (plan[s] > 0 && coversAll(sky, seen[s], plan[s])) lost[s] = 1;
  }
  return lost;
}
