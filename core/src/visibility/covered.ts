import Flatbush from "flatbush";
import { add, cross, dot, sub, union, type Interval, type Vec3 } from "../geometry";
import { loopBoxes, type Box } from "./bearing";
import type { VisibleEdges } from "./visibleEdges";

/** Which parts of the way from one direction to another are covered by what stands there, however far away it is. */
export type Covered = (from: Vec3, to: Vec3) => readonly Interval[];

/** Which parts of a stretch of the world are hidden by what stands before them. */
export type HiddenFrom = (a: Vec3, b: Vec3) => readonly Interval[];

/** Which parts of a stretch of the world have something close behind them. */
export type BackedBy = (a: Vec3, b: Vec3) => readonly Interval[];

/** What lies on a face, or no farther beneath it than this (m), is drawn on it. */
const ON_FACE = 1e-3;

/** A convex part of a face as an eye looks at it. */
interface Cover {
  readonly pyramid: Float64Array;
  /** Its plane, from the eye: its normal towards the eye, and the height of the eye over it, m. */
  readonly normal: Vec3;
  readonly height: number;
  readonly box: Box;
}

interface Covers {
  readonly at: string;
  readonly covered: Covered;
  readonly hidden: HiddenFrom;
  readonly backed: (p: Vec3, q: Vec3, gap: number) => readonly Interval[];
}

const known = new WeakMap<VisibleEdges, Covers>();

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

/** The convex parts of faces that an eye looks at, their corners given from it. */
const facesFrom = ({ faces, faceStarts }: VisibleEdges, eye: Vec3): Vec3[][] =>
  Array.from({ length: faceStarts.length - 1 }, (_, i) =>
    Array.from({ length: faceStarts[i + 1] - faceStarts[i] }, (_corner, k): Vec3 => {
      const o = 3 * (faceStarts[i] + k);
      return sub([faces[o], faces[o + 1], faces[o + 2]], eye);
    }),
  );

/** The unit normal of a polygon towards the origin, by Newell's sum, and the origin's height over it. */
function planeOf(corners: readonly Vec3[]): Pick<Cover, "normal" | "height"> {
  const [x, y, z] = corners.reduce<Vec3>(
    (sum, a, i) => add(sum, cross(a, corners[(i + 1) % corners.length])),
    [0, 0, 0],
  );
  const size = Math.hypot(x, y, z);
  const height = -(x * corners[0][0] + y * corners[0][1] + z * corners[0][2]) / size;
  const sign = height < 0 ? -1 : 1;
  return { normal: [(sign * x) / size, (sign * y) / size, (sign * z) / size], height: sign * height };
}

/** The part of a stretch that lies beyond a plane, by more than what is drawn on it does; null where none does. */
function beyond({ normal, height }: Cover, a: Vec3, b: Vec3): Interval | null {
  const [ga, gb] = [-dot(normal, a) - height - ON_FACE, -dot(normal, b) - height - ON_FACE];
  if (ga <= 0 && gb <= 0) return null;
  return [ga < 0 ? ga / (ga - gb) : 0, gb < 0 ? ga / (ga - gb) : 1];
}

/** The part of a stretch that lies before a plane by no more than a gap, or beyond it; null where none does. */
function closeTo({ normal, height }: Cover, a: Vec3, b: Vec3, gap: number): Interval | null {
  const [ga, gb] = [gap - height - dot(normal, a), gap - height - dot(normal, b)];
  if (ga <= 0 && gb <= 0) return null;
  return [ga < 0 ? ga / (ga - gb) : 0, gb < 0 ? ga / (ga - gb) : 1];
}

function both(p: Interval | null, q: Interval | null): Interval[] {
  if (!p || !q) return [];
  const [from, to] = [Math.max(p[0], q[0]), Math.min(p[1], q[1])];
  return from < to ? [[from, to]] : [];
}

function coversOf(visible: VisibleEdges, eye: Vec3): Covers {
  const at = eye.join(" ");
  const before = known.get(visible);
  if (before?.at === at) return before;
  const entries = facesFrom(visible, eye).flatMap((corners): Cover[] => {
    const own = { pyramid: pyramidOf(corners), ...planeOf(corners) };
    return loopBoxes(corners).map((box) => ({ ...own, box }));
  });
  const index = entries.length > 0 ? new Flatbush(entries.length) : null;
  for (const { box } of entries) index!.add(...box);
  index?.finish();
  const near = (from: Vec3, to: Vec3): readonly Cover[] =>
    index ? loopBoxes([from, to]).flatMap((box) => index.search(...box).map((n) => entries[n])) : [];
  const covers: Covers = {
    at,
    covered: (from, to) => union(near(from, to).flatMap(({ pyramid }) => both(within(pyramid, from, to), [0, 1]))),
    hidden: (p, q) => {
      const [from, to] = [sub(p, eye), sub(q, eye)];
      return union(near(from, to).flatMap((cover) => both(within(cover.pyramid, from, to), beyond(cover, from, to))));
    },
    backed: (p, q, gap) => {
      const [from, to] = [sub(p, eye), sub(q, eye)];
      return union(
        near(from, to).flatMap((cover) => both(within(cover.pyramid, from, to), closeTo(cover, from, to, gap))),
      );
    },
  };
  known.set(visible, covers);
  return covers;
}

/**
 * What the faces that an eye looks at cover of its sight. Ways are given by directions from the eye, and answered in
 * shares of the straight line between the two. It is worked out once for each eye, whatever lens looks.
 */
export const coveredBy = (visible: VisibleEdges, eye: Vec3): Covered => coversOf(visible, eye).covered;

/**
 * What the faces that an eye looks at hide of stretches of the world, in shares of each; what lies on a face is not
 * hidden by it. It is worked out once for each eye.
 */
export const hiddenFrom = (visible: VisibleEdges, eye: Vec3): HiddenFrom => coversOf(visible, eye).hidden;

/**
 * What the faces that an eye looks at have close behind stretches of the world, in shares of each: a face no farther
 * behind than a gap (m, at right angles to the face), or one before them.
 */
export const backedBy = (visible: VisibleEdges, eye: Vec3, gap: number): BackedBy => {
  const { backed } = coversOf(visible, eye);
  return (a, b) => backed(a, b, gap);
};
