import { elementBuilder } from "../builder";
import { buildWall, wallDetails } from "./build";
import type { Wall } from "./schema";

export const wallBuilder = elementBuilder<Wall>({
  build: buildWall,
  details: wallDetails,
  settle: () => "draped",
});
