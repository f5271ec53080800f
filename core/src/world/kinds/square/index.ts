import { kerbFigures } from "../kerb";
import { elementKind, onFootprint } from "../kind";
import { cornersOf } from "../../outline";
import { DEFAULT_LAWN, DEFAULT_SQUARE, validateSquare } from "./measures";
import { SquareSchema, type Square } from "./schema";
export * from "./measures";
export { LAID, SURFACES, type Laid, type Square, type Surface } from "./schema";

/** Values of OpenStreetMap's keys that are green (from memory). */
const GREENS: Readonly<Record<string, readonly string[]>> = {
  leisure: ["park", "garden", "pitch", "playground", "common", "dog_park", "golf_course", "nature_reserve"],
  landuse: ["grass", "meadow", "village_green", "recreation_ground", "cemetery", "forest", "orchard", "allotments"],
  natural: ["grassland", "wood", "scrub", "heath"],
};

type Properties = Readonly<Record<string, unknown>>;
const isPaved = ({ place, highway }: Properties): boolean => place === "square" || highway === "pedestrian";
const isGreen = (properties: Properties): boolean =>
  Object.entries(GREENS).some(([key, values]) => values.includes(String(properties[key])));

export const square = elementKind<Square>(SquareSchema, {
  kind: "square",
  word: "Plaza",
  stands: false,
  yields: ({ surface }) => (surface === "lawn" ? "areas and ways" : "areas"),
  validate: validateSquare,
  // A path leads through a park.
  endsRoadways: ({ surface }) => surface !== "lawn",
  outline: cornersOf,
  span: ({ kerb }) => [0, kerb],
  ...onFootprint,
  geoJson: {
    write: ({ surface }) => ({
      shape: "area",
      properties: surface === "lawn" ? { leisure: "park" } : { place: "square" },
    }),
    read: {
      shape: "area",
      is: (properties) => isPaved(properties) || isGreen(properties),
      take: ({ places, properties }) => ({
        footprint: [...places],
        heading: 0,
        ...(isPaved(properties) ? DEFAULT_SQUARE : DEFAULT_LAWN),
      }),
    },
  },
  figures: ({ name, kerb }) => kerbFigures(name, kerb),
});
