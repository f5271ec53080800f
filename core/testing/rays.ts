import { BufferGeometry, DoubleSide, Float32BufferAttribute, Mesh, MeshBasicMaterial, Raycaster, Vector3 } from "three";
import { norm, sub, type Vec3 } from "../src/geometry";
import { DETAIL, HIDDEN, visibleEdges, type VisibleEdges } from "../src/visibility";
import { roundSolid, type Built, type Solid } from "../src/world";

/** Round solids are meshed within this, m. */
const FINE = 1e-3;

/** The eye sees them within this, rad: a millimetre at a hundred metres. */
const WITHIN = 1e-5;

/** Any solid as a mesh of `three`: its faces' convex pieces as fans. */
function meshOf(solid: Solid): Mesh {
  const { vertices, faces } = solid.shape ? roundSolid(solid.id, solid.shape, solid.part, FINE) : solid;
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

/**
 * Compares what is seen with rays of `three` at places of all stretches, and in the middle of all details: where they
 * differ, a ray to some place within 5 mm must answer as we do. @returns how many places were looked at, and how many
 * differed
 */
export function compared({ solids, details }: Built, eye: Vec3): readonly [number, number] {
  const meshes = solids.map(meshOf);
  const from = new Vector3(...eye);
  const visible = visibleEdges(solids, eye, details, WITHIN);
  let [checked, doubtful] = [0, 0];
  // Rays graze a round solid at its contours, and pass a facet of it there or not: only those beside them tell.
  const agree = (p: Vector3, hidden: boolean, isRound = false) => {
    checked++;
    if (stopped(meshes, from, p, 1e-3) === hidden) return;
    if (!isRound) doubtful++;
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
        solids[visible.solid[i]]?.shape !== undefined,
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
