import { dot, norm, sub, type Vec3 } from "../geometry";
import { encloses, facing, type Detail, type Solid } from "../world";
import { seenFrom } from "./directions";
import { Parts } from "./gathered";
import { grouped } from "./grouped";
import { cutThrough, intersectionCurves } from "./intersections";
import { TOUCH, type Occluder } from "./occluder";
import { hiddenWhole } from "./occlusionProfile";
import { NO_AREAS } from "./faceAreas";
import { shadesOf, type SeenPart, type Shading } from "./shades";
import { Sight } from "./sight";
import { SightMemory, type EyeSide } from "./sightMemory";
import { joined, type VisibleEdges } from "./visibleEdges";

/** @param exact the solid itself, where it falls into other facets for the eye */
function eyeSideOf(solid: Solid, eye: Vec3, exact: Solid): EyeSide {
  const heights = solid.faces.map(({ normal, offset, front }) => {
    const height = dot(normal, eye) - offset;
    // Beside a contour a facet may lean a little otherwise than its surface.
    return front === undefined ? height : front ? Math.max(height, 2 * TOUCH) : Math.min(height, -2 * TOUCH);
  });
  const isConvex = solid.convex && !exact.shape;
  // A card has no inside.
  if (exact.shape?.kind === "hulls") return { heights, inside: false };
  return { heights, inside: isConvex ? heights.every((height) => height <= TOUCH) : encloses(exact, eye) };
}

/** Edges are looked at so many at a time before what is known is handed out. */
const BATCH = 2000;

/** What a look may build on. */
interface Looking {
  /** What the same eye saw of the world before it changed. */
  readonly memory?: SightMemory;
  /** What is drawn, by the solid that it is drawn on, where that is known. */
  readonly drawn?: Drawn;
  /** Facets of round faces leave them by no more than this angle, rad. */
  readonly within?: number;
  /** The areas that are wanted. */
  readonly shading?: Shading;
  /** The parts of faces that the eye saw, for as long as the world stays as it is. */
  readonly parts?: Map<string, SeenPart>;
}

/** Round faces are exact within this where nothing is said, rad: 0.05 mm at a picture distance of a metre. */
const WITHIN = 5e-5;

/** What is drawn, by the solid that it is drawn on; on none, by undefined. */
export type Drawn = ReadonlyMap<Solid | undefined, readonly Detail[]>;

/** What is drawn, by the solid that it is drawn on. */
export const byDrawnOn = (details: readonly Detail[]): Drawn => grouped(details, ({ on }) => on?.solid);

/**
 * Which stretches of the edges of closed solids an eye sees, and of the lines in which they meet, in parts: the solids
 * that stand nearest first. It depends on the eye's place alone, not on gaze, lens or paper. Each convex piece of a
 * face hides, of each edge, what lies beyond its plane and inside the pyramid from the eye through its sides: a product
 * of half-spaces, so an interval of the edge that is exact to rounding. Solids that an occlusion profile before them
 * hides whole are set aside first; an index of what stands in which direction keeps far-apart edges and faces from
 * being compared. Touching faces do not hide one another's edges; edges that lie on a face are seen. Joins of a round
 * surface are stretches only where the surface turns away. Round faces fall into facets for the eye (`facing`), whose
 * contour and rims are exact. Details are asked of what stands before their own face, and of nothing else.
 * @param details what is drawn on surfaces; of it only what is seen is handed out
 */
export function* visibleEdgesInParts(
  world: readonly Solid[],
  eye: Vec3,
  details: readonly Detail[] = [],
  looking: Looking = {},
): Generator<VisibleEdges, void> {
  const {
    memory = new SightMemory(),
    drawn = byDrawnOn(details),
    within = WITHIN,
    shading,
    parts = new Map<string, SeenPart>(),
  } = looking;
  const cut = cutThrough(world);
  const solids = memory.facing(world, cut, (solid, isCut) =>
    facing(solid, eye, { within, isCut, isInside: encloses(solid, eye) }),
  );
  const known = memory.standing(solids, eye, (solid, s) => eyeSideOf(solid, eye, world[s]));
  const wanted = known.flatMap(({ standing }) => standing);
  const lost = hiddenWhole(
    solids,
    wanted.map(({ occluder }) => occluder),
    eye,
  );
  memory.noteLost(solids, lost);
  // What is hidden whole hides nothing that is not hidden already. The nearest first: what hides most is asked first.
  const standing = wanted
    .filter(({ occluder }) => !lost[occluder.solid])
    .sort((a, b) => a.occluder.near - b.occluder.near);
  const stands = known.map(({ side }) => side);
  const near = seenFrom(standing, eye);
  const sight = new Sight({ solids, eye, stands, lost, within, near });
  const out = new Parts(boxesOf(solids));
  const meeting = grouped(intersectionCurves(solids), ({ of: [{ solid }] }) => solid);
  const reach = solids.map(({ vertices }) => Math.min(Infinity, ...vertices.map((p) => norm(sub(p, eye)))));
  for (const s of [...solids.keys()].sort((p, q) => reach[p] - reach[q] || p - q)) {
    const solid = solids[s];
    const [met, on] = [meeting.get(s) ?? [], drawn.get(world[s]) ?? []];
    const now = { lost: lost[s] === 1, met, others: met.map(({ of: [, { solid: o }] }) => solids[o]), on };
    const before = memory.recall(solid, now);
    if (before) {
      out.add(s, before);
      continue;
    }
    sight.edgesOf(solid, s);
    met.forEach((one) => sight.meetingOf(one));
    sight.drawnOn(solid, s, on);
    const stretches = sight.taken();
    memory.keep(solid, { ...now, stretches });
    out.add(s, stretches);
    out.looked += solid.edges.length + met.length + on.length;
    if (out.looked >= BATCH) yield out.handOut();
  }
  for (const detail of drawn.get(undefined) ?? []) {
    sight.detailOf(detail);
    if (++out.looked < BATCH) continue;
    out.add(solids.length, sight.taken());
    yield out.handOut();
  }
  out.add(solids.length, sight.taken());
  memory.close();
  const faces = facesOf(
    solids,
    standing.map(({ occluder }) => occluder),
  );
  if (!shading) {
    yield out.handOut({ ...faces, areas: NO_AREAS });
    return;
  }
  const front = (s: number, f: number) => stands[s].inside || stands[s].heights[f] > TOUCH;
  const shades = shadesOf({ world, solids, eye, front, lost, near, within, drawn, parts }, shading);
  let next = shades.next();
  for (; !next.done; next = shades.next()) yield out.handOut();
  yield out.handOut({ ...faces, areas: next.value });
}

/** The boxes around solids, six numbers each. */
function boxesOf(solids: readonly Solid[]): Float64Array {
  const boxes = new Float64Array(6 * solids.length);
  solids.forEach(({ vertices }, s) => {
    for (const axis of [0, 1, 2]) {
      const along = vertices.map((p) => p[axis]);
      boxes[6 * s + 2 * axis] = along.reduce((least, x) => Math.min(least, x), Infinity);
      boxes[6 * s + 2 * axis + 1] = along.reduce((most, x) => Math.max(most, x), -Infinity);
    }
  });
  return boxes;
}

/** The corners of occluders, one after the other. */
function facesOf(solids: readonly Solid[], occluders: readonly Occluder[]) {
  const faceStarts = new Uint32Array(occluders.length + 1);
  occluders.forEach(({ loop }, i) => {
    faceStarts[i + 1] = faceStarts[i] + loop.length;
  });
  const faces = new Float64Array(3 * faceStarts[occluders.length]);
  occluders.forEach(({ solid, loop }, i) =>
    loop.forEach((n, k) => faces.set(solids[solid].vertices[n], 3 * (faceStarts[i] + k))),
  );
  return { faces, faceStarts };
}

/**
 * All that an eye sees, at once: the parts of `visibleEdgesInParts` together.
 * @param within facets of round faces leave them by no more than this angle, rad
 * @param shading the areas that are wanted
 */
export const visibleEdges = (
  solids: readonly Solid[],
  eye: Vec3,
  details: readonly Detail[] = [],
  within?: number,
  shading?: Shading,
): VisibleEdges => joined([...visibleEdgesInParts(solids, eye, details, { within, shading })]);
