import { between3, cutRing, dot, type Vec2, type Vec3 } from "../geometry";
import { towardsLight } from "../light";
import type { Region } from "../world";
import { TOUCH } from "./occluder";
import { onPlane, partOf, planeOfFace, type FacePlane } from "./onFace";
import { coveredBehind, type Cover, type Looking, type Receiver } from "./receiver";
import { partsOfRecess, planesThrough, type Recess, type RecessPart } from "./recesses";

/** An eye or a light, and what it does not reach of a wall, each with what stands before that. */
export interface Reach extends Pick<Looking, "rays" | "solids"> {
  readonly covers: readonly Cover[];
}

/** What is seen of a part of a recess, and what each light does not reach of that, on its plane. */
export interface SeenRecess {
  readonly part: RecessPart;
  readonly plane: FacePlane;
  readonly seen: Region;
  readonly dark: readonly Region[];
}

/** Whether the boxes around two rings of one plane meet. */
function meets(a: readonly Vec2[], b: readonly Vec2[]): boolean {
  const [least, most] = [Math.min, Math.max].map(
    (pick) => (ring: readonly Vec2[], k: number) => pick(...ring.map((p) => p[k])),
  );
  return [0, 1].every((k) => least(a, k) <= most(b, k) && least(b, k) <= most(a, k));
}

/**
 * What an eye or a light reaches of a part of a recess: what lies behind its opening, less what is covered there by
 * what stands before the wall. A ray into the recess passes that just where it passes the opening.
 */
function reached(part: RecessPart, plane: FacePlane, wall: Receiver, { opening }: Recess, reach: Reach): Region {
  const { rays, covers } = reach;
  const to = towardsLight(rays, part.corners[0]);
  if (dot(part.normal, to) <= TOUCH || dot(wall.face.normal, to) <= TOUCH) return [];
  const behind = planesThrough(rays, opening).reduce<readonly Vec3[]>(
    (left, [normal, offset]) => cutRing(left, (p) => dot(normal, p) - offset, between3),
    part.corners,
  );
  if (behind.length < 3) return [];
  const ring = behind.map((p) => onPlane(plane, p));
  const hole = opening.map((p) => onPlane(wall.plane, p));
  const face = { normal: part.normal, offset: dot(part.normal, part.corners[0]) };
  const cover = covers.flatMap((one) => {
    const isBefore = one.rings.some((own) => meets(own, hole));
    return isBefore ? coveredBehind(one, reach, { plane, face, outline: [ring] }) : [];
  });
  return partOf([ring], null, cover);
}

/** The parts of a wall's recess that an eye sees, and what is dark of them. */
export const seenRecess = (
  recess: Recess,
  wall: Receiver,
  eye: Reach,
  lights: readonly Reach[],
): readonly SeenRecess[] =>
  partsOfRecess(recess, wall.face.normal).flatMap((part) => {
    const plane = planeOfFace({ normal: part.normal, offset: dot(part.normal, part.corners[0]) });
    const seen = reached(part, plane, wall, recess, eye);
    if (seen.length === 0) return [];
    const dark = lights.map((light) => {
      const lit = reached(part, plane, wall, recess, light);
      return lit.length > 0 ? partOf(seen, null, lit) : seen;
    });
    return [{ part, plane, seen, dark }];
  });
