import { headingDirection, type Vec2 } from "../../../geometry";
import { sentence, shortMetres } from "../../../units";
import { cornersOf } from "../../outline";
import { areaTwice, crossingOf, inset, isWithin, sideOf } from "../../polygon";
import type { Plane } from "../../terrain";
import type { ElementError } from "../kind";
import type { Ground } from "./schema";

/** A terrace as high as a flight of twelve steps, m (common practice). */
export const DEFAULT_GROUND: Pick<Ground, "height"> = { height: 2 };

/** Places of known height keep so far from the rim and from one another, m. */
const APART = 0.05;

/** How far a place is from the sides of a ring, m. */
const fromSides = ([x, y]: Vec2, ring: readonly Vec2[]): number =>
  Math.min(
    ...ring.map((_, i) => {
      const { p, u, long } = sideOf(ring, i);
      const along = Math.min(long, Math.max(0, (x - p[0]) * u[0] + (y - p[1]) * u[1]));
      return Math.hypot(x - p[0] - along * u[0], y - p[1] - along * u[1]);
    }),
  );

/** The rim of what is not embankment. */
export const crestOf = ({ bank }: Ground, outline: readonly Vec2[]): readonly Vec2[] | null =>
  bank === undefined ? outline : inset(outline, bank);

/** Why ground cannot be raised so, and the field; null where it can. */
export function validateGround(ground: Ground): ElementError | null {
  const { height, slope, spots = [], bank } = ground;
  const points = cornersOf(ground);
  if (points.length < 3 || areaTwice(points) < 1e-6)
    return { field: "footprint", message: "has no area: its corners lie on one line." };
  if (crossingOf(points)) return { field: "footprint", message: "crosses itself." };
  if (height === 0 && !slope && spots.every(({ z }) => z === 0))
    return { field: "height", message: "is nothing, and neither a slope nor a point raises it." };
  const crest = crestOf(ground, points);
  if (!crest) return { field: "bank", message: sentence`of ${shortMetres(bank!)} leaves nothing within it.` };
  for (const [i, { x, y }] of spots.entries()) {
    if (!isWithin([x, y], crest) || fromSides([x, y], crest) < APART)
      return {
        field: `spots/${i}`,
        message: bank === undefined ? "lies outside of its area, or on its rim." : "lies outside of its embankment.",
      };
    if (spots.slice(0, i).some((one) => Math.hypot(one.x - x, one.y - y) < APART))
      return { field: `spots/${i}`, message: "lies where another one does." };
  }
  return null;
}

/** The plane of a slope, or of a terrace. */
export function planeOf({ height, slope }: Ground, corners: readonly Vec2[]): Plane {
  if (!slope) return [0, 0, height];
  const [hx, hy] = headingDirection(slope.heading);
  const k = slope.grade / 100;
  const lowest = Math.min(...corners.map(([x, y]) => x * hx + y * hy));
  return [k * hx, k * hy, height - k * lowest];
}
