import { dot, scale, sub, type Interval, type Vec3 } from "../geometry";
import { TOUCH } from "./occluder";
import { planesThrough } from "./recesses";

/** What is hidden of a segment behind an opening: all of it but what lies in the pyramid from the eye through that. */
type OpeningSight = (opening: readonly Vec3[], a: Vec3, b: Vec3) => readonly Interval[];

/**
 * How much an eye sees of segments behind openings. An opening is a convex polygon, counter-clockwise as the eye sees
 * it, so what is seen through it is a product of half-spaces, and an interval of the segment.
 */
export function openingSight(eye: Vec3): OpeningSight {
  // The lines of one opening share its corners.
  const known = new WeakMap<readonly Vec3[], readonly Vec3[]>();
  return (opening, a, b) => {
    let planes = known.get(opening);
    if (!planes)
      known.set(
        opening,
        (planes = planesThrough({ kind: "point", at: eye }, opening).map(([into]) => scale(into, -1))),
      );
    const [p, q] = [sub(a, eye), sub(b, eye)];
    let [t0, t1] = [0, 1];
    for (const out of planes) {
      const [ga, gb] = [dot(out, p) - TOUCH, dot(out, q) - TOUCH];
      if (ga > 0 && gb > 0) return [[0, 1]];
      if (ga > 0) t0 = Math.max(t0, ga / (ga - gb));
      else if (gb > 0) t1 = Math.min(t1, ga / (ga - gb));
    }
    return t0 < t1
      ? [
          [0, t0],
          [t1, 1],
        ]
      : [[0, 1]];
  };
}
