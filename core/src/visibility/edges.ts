import Flatbush from "flatbush";
import { dot, gaps, norm, sub, union, type Interval, type Vec3 } from "../geometry";
import { DETAIL_KINDS, encloses, LEVELS, type Detail, type Edge, type EdgeDetail, type Solid } from "../world";
import { loopBoxes } from "./bearing";
import { intersectionCurves, type Intersection } from "./intersections";
import { openingSight } from "./openingSight";
import { covers, hiddenInterval, occludersOf, TOUCH, type Occluder } from "./occluder";
import { hiddenWhole } from "./occlusionProfile";
import {
  CREASE,
  DETAIL,
  HIDDEN,
  INTERSECTION,
  joined,
  NOTHING_VISIBLE,
  OUTLINE,
  type EdgeClass,
  type VisibleEdges,
} from "./visibleEdges";

/** Stretches shorter than this are rounding, or what `TOUCH` leaves at a corner, in m. */
const SLIVER = 3 * TOUCH;

interface EyeSide {
  /** Height of the eye over each face's plane, in m: positive sees its outer side. */
  readonly heights: readonly number[];
  /** The eye is inside: every face stands in its way. */
  readonly inside: boolean;
}

function eyeSideOf(solid: Solid, eye: Vec3): EyeSide {
  const heights = solid.faces.map((face) => dot(face.normal, eye) - face.offset);
  return { heights, inside: solid.convex ? heights.every((height) => height <= TOUCH) : encloses(solid, eye) };
}

/** Edges are looked at so many at a time before what is known is handed out. */
const BATCH = 2000;

/** Which occluders a line passes by: those that it lies on. */
type Passed = (occluder: Occluder) => boolean;

/** More occluders than these before a face are looked for again for each line that is drawn on it. */
const MANY = 24;

/** What is no detail. */
const OF_NO_ITEM = { kind: 0, item: 0, rank: 0 };
/** The first of a row is drawn before all others of it. */
const FIRST = 31;

/** How often the place in a row can be halved: of the first, as often as that of any. */
const rankOf = (index: number): number => (index === 0 ? FIRST : FIRST - Math.clz32(index & -index));

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

/** Stretches that are gathered, until they are handed out. */
class Gathered {
  private ends: number[] = [];
  private solid: number[] = [];
  private edgeClass: number[] = [];
  private detail: number[] = [];
  private item: number[] = [];
  private rank: number[] = [];
  /** Edges and details looked at since the last time. */
  looked = 0;

  constructor(private readonly boxes: Float64Array) {}

  /** The faces that the eye looks at: they come with the last part. */
  faces: Pick<VisibleEdges, "faces" | "faceStarts"> | null = null;

  push(
    s: number,
    a: Vec3,
    b: Vec3,
    stretches: readonly Interval[],
    as: EdgeClass,
    { kind, item, rank } = OF_NO_ITEM,
  ): void {
    for (const [t0, t1] of stretches) {
      for (const t of [t0, t1])
        for (const axis of [0, 1, 2]) this.ends.push(t === 1 ? b[axis] : a[axis] + t * (b[axis] - a[axis]));
      this.solid.push(s);
      this.edgeClass.push(as);
      this.detail.push(kind);
      this.item.push(item);
      this.rank.push(rank);
    }
  }

  handOut(): VisibleEdges {
    const visible = {
      ends: Float64Array.from(this.ends),
      solid: Uint32Array.from(this.solid),
      edgeClass: Uint8Array.from(this.edgeClass),
      detail: Uint8Array.from(this.detail),
      item: Uint32Array.from(this.item),
      rank: Uint8Array.from(this.rank),
      boxes: this.boxes,
      ...(this.faces ?? { faces: NOTHING_VISIBLE.faces, faceStarts: NOTHING_VISIBLE.faceStarts }),
      whole: this.faces !== null,
    };
    [this.ends, this.solid, this.edgeClass, this.looked] = [[], [], [], 0];
    [this.detail, this.item, this.rank] = [[], [], []];
    return visible;
  }
}

/**
 * Which stretches of the edges of closed solids an eye sees, and of the lines in which they meet, in parts: the solids
 * that stand nearest first. It depends on the eye's place alone, not on gaze, lens or paper. Each convex piece of a
 * face hides, of each edge, what lies beyond its plane and inside the pyramid from the eye through its sides: a product
 * of half-spaces, so an interval of the edge that is exact to rounding. Solids that an occlusion profile before them
 * hides whole are set aside first; an index of what stands in which direction keeps far-apart edges and faces from
 * being compared.
 * Touching faces do not hide one another's edges; edges that lie on a face are seen. Joins of a round surface are
 * stretches only where the surface turns away. Details are asked of what stands before their own face, and of nothing
 * else.
 * @param details what is drawn on surfaces; of it only what is seen is handed out
 */
export function* visibleEdgesInParts(
  solids: readonly Solid[],
  eye: Vec3,
  details: readonly Detail[] = [],
): Generator<VisibleEdges, void> {
  const stands = solids.map((solid) => eyeSideOf(solid, eye));
  const front = (s: number, f: number) => stands[s].heights[f] > TOUCH;
  const wanted = solids.flatMap((solid, s) =>
    solid.faces.flatMap((_, f) => (stands[s].inside || front(s, f) ? occludersOf(solids, s, f, eye) : [])),
  );
  const lost = hiddenWhole(solids, wanted, eye);
  // What is hidden whole hides nothing that is not hidden already. The nearest first: what hides most is asked first.
  const occluders = wanted.filter(({ solid }) => !lost[solid]).sort((a, b) => a.near - b.near);
  const near = indexOf(solids, occluders, eye);
  const out = new Gathered(boxesOf(solids));
  const asDetail = detailNumbers();
  const addStretch = (s: number, a: Vec3, b: Vec3, passed: Passed, as: EdgeClass, edge?: Edge) => {
    const least = SLIVER / norm(sub(b, a));
    const hidden = union(hiddenBy(near([a, b]), passed, a, b)).filter(([t0, t1]) => t1 - t0 > least);
    if (edge?.detail) return out.push(s, a, b, gaps(hidden, least), DETAIL, asDetail(edge.detail, edge));
    out.push(s, a, b, gaps(hidden, least), as);
    out.push(s, a, b, hidden, HIDDEN);
  };
  const edgesOf = (thing: Solid, s: number) => {
    const { inside } = stands[s];
    for (const edge of thing.edges) {
      const { a: from, b: to, faces, concave, smooth, detail } = edge;
      const fronts = faces.filter((face) => front(s, face)).length;
      if (smooth && fronts !== 1) continue;
      const [a, b] = [thing.vertices[from], thing.vertices[to]];
      // No face of a convex solid hides any other edge of it; of any solid, the edge's own faces do not.
      const ofItself = ({ solid, face }: Occluder) => solid === s && (thing.convex || faces.includes(face));
      // From outside, an edge between two faces that look away lies behind the solid itself, and so does one that folds
      // inwards beside a face that does. From inside all edges are seen.
      if (!(lost[s] || (!inside && (fronts === 0 || (concave && fronts === 1)))))
        addStretch(s, a, b, ofItself, fronts === 1 ? OUTLINE : CREASE, edge);
      else if (!detail) out.push(s, a, b, [[0, 1]], HIDDEN);
    }
  };
  const meetingOf = ({ a, b, of: [p, q] }: Intersection) => {
    const ofBoth = (one: Occluder) => [p, q].some(({ solid, face }) => solid === one.solid && face === one.face);
    const seen = [p, q].some(({ solid: s, face }) => stands[s].inside || front(s, face));
    if (!seen || (lost[p.solid] && lost[q.solid])) out.push(p.solid, a, b, [[0, 1]], HIDDEN);
    else addStretch(p.solid, a, b, ofBoth, INTERSECTION);
  };
  const detailOf = (s: number, detail: Detail, before: Iterable<Occluder>, passed: Passed = () => false) => {
    const { a, b } = detail;
    const hidden = [...hiddenBy(before, passed, a, b), ...(detail.through ? outsideOf(detail.through, a, b) : [])];
    const seen = gaps(union(hidden), SLIVER / norm(sub(b, a)));
    out.push(s, a, b, seen, DETAIL, asDetail(detail, detail));
  };

  const outsideOf = openingSight(eye);
  const meeting = grouped(intersectionCurves(solids), ({ of: [{ solid }] }) => solid);
  const drawn = grouped(details, ({ on }) => on?.solid);
  const reach = solids.map(({ vertices }) => Math.min(Infinity, ...vertices.map((p) => norm(sub(p, eye)))));
  for (const s of [...solids.keys()].sort((p, q) => reach[p] - reach[q] || p - q)) {
    const solid = solids[s];
    const [met, on] = [meeting.get(s) ?? [], drawn.get(solid) ?? []];
    edgesOf(solid, s);
    met.forEach(meetingOf);
    if (!lost[s])
      for (const [face, own] of grouped(on, ({ on: at }) => at!.face)) {
        // A face that looks away shows nothing that is drawn on it.
        if (!stands[s].inside && !front(s, face)) continue;
        const before = beforeFace(solid, s, face, near);
        const passed = (one: Occluder) => one.solid === s && one.face === face;
        // Where much stands before a face, only what stands before a line itself is looked at.
        const all = before && before.length <= MANY ? before : null;
        if (before) for (const detail of own) detailOf(s, detail, all ?? near([detail.a, detail.b]), passed);
      }
    out.looked += solid.edges.length + met.length + on.length;
    if (out.looked >= BATCH) yield out.handOut();
  }
  for (const detail of drawn.get(undefined) ?? []) {
    detailOf(solids.length, detail, near([detail.a, detail.b]));
    if (++out.looked >= BATCH) yield out.handOut();
  }
  out.faces = facesOf(solids, occluders);
  yield out.handOut();
}

/** The corners of occluders, one after the other. */
function facesOf(solids: readonly Solid[], occluders: readonly Occluder[]): Pick<VisibleEdges, "faces" | "faceStarts"> {
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

/** All that an eye sees, at once: the parts of `seeing` together. */
export const visibleEdges = (solids: readonly Solid[], eye: Vec3, details: readonly Detail[] = []): VisibleEdges =>
  joined([...visibleEdgesInParts(solids, eye, details)]);

/** What details are, in numbers: things, of which each may have several, are numbered from 1. */
function detailNumbers(): (detail: EdgeDetail, own: object) => typeof OF_NO_ITEM {
  const numbers = new Map<object, number>();
  return ({ kind, item, level = 0 }, own) => {
    const thing = item ?? own;
    let number = numbers.get(thing);
    if (number === undefined) numbers.set(thing, (number = numbers.size + 1));
    return {
      kind: DETAIL_KINDS.findIndex(({ id }) => id === kind),
      item: LEVELS * number + level,
      rank: item ? rankOf(item.index) : 0,
    };
  };
}

/** Things by what they have in common, in their order. */
function grouped<T, K>(things: readonly T[], of: (thing: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const thing of things) {
    const key = of(thing);
    const group = groups.get(key);
    if (group) group.push(thing);
    else groups.set(key, [thing]);
  }
  return groups;
}

/** What hides some of a face, and so of what is drawn on it; null where one piece hides all of it. */
function beforeFace(
  { vertices, faces }: Solid,
  s: number,
  face: number,
  near: (places: readonly Vec3[]) => Iterable<Occluder>,
): readonly Occluder[] | null {
  const found = new Set<Occluder>();
  for (const piece of faces[face].pieces) {
    const places = piece.map((n) => vertices[n]);
    for (const occluder of near(places))
      if (
        !(occluder.solid === s && occluder.face === face) &&
        !found.has(occluder) &&
        covers(occluder.planes, places) !== "none"
      )
        found.add(occluder);
  }
  const corners = faces[face].loop.map((n) => vertices[n]);
  return [...found].some(({ planes }) => covers(planes, corners) === "all") ? null : [...found];
}

/** The intervals of an edge that what it does not pass hides; no more are looked for once one hides it whole. */
function hiddenBy(
  occluders: Iterable<Occluder>,
  passed: (occluder: Occluder) => boolean,
  a: Vec3,
  b: Vec3,
): Interval[] {
  const found: Interval[] = [];
  const out: [number, number] = [0, 0];
  for (const occluder of occluders) {
    if (passed(occluder) || !hiddenInterval(occluder.planes, a, b, out)) continue;
    if (out[0] === 0 && out[1] === 1) return [[0, 1]];
    found.push([out[0], out[1]]);
  }
  return found;
}

/** A look-up of the occluders that stand in the directions of a segment or a convex polygon, in their order. */
function indexOf(
  solids: readonly Solid[],
  occluders: readonly Occluder[],
  eye: Vec3,
): (places: readonly Vec3[]) => Iterable<Occluder> {
  const boxes = occluders.flatMap(({ solid, loop }, n) =>
    loopBoxes(loop.map((v) => sub(solids[solid].vertices[v], eye))).map((box) => ({ n, box })),
  );
  if (boxes.length === 0) return () => [];
  const index = new Flatbush(boxes.length);
  for (const { box } of boxes) index.add(...box);
  index.finish();
  return function* (places) {
    const hits = loopBoxes(places.map((p) => sub(p, eye))).flatMap((box) => index.search(...box));
    let last = -1;
    // Boxes were added in the order of their occluders; one with two boxes is handed out once.
    for (const hit of Int32Array.from(hits).sort()) {
      if (boxes[hit].n !== last) yield occluders[(last = boxes[hit].n)];
    }
  };
}
