import type { Vec2, Vec3 } from "../geometry";
import type { Face, Region, Solid } from "../world";
import type { Near } from "./directions";
import { OPEN_GROUND } from "./faceAreas";
import type { Occluder } from "./occluder";
import { boundsOf, coveredOn, onPlane, outlineOnPlane, planeOfFace, type FacePlane } from "./onFace";

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
  return {
    solid: s,
    number: f,
    face,
    plane,
    outline: outlineOnPlane(solid, face, plane),
    places: face.pieces.map((piece) => piece.map((n) => solid.vertices[n])),
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

/** What an occluder covers of a face: a convex ring on its plane. */
export interface Cover {
  readonly occluder: Occluder;
  readonly ring: readonly Vec2[];
}

/** What occluders cover of a face, without those that are passed by. */
export function coverOf(
  { plane, outline, places }: Receiver,
  near: Near,
  passed: (one: Occluder) => boolean,
): readonly Cover[] {
  const bounds = boundsOf(outline);
  const found = new Set<Occluder>();
  for (const corners of places) for (const one of near(corners)) if (!passed(one)) found.add(one);
  return [...found].flatMap((occluder) => {
    const ring = coveredOn(plane, bounds, occluder.planes);
    return ring ? [{ occluder, ring }] : [];
  });
}

export const ringsOf = (covers: readonly Cover[]): Region => covers.map(({ ring }) => ring);
