import type { Vec3 } from "../geometry";
import type { Rays } from "../light";
import type { Face, Region, Solid } from "../world";
import { coverOfCard, rimsOf } from "./cardRims";
import type { Near } from "./directions";
import { OPEN_GROUND } from "./faceAreas";
import type { Occluder } from "./occluder";
import { boundsOf, coveredOn, inWorld, onPlane, outlineOnPlane, planeOfFace, type FacePlane } from "./onFace";

/** Shadows on the open ground end so far from the eye, on each side, m: the sun may stand at the horizon. */
export const SHADOW_REACH = 2000;

/** A face that is looked at, and the solid that it is of, where it is of one. */
export interface Receiver {
  readonly solid: number;
  readonly number: number;
  readonly face: Pick<Face, "normal" | "offset" | "round">;
  readonly plane: FacePlane;
  readonly outline: Region;
  readonly places: readonly (readonly Vec3[])[];
}

export function receiverOf(solids: readonly Solid[], s: number, f: number): Receiver {
  const solid = solids[s];
  const face = solid.faces[f];
  const plane = planeOfFace(face);
  const outline = solid.card
    ? rimsOf(solid).map((rim) => rim.map((p) => onPlane(plane, p)))
    : outlineOnPlane(solid, face, plane);
  return {
    solid: s,
    number: f,
    face,
    plane,
    outline,
    // Of a card they are too many, and as good as the box around them.
    places: solid.card
      ? [boundsOf(outline).map((p) => inWorld(plane, p))]
      : face.pieces.map((piece) => piece.map((n) => solid.vertices[n])),
  };
}

/** The open ground around an eye, where no other is built: what stands on it is not taken out of it. */
export function openGround(world: readonly Solid[], [x, y]: Vec3): Receiver | null {
  if (world.some(({ edges, faces }) => edges.length === 0 && faces.some(({ name }) => name === "top"))) return null;
  const r = SHADOW_REACH;
  const corners: readonly Vec3[] = [
    [x - r, y - r, 0],
    [x + r, y - r, 0],
    [x + r, y + r, 0],
    [x - r, y + r, 0],
  ];
  const face = { normal: [0, 0, 1] as const, offset: 0 };
  const plane = planeOfFace(face);
  const outline = [corners.map((p) => onPlane(plane, p))];
  return { solid: OPEN_GROUND, number: 0, face, plane, outline, places: [corners] };
}

/** What an occluder covers of a face, as rings on its plane: a convex one, or the rims of a card. */
export interface Cover {
  readonly occluder: Occluder;
  /** Whether it is a whole card, of which the occluder is one part. */
  readonly isCard: boolean;
  readonly rings: Region;
}

/** An eye or a light, what it sees, and what of that stands in the way of some places. */
export interface Looking {
  readonly rays: Rays;
  readonly solids: readonly Solid[];
  readonly near: Near;
}

/** What occluders cover of a face, without those that are passed by. */
export function coverOf(
  { plane, face, outline, places }: Receiver,
  { rays, solids, near }: Looking,
  passed: (one: Occluder) => boolean,
): readonly Cover[] {
  const bounds = boundsOf(outline);
  const found = new Set<Occluder>();
  for (const corners of places) for (const one of near(corners)) if (!passed(one)) found.add(one);
  const cards = new Map<number, Region | null>();
  return [...found].flatMap((occluder): Cover[] => {
    const solid = solids[occluder.solid];
    if (solid.card && cards.get(occluder.solid) !== null) {
      // A card in one, the first time that a part of it is met.
      if (cards.has(occluder.solid)) return [];
      const rings = coverOfCard(solid, rays, plane, face.normal, face.offset);
      cards.set(occluder.solid, rings);
      if (rings) return [{ occluder, isCard: true, rings }];
    }
    const ring = coveredOn(plane, bounds, occluder.planes);
    return ring ? [{ occluder, isCard: false, rings: [ring] }] : [];
  });
}

/** What covers some of a wall, and of a part of a recess in it: rings on the plane of that. */
export function coveredBehind(
  { occluder, isCard }: Cover,
  { rays, solids }: Pick<Looking, "rays" | "solids">,
  { plane, face, outline }: Pick<Receiver, "plane" | "face" | "outline">,
): Region {
  if (isCard) return coverOfCard(solids[occluder.solid], rays, plane, face.normal, face.offset) ?? [];
  const ring = coveredOn(plane, boundsOf(outline), occluder.planes);
  return ring ? [ring] : [];
}

export const ringsOf = (covers: readonly Cover[]): Region => covers.flatMap(({ rings }) => rings);
