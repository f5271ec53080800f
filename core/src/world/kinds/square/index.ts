import { kerbFigures } from "../kerb";
import { elementKind, onFootprint } from "../kind";
import { cornersOf } from "../../outline";
import { buildSquare, DEFAULT_SQUARE, squareDetails, validateSquare } from "./build";
import { SquareSchema, type Square } from "./schema";
export * from "./build";
export type { Square } from "./schema";

export const square = elementKind<Square>(SquareSchema, {
  kind: "square",
  word: "Plaza",
  stands: false,
  build: buildSquare,
  details: squareDetails,
  validate: validateSquare,
  endsRoadways: () => true,
  outline: cornersOf,
  span: ({ kerb }) => [0, kerb],
  settle: () => "draped",
  ...onFootprint,
  geoJson: {
    write: () => ({ shape: "area", properties: { place: "square" } }),
    read: {
      shape: "area",
      is: ({ place }) => place === "square",
      take: ({ places }) => ({ footprint: [...places], heading: 0, ...DEFAULT_SQUARE }),
    },
  },
  figures: ({ name, kerb }) => kerbFigures(name, kerb),
});
