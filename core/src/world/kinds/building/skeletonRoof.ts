import { distance2, type Vec2, type Vec3 } from "../../../geometry";
import { atShare, crossingAt } from "../../path";
import { solidOf, type Solid } from "../../solid";
import { straightSkeleton, type Skeleton } from "../../skeleton";

/** A roof of one pitch over an area: hipped on all sides, or with gables where a side's part ends in one point. */
export interface SkeletonRoof {
  /** Heights count from the eaves, m. */
  readonly nodes: readonly Vec3[];
  /** How far inside its sides the highest of it lies, m. */
  readonly reach: number;
  /** For each side the nodes around its part of the roof, its own two ends first, or the peak of its gable. */
  readonly parts: readonly ({ readonly slope: readonly number[] } | { readonly peak: number })[];
}

const isConvexAt = (p: Vec2, [x, y]: Vec2, q: Vec2): boolean =>
  (x - p[0]) * (q[1] - y) - (y - p[1]) * (q[0] - x) > 1e-9;

/**
 * Where the ridge that ends in the point of a side's part comes through the wall of that side, and its other end; null
 * where the part is no triangle, stands at a corner that bends inwards, or has no one ridge.
 */
function gableOf(
  { nodes, faces }: Skeleton,
  ring: readonly Vec2[],
  side: number,
): { readonly peak: number; readonly at: Vec2; readonly inwards: number } | null {
  const n = ring.length;
  const face = faces[side];
  if (face.length !== 3) return null;
  const [a, b] = [ring[side], ring[(side + 1) % n]];
  if (!isConvexAt(ring[(side + n - 1) % n], a, b) || !isConvexAt(a, b, ring[(side + 2) % n])) return null;
  const peak = face[2];
  const beyond = new Set(
    faces.flatMap((loop) => {
      const i = loop.indexOf(peak);
      return i < 0 ? [] : [loop[(i + 1) % loop.length], loop[(i + loop.length - 1) % loop.length]];
    }),
  );
  const ridges = [...beyond].filter((node) => node !== face[0] && node !== face[1]);
  if (ridges.length !== 1) return null;
  const [from, to] = [nodes[ridges[0]], nodes[peak]];
  const shares = crossingAt(from.at, to.at, a, b);
  if (!shares || shares[0] < 1 || shares[1] < 0.02 || shares[1] > 0.98) return null;
  const inwards = from.inwards + shares[0] * (to.inwards - from.inwards);
  return inwards > 0 ? { peak, at: atShare(a, b, shares[1]), inwards } : null;
}

/**
 * A roof over an area by its straight skeleton, so high over the eaves at its highest.
 * @param holes corners of each courtyard, counter-clockwise
 * @returns null where the area has no skeleton that can be worked out
 */
export function skeletonRoof(
  kind: "hip" | "gable",
  outer: readonly Vec2[],
  holes: readonly (readonly Vec2[])[],
  rise: number,
): SkeletonRoof | null {
  const skeleton = straightSkeleton(outer, holes);
  if (!skeleton) return null;
  const { faces } = skeleton;
  const nodes = skeleton.nodes.map(({ at, inwards }) => ({ at, inwards }));
  const gables = faces.map((_, side) =>
    kind === "gable" && side < outer.length ? gableOf(skeleton, outer, side) : null,
  );
  // A point that two parts share can go to one wall only.
  const taken = new Set<number>();
  const parts = faces.map((slope, side): SkeletonRoof["parts"][number] => {
    const gable = gables[side];
    if (!gable || taken.has(gable.peak)) return { slope };
    taken.add(gable.peak);
    nodes[gable.peak] = gable;
    return { peak: gable.peak };
  });
  const reach = Math.max(...nodes.map(({ inwards }) => inwards));
  return { nodes: nodes.map(({ at: [x, y], inwards }): Vec3 => [x, y, (rise * inwards) / reach]), reach, parts };
}

/** The places of a roof that are no corners of what it stands on, over its eaves. */
function heights({ nodes, parts }: SkeletonRoof, corners: number, eaves: number) {
  const own = parts.flatMap((part) => ("peak" in part ? [part.peak] : part.slope));
  const inner = [...new Set(own)].filter((node) => node >= corners);
  return {
    /** The number of a node among the corners and what stands higher. */
    numberOf: (node: number) => (node < corners ? node : corners + inner.indexOf(node)),
    vertices: inner.map((node): Vec3 => [nodes[node][0], nodes[node][1], eaves + nodes[node][2]]),
  };
}

/**
 * Walls around an area under such a roof, as one closed solid.
 * @param from its foot and its eaves, m
 */
export function underSkeletonRoof(
  id: string,
  outer: readonly Vec2[],
  holes: readonly (readonly Vec2[])[],
  [from, eaves]: readonly [number, number],
  roof: SkeletonRoof,
): Solid {
  const { parts } = roof;
  const rings = [outer, ...holes.map((hole) => [...hole].reverse())];
  const places = rings.flat();
  const count = places.length;
  const numbers = rings.map((ring, r) => {
    const first = rings.slice(0, r).reduce((sum, one) => sum + one.length, 0);
    return ring.map((_, i) => first + i);
  });
  const { numberOf, vertices: higher } = heights(roof, count, eaves);
  // Feet, then eaves, then what is higher.
  const vertexOf = (node: number) => count + numberOf(node);
  const vertices = [
    ...places.map(([x, y]): Vec3 => [x, y, from]),
    ...places.map(([x, y]): Vec3 => [x, y, eaves]),
    ...higher,
  ];
  const sides = numbers
    .flatMap((ring, r) =>
      ring.map((a, i) => {
        const b = ring[(i + 1) % ring.length];
        const part = parts[a];
        const gable = "peak" in part ? [vertexOf(part.peak)] : [];
        const name = r === 0 ? `wall ${i}` : `yard ${r - 1} wall ${(2 * ring.length - 2 - i) % ring.length}`;
        const slope = "slope" in part ? [{ name: `roof ${a}`, loop: part.slope.map(vertexOf) }] : [];
        return [{ name, loop: [a, b, b + count, ...gable, a + count] }, ...slope];
      }),
    )
    .flat();
  const faces = [{ name: "bottom", loop: [...numbers[0]].reverse() }, ...sides];
  return solidOf(
    id,
    vertices,
    faces.map(({ loop }) => loop),
    faces.map(() => undefined),
    faces.map(({ name }) => name),
    [numbers.slice(1).map((ring) => [...ring].reverse())],
  );
}

/** Each side of an outline moved outwards by its own measure, m; null where corners of it would pass each other. */
export function outset(points: readonly Vec2[], by: readonly number[]): readonly Vec2[] | null {
  const n = points.length;
  const lines = points.map((p, i) => {
    const q = points[(i + 1) % n];
    const long = distance2(p, q);
    const [nx, ny] = [(q[1] - p[1]) / long, (p[0] - q[0]) / long];
    return [[p[0] + by[i] * nx, p[1] + by[i] * ny] as Vec2, [q[0] + by[i] * nx, q[1] + by[i] * ny] as Vec2] as const;
  });
  const out = lines.map((line, i): Vec2 | null => {
    const before = lines[(i + n - 1) % n];
    const shares = crossingAt(...before, ...line);
    return shares && atShare(...line, shares[1]);
  });
  const kept = out.every((p, i) => {
    const q = out[(i + 1) % n];
    const [a, b] = [points[i], points[(i + 1) % n]];
    return p && q && (q[0] - p[0]) * (b[0] - a[0]) + (q[1] - p[1]) * (b[1] - a[1]) > 0;
  });
  return kept ? (out as readonly Vec2[]) : null;
}

/**
 * A roof of its own over walls, whose eaves reach out beyond them on the sides that slope: level below, at the height
 * of the eaves.
 * @returns null where it cannot be worked out
 */
export function overhangingRoof(
  id: string,
  kind: "hip" | "gable",
  outer: readonly Vec2[],
  eaves: number,
  { rise, overhang }: { readonly rise: number; readonly overhang: number },
): Solid | null {
  const flush = skeletonRoof(kind, outer, [], rise);
  const wide =
    flush &&
    outset(
      outer,
      flush.parts.map((part) => ("peak" in part ? 0 : overhang)),
    );
  const roof = wide && skeletonRoof(kind, wide, [], rise);
  return wide && roof && roofAlone(id, wide, eaves, roof);
}

/** A roof with a level underside. */
function roofAlone(id: string, outer: readonly Vec2[], eaves: number, roof: SkeletonRoof): Solid {
  const n = outer.length;
  const { parts } = roof;
  const { numberOf, vertices } = heights(roof, n, eaves);
  const loops = parts.map((part, i) =>
    "peak" in part ? [i, (i + 1) % n, numberOf(part.peak)] : part.slope.map(numberOf),
  );
  const bottom = Array.from({ length: n }, (_, i) => n - 1 - i);
  return solidOf(
    id,
    [...outer.map(([x, y]): Vec3 => [x, y, eaves]), ...vertices],
    [bottom, ...loops],
    [undefined, ...loops.map(() => undefined)],
    ["bottom", ...parts.map((part, i) => ("peak" in part ? `gable ${i}` : `roof ${i}`))],
  );
}
