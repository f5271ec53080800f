import type { Vec2 } from "../geometry";
import { boxOnPlan, isInBox, isWithin } from "./polygon";
import type { Solid } from "./solid";

/** A face that looks up, and whether it covers a place of the plan. */
export interface UpperFace {
  readonly on: { readonly solid: Solid; readonly face: number };
  readonly covers: (at: Vec2) => boolean;
}

/** What looks up of solids, each known once however often it is asked for. */
const known = new WeakMap<Solid, readonly UpperFace[]>();

/** The faces of a solid that look up. */
export function upperFacesOf(solid: Solid): readonly UpperFace[] {
  let faces = known.get(solid);
  if (!faces) {
    faces = solid.faces.flatMap(({ normal, loop, holes = [] }, face) => {
      if (normal[2] <= 1e-9) return [];
      const [outer, ...inner] = [loop, ...holes].map((ring) =>
        ring.map((n): Vec2 => [solid.vertices[n][0], solid.vertices[n][1]]),
      );
      const box = boxOnPlan(outer);
      const covers = (at: Vec2) => isInBox(at, box) && isWithin(at, outer) && !inner.some((hole) => isWithin(at, hole));
      return [{ on: { solid, face }, covers }];
    });
    known.set(solid, faces);
  }
  return faces;
}
