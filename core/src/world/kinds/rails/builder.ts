import { elementBuilder } from "../builder";
import { railsDetails } from "./build";
import type { Rails } from "./schema";

export const railsBuilder = elementBuilder<Rails>({
  build: () => [],
  details: railsDetails,
  settle: () => "draped",
});
