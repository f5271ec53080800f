import { dot, scale, sub, type Interval, type Vec3 } from "../geometry";
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

/** The stretch of the world segment a b that lies in the panel, as a part of [0, 1], or null. Straight lens. */
export function clipToSight(eye: Vec3, planes: readonly Vec3[], a: Vec3, b: Vec3): Interval | null {
  let [t0, t1] = [0, 1];
  const [pa, pb] = [sub(a, eye), sub(b, eye)];
  for (const plane of planes) {
    const [ga, gb] = [dot(plane, pa), dot(plane, pb)];
    if (ga < 0 && gb < 0) return null;
    if (ga < 0) t0 = Math.max(t0, ga / (ga - gb));
    else if (gb < 0) t1 = Math.min(t1, ga / (ga - gb));
  }
  return t0 < t1 ? [t0, t1] : null;
}
