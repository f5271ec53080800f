import { BufferGeometry, DoubleSide, Float32BufferAttribute, Mesh, MeshBasicMaterial, Raycaster, Vector3 } from "three";
import { add, norm, onCubic, scale, sub, type Vec3 } from "../src/geometry";
import { DETAIL, HIDDEN, visibleEdges, type VisibleEdges } from "../src/visibility";
import { encloses, facing, type Built, type Solid } from "../src/world";

/** Round solids fall into facets for the eye within this, rad. */
const WITHIN = 2e-4;

/** Any solid as a mesh of `three`: its faces' convex pieces as fans. */
export function meshOf({ vertices, faces }: Solid): Mesh {
  const corners = faces.flatMap(({ pieces }) =>
    pieces.flatMap((piece) => piece.slice(2).flatMap((_, i) => [piece[0], piece[i + 1], piece[i + 2]])),
  );
  const geometry = new BufferGeometry().setAttribute(
    "position",
    new Float32BufferAttribute(
      corners.flatMap((n) => vertices[n]),
      3,
    ),
  );
  return new Mesh(geometry, new MeshBasicMaterial({ side: DoubleSide }));
}

/** Whether something stands between the eye and a point, up to `short` metres before it. */
export function stopped(meshes: readonly Mesh[], eye: Vector3, point: Vector3, short = 1e-4): boolean {
  const way = point.clone().sub(eye);
  const rays = new Raycaster(eye, way.clone().normalize(), 0, way.length() - short);
  return meshes.some((m) => rays.intersectObject(m).length > 0);
}

export const stretchesOf = (visible: VisibleEdges, wanted: (i: number) => boolean): [Vec3, Vec3][] =>
  [...visible.edgeClass.keys()].filter(wanted).map((i) => {
    const e = visible.ends.subarray(6 * i, 6 * i + 6);
    return [
      [e[0], e[1], e[2]],
      [e[3], e[4], e[5]],
    ];
  });

/** The place of a stretch at a parameter: of a curved one, on its cubic. */
export function placeOn({ ends, bends }: VisibleEdges, i: number, t: number): Vec3 {
  const vector = (all: Float64Array, o: number): Vec3 => [all[6 * i + o], all[6 * i + o + 1], all[6 * i + o + 2]];
  const [a, b] = [vector(ends, 0), vector(ends, 3)];
  const [u, v] = bends ? [vector(bends, 0), vector(bends, 3)] : [sub(b, a), sub(b, a)];
  // Straight stretches have none.
  return norm(u) > 0 && bends ? onCubic(a, b, u, v, t).at : add(scale(a, 1 - t), scale(b, t));
}

/** The facets that an eye sees of a solid, their edges straight. */
function facetsOf(solid: Solid, eye: Vec3): Solid {
  const faced = facing(solid, eye, { within: WITHIN, isCut: true, isInside: encloses(solid, eye) });
  return solid.shape ? { ...faced, edges: faced.edges.map((edge) => ({ ...edge, bend: undefined })) } : solid;
}

/** A world whose round solids are the facets that an eye sees of them, so that both sides look at the same ones. */
function inFacets({ solids, details }: Built, eye: Vec3): Built {
  const facets = new Map(solids.map((solid) => [solid, facetsOf(solid, eye)]));
  return {
    solids: [...facets.values()],
    details: details.map((one) => (one.on ? { ...one, on: { ...one.on, solid: facets.get(one.on.solid)! } } : one)),
  };
}

/**
 * Compares what is seen with rays of `three` at places of all stretches, and in the middle of all details: where they
 * differ, a ray to some place within 5 mm must answer as we do. @returns how many places were looked at, and how many
 * differed
 */
export function compared(world: Built, eye: Vec3): readonly [number, number] {
  const { solids, details } = inFacets(world, eye);
  const meshes = solids.map(meshOf);
  const from = new Vector3(...eye);
  const visible = visibleEdges(solids, eye, details);
  let [checked, doubtful] = [0, 0];
  const agree = (p: Vector3, hidden: boolean) => {
    checked++;
    if (stopped(meshes, from, p, 1e-3) === hidden) return;
    doubtful++;
    const steps = [
      [5, 0, 0],
      [-5, 0, 0],
      [0, 5, 0],
      [0, -5, 0],
      [0, 0, 5],
      [0, 0, -5],
      [3, 3, 3],
      [-3, -3, 3],
      [3, -3, -3],
      [-3, 3, -3],
    ];
    expect(
      steps.map((step) => stopped(meshes, from, p.clone().addScaledVector(new Vector3(...step), 1e-3), 1e-3)),
    ).toContain(hidden);
  };
  visible.edgeClass.forEach((edgeClass, i) => {
    const e = visible.ends.subarray(6 * i, 6 * i + 6);
    if (Math.hypot(e[3] - e[0], e[4] - e[1], e[5] - e[2]) < 0.05) return;
    for (const t of [0.21, 0.64])
      agree(
        new Vector3(e[0] + t * (e[3] - e[0]), e[1] + t * (e[4] - e[1]), e[2] + t * (e[5] - e[2])),
        edgeClass === HIDDEN,
      );
  });
  const drawn = stretchesOf(visible, (i) => visible.edgeClass[i] === DETAIL);
  for (const { a, b } of details) {
    const p: Vec3 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
    const long = ([q, r]: readonly [Vec3, Vec3]) => norm(sub(q, p)) + norm(sub(r, p)) - norm(sub(r, q));
    agree(new Vector3(...p), !drawn.some((one) => long(one) < 1e-7));
  }
  return [checked, doubtful];
}
