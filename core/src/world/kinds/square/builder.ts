import { elementBuilder } from "../builder";
import { buildSquare, squareDetails } from "./build";
import type { Square } from "./schema";

export const squareBuilder = elementBuilder<Square>({
  build: (element, around) => buildSquare(element, around?.taken),
  details: (element, solids, around) => squareDetails(element, solids, around?.taken),
  settle: () => "draped",
});
