import Flatbush from "flatbush";
import { dot, gaps, norm, sub, union, type Interval, type Vec3 } from "../geometry";
import type { Solid } from "../world";
import { loopBoxes, segmentBoxes } from "./bearing";
import { hides, occluderOf, TOUCH, type Occluder } from "./occluder";

/** What a stretch of an edge is to the eye. */
export const OUTLINE = 0;
export const CREASE = 1;
export const HIDDEN = 2;
export type Sight = typeof OUTLINE | typeof CREASE | typeof HIDDEN;

/** Stretches of edges, one after the other: ends (ax ay az bx by bz, in m), the number of the solid, and the sight. */
export interface Seen {
  readonly ends: Float64Array;
  readonly solid: Uint32Array;
  readonly sight: Uint8Array;
}

/** Stretches shorter than this part of a metre are rounding, in m. */
const SLIVER = 1e-7;

interface Standing {
  /** Height of the eye over each face's plane, in m: positive sees its outer side. */
  readonly heights: readonly number[];
  /** The eye is inside: every face stands in its way. */
  readonly inside: boolean;
}

function standing({ faces }: Solid, eye: Vec3): Standing {
  const heights = faces.map((face) => dot(face.normal, eye) - face.offset);
  return { heights, inside: heights.every((height) => height <= TOUCH) };
}

/**
 * Which stretches of the edges of closed convex solids an eye sees. It depends on the eye's place alone, not on gaze, lens or
 * paper. Each face hides, of each edge, what lies beyond its plane and inside the pyramid from the eye through its
 * sides: a product of half-spaces, so an interval of the edge that is exact to rounding. An index of what stands in
 * which direction keeps far-apart edges and faces from being compared.
 * Touching faces do not hide one another's edges; edges that lie on a face are seen.
 */
export function see(solids: readonly Solid[], eye: Vec3): Seen {
  const stands = solids.map((solid) => standing(solid, eye));
  const occluders = solids.flatMap((solid, s) =>
    solid.faces.flatMap((_, f) => {
      const wanted = stands[s].inside || stands[s].heights[f] > TOUCH;
      const occluder = wanted ? occluderOf(solids, s, f, eye) : null;
      return occluder ? [occluder] : [];
    }),
  );
  // The nearest first: what hides most is asked first.
  occluders.sort((a, b) => a.near - b.near);
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
  solids.forEach((thing, s) => {
    for (const edge of thing.edges) {
      const [a, b] = [thing.vertices[edge.a], thing.vertices[edge.b]];
      const fronts = edge.faces.filter((face) => stands[s].heights[face] > TOUCH).length;
      // From outside, an edge between two faces that look away lies behind the solid itself, and no face of a convex
      // solid hides any other edge of it. From inside all edges are seen.
      if (fronts === 0 && !stands[s].inside) {
        push(s, a, b, [[0, 1]], HIDDEN);
        continue;
      }
      const least = SLIVER / norm(sub(b, a));
      const hidden = union(hiddenBy(near(a, b), s, a, b)).filter(([t0, t1]) => t1 - t0 > least);
      push(s, a, b, gaps(hidden, least), fronts === 1 ? OUTLINE : CREASE);
      push(s, a, b, hidden, HIDDEN);
    }
  });
  return { ends: Float64Array.from(ends), solid: Uint32Array.from(solid), sight: Uint8Array.from(sight) };
}

/** The intervals of an edge of solid `s` that other solids hide; no more are looked for once one hides it whole. */
function hiddenBy(occluders: Iterable<Occluder>, s: number, a: Vec3, b: Vec3): Interval[] {
  const found: Interval[] = [];
  const out: [number, number] = [0, 0];
  for (const { solid, planes } of occluders) {
    if (solid === s || !hides(planes, a, b, out)) continue;
    if (out[0] === 0 && out[1] === 1) return [[0, 1]];
    found.push([out[0], out[1]]);
  }
  return found;
}

/** A look-up of the occluders that stand in the directions of a segment, in their order. */
function indexOf(solids: readonly Solid[], occluders: readonly Occluder[], eye: Vec3): (a: Vec3, b: Vec3) => Iterable<Occluder> {
  const boxes = occluders.flatMap(({ solid, face }, n) => {
    const { faces, vertices } = solids[solid];
    return loopBoxes(faces[face].loop.map((v) => sub(vertices[v], eye))).map((box) => ({ n, box }));
  });
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
