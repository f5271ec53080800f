import { visibilityCache, visibleEdges } from "@zanvo/core/visibility";
import {
  built,
  DEFAULT_ROW,
  DEFAULT_STREET,
  fillRow,
  buildCache,
  isBuilding,
  moved,
  usualFront,
  withFront,
  type Building,
  type Built,
  type Element,
  type Solid,
} from "@zanvo/core/world";
import { BufferGeometry, DoubleSide, Float32BufferAttribute, Mesh, MeshBasicMaterial, Raycaster, Vector3 } from "three";
import { acceleratedRaycast, MeshBVH } from "three-mesh-bvh";
import { medians, row } from "./timing";

/** A town of about n houses with roofs in rows on both sides of streets, and the streets. */
export function city(n: number): Element[] {
  const houses: Building[] = [];
  const streets: Element[] = [];
  for (let k = 0; houses.length < n; k++) {
    const x = (k - Math.sqrt(n / 10)) * 46;
    const length = 30 + 16 * Math.sqrt(n / 3);
    streets.push({
      id: `s${k}`,
      kind: "street",
      name: `s${k}`,
      path: [
        { x, y: 10 },
        { x, y: 10 + length },
      ],
      ...DEFAULT_STREET,
    });
    for (const side of [1, -1]) {
      const [a, b] = [
        { x: x + side * 6, y: 10 },
        { x: x + side * 6, y: 10 + length },
      ];
      houses.push(
        ...fillRow(
          {
            ...DEFAULT_ROW,
            id: `r${k}${side}`,
            name: "row",
            from: side > 0 ? a : b,
            to: side > 0 ? b : a,
            seed: 7 * k + side + 2,
          },
          [],
          (i) => `h${k} ${side} ${i}`,
        ),
      );
    }
  }
  return [...houses.slice(0, n), ...streets];
}

/** All faces of some solids as one mesh with a tree of boxes over its triangles. */
function meshOf(solids: readonly Solid[]): Mesh {
  const corners = solids.flatMap(({ vertices, faces }) =>
    faces.flatMap(({ pieces }) =>
      pieces.flatMap((piece) =>
        piece.slice(2).flatMap((_, i) => [piece[0], piece[i + 1], piece[i + 2]].flatMap((v) => vertices[v])),
      ),
    ),
  );
  const geometry = new BufferGeometry().setAttribute("position", new Float32BufferAttribute(corners, 3));
  geometry.boundsTree = new MeshBVH(geometry);
  const mesh = new Mesh(geometry, new MeshBasicMaterial({ side: DoubleSide }));
  mesh.raycast = acceleratedRaycast;
  return mesh;
}

/** How much of every edge is hidden, by a ray to each of so many places along it. */
function sampled(mesh: Mesh, solids: readonly Solid[], eye: Vector3, samples: number): number {
  const rays = new Raycaster();
  rays.firstHitOnly = true;
  const [p, way] = [new Vector3(), new Vector3()];
  let hidden = 0;
  for (const { vertices, edges } of solids)
    for (const { a, b } of edges) {
      for (let k = 0; k < samples; k++) {
        const t = (k + 0.5) / samples;
        p.set(...vertices[a]).lerp(way.set(...vertices[b]), t);
        way.copy(p).sub(eye);
        const length = way.length();
        rays.set(eye, way.divideScalar(length));
        rays.far = length - 1e-3;
        if (rays.intersectObject(mesh).length) hidden++;
      }
    }
  return hidden;
}

/**
 * Hidden lines of a town with roofs and streets, from nothing and after a move, against rays through a tree of boxes;
 * and how the time grows.
 */
export function towns(): void {
  const eye = [3, 0, 1.7] as const;
  const elements = city(300);
  const { solids, details } = built(elements);
  const mesh = meshOf(solids);
  // As the board's worker does: what did not change is not built again.
  const kept = buildCache();
  kept(elements);
  let step = 0;
  const look = (world: Built) => void visibleEdges(world.solids, eye, world.details);
  const oneMoved = () =>
    look(kept(elements.map((element, i) => (i === 40 ? moved(element, 0.01 * ++step, 0) : element))));
  const [whole, one, again, rays] = medians(
    [
      () => look(built(elements)),
      oneMoved,
      () => void visibleEdges(solids, [3.1, 0, 1.7], details),
      () => void sampled(mesh, solids, new Vector3(...eye), 20),
    ],
    5,
  );
  row(
    `hidden lines, 300 houses with roofs, ${details.length.toLocaleString("en")} details`,
    `${whole.toFixed(0)} ms, one house moved ${one.toFixed(0)} ms, the eye ${again.toFixed(0)} ms`,
    "under 1,000, 150 and 400 ms",
  );
  row(
    "the same by rays, three-mesh-bvh, at 5 % of an edge",
    `${rays.toFixed(0)} ms: ${(rays / whole).toFixed(1)}x`,
    "",
  );
  const sizes = [100, 400, 1600].map(city);
  const each = medians(
    sizes.map((many) => () => look(built(many))),
    5,
  );
  const heap = process.memoryUsage().heapUsed;
  row(
    "hidden lines, 100 / 400 / 1600 houses with roofs and windows",
    `${each.map((ms) => ms.toFixed(0)).join(" / ")} ms: ${(each[2] / 16 / each[0]).toFixed(2)}x per house; heap ` +
      `${(heap / 1e6).toFixed(0)} MB`,
    "grows less than 1.3x; under 600 MB",
  );
}

/** A building with a front on each of its walls, and bands; with a hint of brick where that is wanted. */
const fitted = (building: Building, brick: boolean): Building => ({
  ...[0, 1, 2, 3].reduce((one, side) => withFront(one, usualFront(one, side, side === 0)), building),
  dress: { plinth: 0.5, courses: 0.15, cornice: 0.4, ...(brick ? { pattern: "stretcher" as const, hint: true } : {}) },
});

/** The usual least gap at a picture distance of 500 mm, rad. */
const LEAST_ANGLE = 0.8 / 500;

/** Dressed buildings as an eye sees them: from nothing, and after one opening was moved. */
export function fronts(): void {
  const eye = [3, 4, 1.6] as const;
  const kinds = [
    { n: 300, brick: false, target: "2,000 ms for 200,000 strokes; 200 ms" },
    { n: 1600, brick: false, target: "near-linear" },
    { n: 300, brick: true, target: "" },
    { n: 300, brick: true, target: "under 2,000 ms", leastAngle: LEAST_ANGLE },
    { n: 300, brick: false, target: "2,000 ms; 200 ms", leastAngle: LEAST_ANGLE },
  ];
  for (const { n, brick, target, leastAngle } of kinds) {
    const town = city(n).map((one) => (isBuilding(one) ? fitted(one, brick) : one));
    const [build, see] = [buildCache(), visibilityCache()];
    // As a worker does it: built, seen, and kept for the next time.
    const look = (elements: readonly Element[]) => {
      const begun = performance.now();
      const parts = see(elements, eye, { leastAngle });
      while (!parts.next().done);
      return performance.now() - begun;
    };
    const resolution = leastAngle === undefined ? undefined : { eye, leastAngle };
    const strokes = build(town, resolution).details.length;
    const first = look(town);
    const changed = town.map((one, i) => {
      if (i > 0 || !isBuilding(one) || !one.fronts) return one;
      const [front, ...others] = one.fronts;
      return { ...one, fronts: [{ ...front, own: [{ bay: 0, storey: 1, by: 0.1 }] }, ...others] };
    });
    const again = look(changed);
    const perStroke = ((1000 * first) / strokes).toFixed(1);
    row(
      `${n} dressed buildings${brick ? ", a hint of brick" : ""}${resolution ? ", what can be told apart" : ""}, ` +
        `${strokes.toLocaleString("en")} strokes`,
      `${first.toFixed(0)} ms from nothing (${perStroke} µs a stroke), ${again.toFixed(0)} ms after one moved`,
      target,
    );
  }
}
