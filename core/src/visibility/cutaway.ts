import { dot, type Vec3 } from "../geometry";
import type { Built, Detail, DetailItem, Edge, Face, Solid } from "../world";

/** Nearer than this to a plane counts as on it, m. */
const FLAT = 1e-6;

const isOfRoom = ({ name = "" }: Face): boolean => name.startsWith("room");
const isOpening = ({ name = "" }: Face): boolean => name.startsWith("opening");
const isOuter = (face: Face): boolean => !isOfRoom(face) && !isOpening(face);

/** A solid without some of its faces, by number: edges beside them are gone, and the rest is seen from before them. */
function withoutFaces(solid: Solid, gone: ReadonlySet<number>): Solid {
  const kept = solid.faces.flatMap((_, f) => (gone.has(f) ? [] : [f]));
  const number = new Map(kept.map((f, i) => [f, i]));
  const edges = solid.edges.flatMap((edge): Edge[] => {
    const [p, q] = edge.faces.map((f) => number.get(f));
    // What folds inwards is hidden by what stands beside it; now nothing does.
    return p === undefined || q === undefined ? [] : [{ ...edge, faces: [p, q], concave: false }];
  });
  return { ...solid, faces: kept.map((f) => solid.faces[f]), edges, convex: false };
}

/** What opens in faces that are gone, as far as it is drawn: its items. */
const itemsOn = ({ edges }: Solid, gone: ReadonlySet<number>): readonly DetailItem[] =>
  edges.flatMap(({ faces, detail }) => (detail?.item && faces.some((f) => gone.has(f)) ? [detail.item] : []));

/** The faces of a solid that stand between an eye and its rooms: outer ones that look at the eye, and holes in them. */
function nearFaces({ faces, edges }: Solid, eye: Vec3): ReadonlySet<number> {
  const gone = new Set<number>();
  faces.forEach((face, f) => {
    if (isOuter(face) && dot(face.normal, eye) - face.offset > FLAT) gone.add(f);
  });
  const opens = edges.flatMap(({ faces: [p, q] }) =>
    [
      [p, q],
      [q, p],
    ].flatMap(([near, hole]) => (gone.has(near) && isOpening(faces[hole]) ? [hole] : [])),
  );
  return new Set([...gone, ...opens]);
}

/**
 * A world with the near walls of one element left out, so that an eye before them sees into its rooms: with those
 * walls goes what stands out of them and what is drawn on them. An element without rooms stays whole.
 */
export function cutAway(world: Built, eye: Vec3, element?: string): Built {
  const { solids, details } = world;
  const own = solids.filter(({ id, faces }) => id === element && faces.some(isOfRoom));
  if (own.length === 0) return world;
  const changed = new Map<Solid, { readonly solid: Solid | null; readonly gone: ReadonlySet<number> }>();
  const items = new Set<DetailItem>();
  const planes: Face[] = [];
  for (const solid of own) {
    const gone = nearFaces(solid, eye);
    changed.set(solid, { solid: withoutFaces(solid, gone), gone });
    for (const item of itemsOn(solid, gone)) items.add(item);
    planes.push(...[...gone].map((f) => solid.faces[f]).filter(isOuter));
  }
  const reachesOut = (places: readonly Vec3[], by: number) =>
    planes.some(({ normal, offset }) => places.some((p) => dot(normal, p) - offset > by));
  for (const solid of solids)
    if (solid.id === element && !changed.has(solid) && reachesOut(solid.vertices, FLAT))
      changed.set(solid, { solid: null, gone: new Set(solid.faces.keys()) });
  return {
    solids: solids.flatMap((solid) => {
      const now = changed.get(solid);
      return now ? (now.solid ?? []) : [solid];
    }),
    details: details.flatMap((detail): Detail[] => {
      if (detail.item && items.has(detail.item)) return [];
      if (detail.of === element && reachesOut([detail.a, detail.b], -FLAT)) return [];
      const now = detail.on && changed.get(detail.on.solid);
      if (!detail.on || !now) return [detail];
      if (!now.solid || now.gone.has(detail.on.face)) return [];
      const face = now.solid.faces.indexOf(detail.on.solid.faces[detail.on.face]);
      return [{ ...detail, on: { ...detail.on, solid: now.solid, face } }];
    }),
  };
}
