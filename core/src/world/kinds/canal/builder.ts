import { elementBuilder } from "../builder";
import { buildCanal, cuttingOf } from "./build";
import type { Canal } from "./schema";

export const canalBuilder = elementBuilder<Canal>({
  build: buildCanal,
  cutting: cuttingOf,
});
