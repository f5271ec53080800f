import { headingAlong, headingDirection, type Vec2 } from "../../../geometry";
import { rectangleAround } from "../../around";
import { lengthOf, pathOf, placeAlong } from "../../path";
import { loft, ring } from "../../shapes";
import { slabAlong } from "../../slab";
import type { Solid } from "../../solid";
import type { ElementError } from "../kind";
import type { Platform } from "./schema";

/** How thick the roof of a canopy is, how wide a post, and how far the first one stands from an end, m. */
const [ROOF, POST, FROM_END] = [0.18, 0.22, 1] as const;

/** Why a platform cannot stand, and the field; null where it can. */
export function validatePlatform(platform: Platform): ElementError | null {
  if (pathOf(platform).length < 2) return { field: "path", message: "has no length." };
  const { canopy, width } = platform;
  return canopy && canopy.width > 2 * width
    ? { field: "canopy/width", message: "is more than twice the platform's." }
    : null;
}

/** Where the posts of a canopy stand, each turned along the path. */
function postsOf(path: readonly Vec2[], every: number): readonly { readonly at: Vec2; readonly along: Vec2 }[] {
  const long = lengthOf(path) - 2 * FROM_END;
  const steps = Math.max(1, Math.round(long / every));
  return Array.from({ length: steps + 1 }, (_, i) => FROM_END + (i * long) / steps).flatMap((s) => {
    const [at, next] = [placeAlong(path, s, 0), placeAlong(path, s, 1)];
    // A metre to the right: the path runs across that.
    return at && next ? [{ at, along: [at[1] - next[1], next[0] - at[0]] as const }] : [];
  });
}

/** The solids of a platform: its slab first, then the roof of its canopy and the posts. */
export function buildPlatform(platform: Platform): Solid[] {
  if (validatePlatform(platform)) return [];
  const { id, width, height, canopy } = platform;
  const path = pathOf(platform);
  const own = slabAlong(id, path, width / 2, [0, height]);
  if (!canopy || lengthOf(path) <= 2 * FROM_END) return own;
  const under = height + canopy.clear;
  const half: Vec2 = [-POST / 2, POST / 2];
  const posts = postsOf(path, canopy.every).map(({ at, along }) => {
    const corners = rectangleAround(at, headingDirection(headingAlong(along)), half, half);
    return loft(id, [ring(corners, height), ring(corners, under)], null);
  });
  return [...own, ...slabAlong(id, path, canopy.width / 2, [under, under + ROOF]), ...posts];
}
