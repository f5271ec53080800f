import { distance2, dot, sub, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { unprojectTo, type View } from "@zanvo/core/shot";
import { cornersOf, raisedBy, terrainOf, type Building, type Element } from "@zanvo/core/world";

/** A wall in the world: where its places are, m along it from its left corner and up from its foot. */
export interface WallFrame {
  readonly at: (place: Vec2) => Vec3;
  /** Whether an eye stands before it: from behind, nothing of it is marked. */
  readonly faces: (eye: Vec3) => boolean;
  /** The place of the wall's plane that is seen at a place of the sheet, mm; null where none is. */
  readonly seenAt: (view: View, at: Vec2) => Vec2 | null;
}

/** The wall of a building, on the ground that it stands on. */
export function wallFrame(building: Building, side: number, elements: readonly Element[]): WallFrame {
  const corners = cornersOf(building);
  const [p, q] = [corners[side], corners[(side + 1) % corners.length]];
  const long = distance2(p, q);
  const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  const foot: Vec3 = [p[0], p[1], building.base + raisedBy(building, p, terrainOf(elements))];
  const normal: Vec3 = [uy, -ux, 0];
  return {
    at: ([s, up]) => [foot[0] + s * ux, foot[1] + s * uy, foot[2] + up],
    faces: (eye) => dot(normal, sub(eye, foot)) > 0,
    seenAt: (view, at) => {
      const place = unprojectTo(view, at, normal, dot(normal, foot));
      if (!place) return null;
      const from = sub(place, foot);
      return [dot(from, [ux, uy, 0]), from[2]];
    },
  };
}
