import { elementBuilder } from "../builder";
import { buildSkyline } from "./build";
import type { Skyline } from "./schema";

export const skylineBuilder = elementBuilder<Skyline>({
  build: buildSkyline,
});
