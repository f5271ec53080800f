import { elementBuilder } from "../builder";
import { buildSquare, squareDetails } from "./build";
import type { Square } from "./schema";

export const squareBuilder = elementBuilder<Square>({
  build: buildSquare,
  details: (element, solids, around) => squareDetails(element, solids, around?.taken),
  settle: () => "draped",
});
