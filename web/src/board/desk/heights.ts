import type { Vec2, Vec3 } from "@zanvo/core/geometry";
import { project, type View } from "@zanvo/core/shot";
import { boxOf, isBuilding, stands, type Element } from "@zanvo/core/world";
import type { Raising } from "./raise";

/** A height that a building is raised to: over the ground, m, and what it is the height of. */
export interface HeightMark {
  readonly z: number;
  readonly name: string;
}

/** Storeys of a thing that are offered at the most. */
const MAX_STOREYS = 40;

/** The heights that neighbours and the eye give: tops, storey lines, eye level. */
export function heightMarks(view: View, elements: readonly Element[]): HeightMark[] {
  const marks = elements
    .filter((element) => stands(element) && !element.hidden)
    .flatMap((element): HeightMark[] => {
      const { origin, height } = boxOf(element);
      const storeys = isBuilding(element) ? Math.min(MAX_STOREYS, element.storeys ?? 1) : 1;
      return Array.from({ length: storeys }, (_, i) => ({
        z: origin.z + (height * (i + 1)) / storeys,
        name: i + 1 === storeys ? `the top of ${element.name}` : `storey ${i + 1} of ${element.name}`,
      }));
    });
  return [{ z: view.eye[2], name: "eye level" }, ...marks];
}

/**
 * A raising whose height is led to the nearest mark that the hand's height lies within reach of, mm on paper; and that
 * mark.
 */
export function caughtHeight(
  view: View,
  raising: Raising,
  marks: readonly HeightMark[],
  reach: number,
): { readonly raising: Raising; readonly mark: HeightMark | null } {
  const none = { raising, mark: null };
  if (raising.step !== "height" || reach <= 0) return none;
  const { at } = raising.foot;
  const seen = (height: number): Vec2 | null => project(view, [at[0], at[1], at[2] + height] satisfies Vec3);
  const hand = seen(raising.measures.height);
  if (!hand) return none;
  let best: { readonly mark: HeightMark; readonly off: number } | null = null;
  for (const mark of marks) {
    const height = mark.z - at[2];
    const place = height > 0 ? seen(height) : null;
    const off = place ? Math.hypot(place[0] - hand[0], place[1] - hand[1]) : Infinity;
    if (off <= reach && (!best || off < best.off)) best = { mark, off };
  }
  if (!best) return none;
  const { mark } = best;
  return { raising: { ...raising, measures: { ...raising.measures, height: mark.z - at[2] } }, mark };
}
