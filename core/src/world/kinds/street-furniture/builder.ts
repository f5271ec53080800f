import { elementBuilder } from "../builder";
import { buildStreetFurniture, wiresOf } from "./build";
import type { StreetFurniture } from "./schema";

export const streetFurnitureBuilder = elementBuilder<StreetFurniture>({
  build: buildStreetFurniture,
  details: wiresOf,
  settle: () => "draped",
});
