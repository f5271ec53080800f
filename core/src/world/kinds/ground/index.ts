import type { Vec2 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { elementKind, onFootprint } from "../kind";
import { raisedGround, validateGround } from "./build";
import { GroundSchema, type Ground } from "./schema";
export * from "./build";
export { contoursOf } from "./contours";
export type { Ground } from "./schema";

/** The height of the rim of raised ground where it is highest but for its points, m. */
const topOf = (ground: Ground): number =>
  Math.max(
    ground.height,
    ...(ground.spots ?? []).map(({ z }) => z),
    ...(raisedGround(ground)?.facets.flatMap(({ region, plane: [a, b, c] }) =>
      region.flat().map(([x, y]) => a * x + b * y + c),
    ) ?? []),
  );

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
