import Flatbush from "flatbush";
import { cross, dot, sub, union, type Interval, type Vec3 } from "../geometry";
import { loopBoxes } from "./bearing";
import type { VisibleEdges } from "./visibleEdges";

/** Which parts of the way from one direction to another are covered by what stands there, however far away it is. */
export type Covered = (from: Vec3, to: Vec3) => readonly Interval[];

const known = new WeakMap<VisibleEdges, { readonly at: string; readonly covered: Covered }>();

/** The inward normals of the pyramid from the eye through a convex polygon, three numbers each. */
function pyramidOf(corners: readonly Vec3[]): Float64Array {
  const inside = corners.reduce<Vec3>(([x, y, z], [u, v, w]) => [x + u, y + v, z + w], [0, 0, 0]);
  return Float64Array.from(
    corners.flatMap((a, i) => {
      const n = cross(a, corners[(i + 1) % corners.length]);
      const sign = dot(n, inside) < 0 ? -1 : 1;
      return n.map((k) => sign * k);
    }),
  );
}

/** The part of a + t (b - a) within a pyramid; null where there is none. */
function within(pyramid: Float64Array, a: Vec3, b: Vec3): Interval | null {
  let [t0, t1] = [0, 1];
  for (let i = 0; i < pyramid.length; i += 3) {
    const [x, y, z] = [pyramid[i], pyramid[i + 1], pyramid[i + 2]];
    const [ga, gb] = [x * a[0] + y * a[1] + z * a[2], x * b[0] + y * b[1] + z * b[2]];
    if (ga <= 0 && gb <= 0) return null;
    if (ga < 0) t0 = Math.max(t0, ga / (ga - gb));
    else if (gb < 0) t1 = Math.min(t1, ga / (ga - gb));
    if (t0 >= t1) return null;
  }
  return [t0, t1];
}

/**
 * What the faces that an eye looks at cover of its sight. Ways are given by directions from the eye, and answered in
 * shares of the straight line between the two. It is worked out once for each eye, whatever lens looks.
 */
export function coveredBy(visible: VisibleEdges, eye: Vec3): Covered {
  const at = eye.join(" ");
  const before = known.get(visible);
  if (before?.at === at) return before.covered;
  const { faces, faceStarts } = visible;
  const entries = Array.from({ length: faceStarts.length - 1 }, (_, i) =>
    Array.from({ length: faceStarts[i + 1] - faceStarts[i] }, (_corner, k): Vec3 => {
      const o = 3 * (faceStarts[i] + k);
      return sub([faces[o], faces[o + 1], faces[o + 2]], eye);
    }),
  ).flatMap((corners) => {
    const pyramid = pyramidOf(corners);
    return loopBoxes(corners).map((box) => ({ pyramid, box }));
  });
  const index = entries.length > 0 ? new Flatbush(entries.length) : null;
  for (const { box } of entries) index!.add(...box);
  index?.finish();
  const covered: Covered = (from, to) =>
    index
      ? union(
          loopBoxes([from, to])
            .flatMap((box) => index.search(...box))
            .flatMap((n) => {
              const part = within(entries[n].pyramid, from, to);
              return part ? [part] : [];
            }),
        )
      : [];
  known.set(visible, { at, covered });
  return covered;
}
