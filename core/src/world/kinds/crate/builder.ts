import { elementBuilder, onLowest } from "../builder";
import { crateOutline } from ".";
import { buildCrate } from "./build";
import type { Crate } from "./schema";

export const crateBuilder = elementBuilder<Crate>({
  build: (element) => [buildCrate(element)],
  settle: onLowest(crateOutline),
});
