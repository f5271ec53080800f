import { elementBuilder } from "../builder";
import { groundAt } from "../../terrain";
import { buildSteps } from "./build";
import { railsOfSteps } from "./rails";
import type { Steps } from "./schema";

export const stepsBuilder = elementBuilder<Steps>({
  build: buildSteps,
  details: railsOfSteps,
  settle: ({ foot }, terrain) => [0, 0, groundAt(terrain, [foot.x, foot.y])],
});
