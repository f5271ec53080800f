import { add, along, headingDirection, radians, scale, type Vec2, type Vec3 } from "../../../geometry";
import { BOX_CORNERS } from "../block";
import type { Crate } from "./schema";

/** The unit ways of a leaning box's edges: along its length, its width and its height. */
export function crateAxes({
  heading,
  tilt,
  roll,
}: Pick<Crate, "heading" | "tilt" | "roll">): readonly [Vec3, Vec3, Vec3] {
  const [f0, r0, u0]: Vec3[] = [headingDirection(heading), headingDirection(heading + 90), [0, 0, 1]];
  const [p, q] = [radians(tilt), radians(roll)];
  const length = add(scale(f0, Math.cos(p)), scale(u0, Math.sin(p)));
  const up = add(scale(f0, -Math.sin(p)), scale(u0, Math.cos(p)));
  return [
    length,
    add(scale(r0, Math.cos(q)), scale(up, -Math.sin(q))),
    add(scale(r0, Math.sin(q)), scale(up, Math.cos(q))),
  ];
}

/** Its corners: counter-clockwise around its underside, seen from above while it does not lean, then around its top. */
export function crateCorners(crate: Crate): Vec3[] {
  const { middle, length, width, height } = crate;
  const [l, w, h] = crateAxes(crate);
  const loose = [0, 1].flatMap((z) =>
    BOX_CORNERS.map(([u, v]) =>
      along(along(scale(l, (u - 0.5) * length), w, (v - 0.5) * width), h, (z - 0.5) * height),
    ),
  );
  const lowest = Math.min(...loose.map(([, , z]) => z));
  return loose.map(([x, y, z]): Vec3 => [middle.x + x, middle.y + y, middle.z + z - lowest]);
}

/** The convex hull of places, counter-clockwise: Andrew's monotone chain (from memory). */
export function hullOf(places: readonly Vec2[]): Vec2[] {
  const sorted = [...places].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain = (from: readonly Vec2[]): Vec2[] => {
    const kept: Vec2[] = [];
    for (const p of from) {
      while (kept.length > 1) {
        const [a, b] = kept.slice(-2);
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 1e-12) break;
        kept.pop();
      }
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.reverse())];
}
