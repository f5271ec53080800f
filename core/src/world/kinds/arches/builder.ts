import { elementBuilder, onLowest } from "../builder";
import { archesOutline } from ".";
import { archesDetails, buildArches } from "./build";
import type { Arches } from "./schema";

export const archesBuilder = elementBuilder<Arches>({
  build: buildArches,
  details: archesDetails,
  settle: onLowest(archesOutline),
});
