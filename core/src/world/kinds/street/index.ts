import { kerbFigures } from "../kerb";
import { elementKind, onPath } from "../kind";
import { DEFAULT_STREET, roadwayOf, validateStreet } from "./build";
import { measuresIn } from "./classes";
import { laneOfStreet } from "./lanes";
import { streetRibbon } from "./pavements";
import { StreetSchema, type Street } from "./schema";
export * from "./build";
export { TRAFFIC, type Street } from "./schema";

export const street = elementKind<Street>(StreetSchema, {
  kind: "street",
  word: "Street",
  stands: false,
  way: true,
  lane: laneOfStreet,
  roadway: roadwayOf,
  validate: validateStreet,
  outline: streetRibbon,
  span: ({ kerb }) => [0, kerb],
  ...onPath,
  geoJson: {
    write: ({ carriageway }) => ({
      shape: "line",
      properties: { highway: "unclassified", width: carriageway },
    }),
    read: {
      shape: "line",
      take: ({ places, properties }) => ({ path: [...places], ...DEFAULT_STREET, ...measuresIn(properties) }),
    },
  },
  figures: ({ name, kerb }) => kerbFigures(name, kerb),
});
