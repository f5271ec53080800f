import { elementBuilder } from "../builder";
import { buildStreet } from "./build";
import { streetDetails } from "./marks";
import type { Street } from "./schema";

export const streetBuilder = elementBuilder<Street>({
  build: buildStreet,
  details: (element, solids, around) => streetDetails(element, solids, around?.mouths),
  settle: () => "draped",
});
