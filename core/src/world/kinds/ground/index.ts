import type { Vec2 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { elementKind, onFootprint } from "../kind";
import { crestOf, planeOf, validateGround } from "./crest";
import { GroundSchema, type Ground } from "./schema";
export { raisedGround } from "./build";
export { DEFAULT_GROUND, validateGround } from "./crest";
export { contoursOf } from "./contours";
export type { Ground } from "./schema";

/** How high raised ground reaches, m: at the corners of what is not embankment, and at its points. */
function topOf(ground: Ground): number {
  const crest = validateGround(ground) ? null : crestOf(ground, cornersOf(ground));
  const [a, b, c] = crest ? planeOf(ground, crest) : [0, 0, 0];
  return Math.max(
    ground.height,
    ...(ground.spots ?? []).map(({ z }) => z),
    ...(crest ?? []).map(([x, y]) => a * x + b * y + c),
  );
}

const isCorner = ({ footprint }: Ground, place: number): boolean => place < footprint.length;

/** The places that it can be changed by: corners of its area, then those of known height. */
const placesIn = ({ footprint, spots = [] }: Ground): readonly Vec2[] =>
  [...footprint, ...spots].map(({ x, y }): Vec2 => [x, y]);

function placedIn(element: Ground, place: number, [x, y]: Vec2): Ground {
  const { footprint, spots = [] } = element;
  if (isCorner(element, place)) return onFootprint.placed(element, place, [x, y]);
  const at = place - footprint.length;
  return { ...element, spots: spots.with(at, { ...spots[at], x, y }) };
}

function withoutPlace(element: Ground, place: number): Ground | null {
  const { footprint, spots = [] } = element;
  return isCorner(element, place)
    ? onFootprint.withoutPlace(element, place)
    : { ...element, spots: spots.toSpliced(place - footprint.length, 1) };
}

export const ground = elementKind<Ground>(GroundSchema, {
  kind: "ground",
  word: "Ground",
  stands: false,
  validate: validateGround,
  outline: cornersOf,
  span: (element) => [0, topOf(element)],
  places: placesIn,
  placed: placedIn,
  withPlace: (element, behind) => (isCorner(element, behind) ? onFootprint.withPlace(element, behind) : element),
  withoutPlace,
  geoJson: { write: (element) => ({ shape: "area", properties: { man_made: "embankment", height: topOf(element) } }) },
});
