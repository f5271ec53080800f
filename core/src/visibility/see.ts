import Flatbush from "flatbush";
import { dot, gaps, norm, sub, union, type Interval, type Vec3 } from "../geometry";
import { encloses, type Detail, type Solid } from "../world";
import { loopBoxes, segmentBoxes } from "./bearing";
import { meetings } from "./meetings";
import { hides, occludersOf, TOUCH, type Occluder } from "./occluder";
import { hiddenWhole } from "./skyline";

/** What a stretch of an edge is to the eye. */
export const OUTLINE = 0;
export const CREASE = 1;
export const HIDDEN = 2;
/** Drawn on a surface, where that is seen. */
export const DETAIL = 3;
export type Sight = typeof OUTLINE | typeof CREASE | typeof HIDDEN | typeof DETAIL;

/** Stretches of edges, one after the other: ends (ax ay az bx by bz, in m), the number of the solid (as many as there are for a detail), and the sight. */
export interface Seen {
  readonly ends: Float64Array;
  readonly solid: Uint32Array;
  readonly sight: Uint8Array;
}

/** Stretches shorter than this are rounding, or what `TOUCH` leaves at a corner, in m. */
const SLIVER = 3 * TOUCH;

interface Standing {
  /** Height of the eye over each face's plane, in m: positive sees its outer side. */
  readonly heights: readonly number[];
  /** The eye is inside: every face stands in its way. */
  readonly inside: boolean;
}

function standing(solid: Solid, eye: Vec3): Standing {
  const heights = solid.faces.map((face) => dot(face.normal, eye) - face.offset);
  return { heights, inside: solid.convex ? heights.every((height) => height <= TOUCH) : encloses(solid, eye) };
}

/**
 * Which stretches of the edges of closed solids an eye sees, and of the lines in which they meet. It depends on the eye's
 * place alone, not on gaze, lens or paper. Each convex piece of a face hides, of each edge, what lies beyond its plane and
 * inside the pyramid from the eye through its sides: a product of half-spaces, so an interval of the edge that is exact to
 * rounding. Solids that a skyline before them hides whole are set aside first; an index of what stands in which direction
 * keeps far-apart edges and faces from being compared. Touching faces do not hide one another's edges; edges that lie on a
 * face are seen. Joins of a round surface are stretches only where the surface turns away.
 * @param details what is drawn on surfaces; of it only what is seen is handed out
 */
export function see(solids: readonly Solid[], eye: Vec3, details: readonly Detail[] = []): Seen {
  const stands = solids.map((solid) => standing(solid, eye));
  const front = (s: number, f: number) => stands[s].heights[f] > TOUCH;
  const wanted = solids.flatMap((solid, s) => solid.faces.flatMap((_, f) => (stands[s].inside || front(s, f) ? occludersOf(solids, s, f, eye) : [])));
  const lost = hiddenWhole(solids, wanted, eye);
  // What is hidden whole hides nothing that is not hidden already. The nearest first: what hides most is asked first.
  const occluders = wanted.filter(({ solid }) => !lost[solid]).sort((a, b) => a.near - b.near);
  const near = indexOf(solids, occluders, eye);
  const ends: number[] = [];
  const solid: number[] = [];
  const sight: number[] = [];
  const push = (s: number, a: Vec3, b: Vec3, stretches: readonly Interval[], as: Sight) => {
    for (const [t0, t1] of stretches) {
      for (const t of [t0, t1]) for (const axis of [0, 1, 2]) ends.push(t === 1 ? b[axis] : a[axis] + t * (b[axis] - a[axis]));
      solid.push(s);
      sight.push(as);
    }
  };
  const lay = (s: number, a: Vec3, b: Vec3, passed: (occluder: Occluder) => boolean, as: Sight) => {
    const least = SLIVER / norm(sub(b, a));
    const hidden = union(hiddenBy(near(a, b), passed, a, b)).filter(([t0, t1]) => t1 - t0 > least);
    push(s, a, b, gaps(hidden, least), as);
    push(s, a, b, hidden, HIDDEN);
  };
  solids.forEach((thing, s) => {
    const { inside } = stands[s];
    for (const { a: from, b: to, faces, concave, smooth } of thing.edges) {
      const fronts = faces.filter((face) => front(s, face)).length;
      if (smooth && fronts !== 1) continue;
      const [a, b] = [thing.vertices[from], thing.vertices[to]];
      // From outside, an edge between two faces that look away lies behind the solid itself, and so does one that folds
      // inwards beside a face that does. From inside all edges are seen.
      if (lost[s] || (!inside && (fronts === 0 || (concave && fronts === 1)))) push(s, a, b, [[0, 1]], HIDDEN);
      // No face of a convex solid hides any other edge of it; of any solid, the edge's own faces do not.
      else lay(s, a, b, ({ solid: other, face }) => other === s && (thing.convex || faces.includes(face)), fronts === 1 ? OUTLINE : CREASE);
    }
  });
  for (const { a, b, of: [p, q] } of meetings(solids)) {
    const seen = [p, q].some(({ solid: s, face }) => stands[s].inside || front(s, face));
    if (!seen || (lost[p.solid] && lost[q.solid])) push(p.solid, a, b, [[0, 1]], HIDDEN);
    else lay(p.solid, a, b, (one) => [p, q].some((own) => own.solid === one.solid && own.face === one.face), CREASE);
  }
  for (const { a, b } of details) {
    const least = SLIVER / norm(sub(b, a));
    push(solids.length, a, b, gaps(union(hiddenBy(near(a, b), () => false, a, b)), least), DETAIL);
  }
  return { ends: Float64Array.from(ends), solid: Uint32Array.from(solid), sight: Uint8Array.from(sight) };
}

/** The intervals of an edge that what it does not pass hides; no more are looked for once one hides it whole. */
function hiddenBy(occluders: Iterable<Occluder>, passed: (occluder: Occluder) => boolean, a: Vec3, b: Vec3): Interval[] {
  const found: Interval[] = [];
  const out: [number, number] = [0, 0];
  for (const occluder of occluders) {
    if (passed(occluder) || !hides(occluder.planes, a, b, out)) continue;
    if (out[0] === 0 && out[1] === 1) return [[0, 1]];
    found.push([out[0], out[1]]);
  }
  return found;
}

/** A look-up of the occluders that stand in the directions of a segment, in their order. */
function indexOf(solids: readonly Solid[], occluders: readonly Occluder[], eye: Vec3): (a: Vec3, b: Vec3) => Iterable<Occluder> {
  const boxes = occluders.flatMap(({ solid, loop }, n) => loopBoxes(loop.map((v) => sub(solids[solid].vertices[v], eye))).map((box) => ({ n, box })));
  if (boxes.length === 0) return () => [];
  const index = new Flatbush(boxes.length);
  for (const { box } of boxes) index.add(...box);
  index.finish();
  return function* (a, b) {
    const hits = segmentBoxes(sub(a, eye), sub(b, eye)).flatMap((box) => index.search(...box));
    let last = -1;
    // Boxes were added in the order of their occluders; one with two boxes is handed out once.
    for (const hit of Int32Array.from(hits).sort()) {
      if (boxes[hit].n !== last) yield occluders[(last = boxes[hit].n)];
    }
  };
}
