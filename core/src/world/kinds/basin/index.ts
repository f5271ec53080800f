import { cornersOf } from "../../outline";
import { elementKind, onFootprint } from "../kind";
import { DEFAULT_BASIN, NATURAL_WATER, validateBasin } from "./measures";
import { BasinSchema, type Basin } from "./schema";
export { DEFAULT_BASIN } from "./measures";
export type { Basin } from "./schema";

/** Values of OpenStreetMap's keys that are water (from memory); those that are built between walls. */
const WATERS: Readonly<Record<string, readonly string[]>> = {
  natural: ["water"],
  waterway: ["riverbank", "dock", "canal", "boatyard"],
  landuse: ["basin", "reservoir"],
  leisure: ["swimming_pool"],
};
const BUILT = ["dock", "canal", "basin", "harbour", "swimming_pool", "lock", "moat", "reflecting_pool"];

const isWater = (properties: Readonly<Record<string, unknown>>): boolean =>
  typeof properties.water === "string" ||
  Object.entries(WATERS).some(([key, values]) => values.includes(String(properties[key])));

export const basin = elementKind<Basin>(BasinSchema, {
  kind: "basin",
  word: "Basin",
  stands: false,
  validate: validateBasin,
  endsRoadways: () => true,
  outline: cornersOf,
  holes: ({ islands = [] }) => islands.map((footprint) => cornersOf({ footprint })),
  span: ({ depth, coping }) => [-depth, depth + coping],
  ...onFootprint,
  geoJson: {
    write: ({ coping }) => ({
      shape: "area",
      properties: coping > 0 ? { natural: "water", water: "basin" } : { natural: "water" },
    }),
    read: {
      shape: "area",
      holes: true,
      is: isWater,
      take: ({ places, holes, properties }) => ({
        footprint: [...places],
        ...(holes.length ? { islands: holes.map((hole) => [...hole]) } : {}),
        ...(["water", ...Object.keys(WATERS)].some((key) => BUILT.includes(String(properties[key])))
          ? DEFAULT_BASIN
          : NATURAL_WATER),
      }),
    },
  },
});
