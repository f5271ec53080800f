import { elementBuilder } from "../builder";
import { buildBasin, cuttingOf } from "./build";
import type { Basin } from "./schema";

export const basinBuilder = elementBuilder<Basin>({
  build: buildBasin,
  cutting: cuttingOf,
});
