import { scale, sub, type Vec3 } from "../geometry";
import type { View } from "./view";

/**
 * The four planes through the eye and the panel's sides, as inward world normals. Together they bound the pyramid of
 * sight; left and right leave only what lies in front of the eye, so no near plane is needed.
 */
export function sightPlanes(view: View): readonly Vec3[] {
  const { centre, distance: d, frame, right, up, forward } = view;
  const left = frame.x - centre[0];
  const top = centre[1] - frame.y;
  return [
    sub(scale(right, d), scale(forward, left)),
    sub(scale(forward, left + frame.width), scale(right, d)),
    sub(scale(forward, top), scale(up, d)),
    sub(scale(up, d), scale(forward, top - frame.height)),
  ];
}

/**
 * World segments as far as they lie in the panel, those that do not left out: ax ay az bx by bz of each, m. Straight
 * lens.
 */
export function clipAllToSight(view: View, ends: Float64Array): Float64Array {
  const [ex, ey, ez] = view.eye;
  const planes = Float64Array.from(sightPlanes(view).flat());
  const kept = new Float64Array(ends.length);
  let o = 0;
  for (let i = 0; i < ends.length; i += 6) {
    const ax = ends[i] - ex;
    const ay = ends[i + 1] - ey;
    const az = ends[i + 2] - ez;
    const dx = ends[i + 3] - ends[i];
    const dy = ends[i + 4] - ends[i + 1];
    const dz = ends[i + 5] - ends[i + 2];
    let t0 = 0;
    let t1 = 1;
    for (let p = 0; p < planes.length && t0 < t1; p += 3) {
      const at = planes[p] * ax + planes[p + 1] * ay + planes[p + 2] * az;
      const by = planes[p] * dx + planes[p + 1] * dy + planes[p + 2] * dz;
      if (at < 0 && at + by < 0) t1 = t0;
      else if (at < 0) t0 = Math.max(t0, -at / by);
      else if (at + by < 0) t1 = Math.min(t1, -at / by);
    }
    if (!(t0 < t1)) continue;
    kept[o] = ends[i] + t0 * dx;
    kept[o + 1] = ends[i + 1] + t0 * dy;
    kept[o + 2] = ends[i + 2] + t0 * dz;
    kept[o + 3] = ends[i] + t1 * dx;
    kept[o + 4] = ends[i + 1] + t1 * dy;
    kept[o + 5] = ends[i + 2] + t1 * dz;
    o += 6;
  }
  return kept.subarray(0, o);
}
