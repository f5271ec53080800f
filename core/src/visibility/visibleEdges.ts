import { NO_AREAS, type FaceAreas } from "./faceAreas";

/** What a stretch of an edge is to the eye. */
export const OUTLINE = 0;
export const CREASE = 1;
export const HIDDEN = 2;
/** Drawn on a surface, where that is seen. */
export const DETAIL = 3;
/** Where two things meet or cut each other. */
export const INTERSECTION = 4;
export type EdgeClass = typeof OUTLINE | typeof CREASE | typeof HIDDEN | typeof DETAIL | typeof INTERSECTION;

/**
 * Stretches of edges, one after the other: ends (ax ay az bx by bz, in m), the number of the solid (as many as there
 * are for what is drawn on open ground), and the sight.
 */
export interface VisibleEdges extends Stretches {
  readonly solid: Uint32Array;
  /** The boxes around all solids: least and greatest x, y and z of each, m. */
  readonly boxes: Float64Array;
  /** The convex parts of faces that the eye looks at, corner after corner: x y z of each, m. */
  readonly faces: Float64Array;
  /** Where each of them begins, counted in corners, and at last where the last one ends. */
  readonly faceStarts: Uint32Array;
  /** Shadows on the faces that it looks at, where there are lights, and the parts of these that are seen. */
  readonly areas: FaceAreas;
  /** Whether it is all that is seen; parts are handed out before, without the faces. */
  readonly whole: boolean;
}

/** Stretches of one solid, or of any. */
export interface Stretches {
  readonly ends: Float64Array;
  /**
   * Of curved stretches the derivatives at both ends, by a parameter that runs from 0 to 1 (m, as `ends`); of straight
   * ones, 0. Nothing where all are straight.
   */
  readonly bends?: Float64Array;
  readonly edgeClass: Uint8Array;
  /** Of details, the place of their kind among `DETAIL_KINDS`; of all else, 0. */
  readonly detail: Uint8Array;
  /** Of details, the number of what they are a line of times `LEVELS`, and their level in it; of all else, 0. */
  readonly item: Uint32Array;
  /** Of details, how often the place in a row of what they are a line of can be halved. */
  readonly rank: Uint8Array;
}

/** No edges at all. */
export const NOTHING_VISIBLE: VisibleEdges = {
  ends: new Float64Array(),
  solid: new Uint32Array(),
  edgeClass: new Uint8Array(),
  detail: new Uint8Array(),
  item: new Uint32Array(),
  rank: new Uint8Array(),
  boxes: new Float64Array(),
  faces: new Float64Array(),
  faceStarts: new Uint32Array([0]),
  areas: NO_AREAS,
  whole: true,
};

/** Parts of what is seen, one after the other. */
export function joined(parts: readonly VisibleEdges[]): VisibleEdges {
  const last = parts.at(-1) ?? NOTHING_VISIBLE;
  const size = parts.reduce((sum, { edgeClass }) => sum + edgeClass.length, 0);
  const bends = parts.some((part) => part.bends) ? new Float64Array(6 * size) : undefined;
  const whole = {
    bends,
    ends: new Float64Array(6 * size),
    solid: new Uint32Array(size),
    edgeClass: new Uint8Array(size),
    detail: new Uint8Array(size),
    item: new Uint32Array(size),
    rank: new Uint8Array(size),
    boxes: last.boxes,
    faces: last.faces,
    faceStarts: last.faceStarts,
    areas: last.areas,
    whole: last.whole,
  };
  let at = 0;
  for (const { ends, bends: own, solid, edgeClass, detail, item, rank } of parts) {
    if (own) bends!.set(own, 6 * at);
    whole.ends.set(ends, 6 * at);
    whole.solid.set(solid, at);
    whole.edgeClass.set(edgeClass, at);
    whole.detail.set(detail, at);
    whole.item.set(item, at);
    whole.rank.set(rank, at);
    at += edgeClass.length;
  }
  return whole;
}
