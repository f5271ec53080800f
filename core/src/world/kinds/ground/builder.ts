import { elementBuilder } from "../builder";
import { solidsOfGround } from "../../surface";
import { raisedGround } from "./build";
import { groundDetails } from "./contours";
import type { Ground } from "./schema";

export const groundBuilder = elementBuilder<Ground>({
  build: (element) => solidsOfGround(element.id, raisedGround(element)?.facets ?? []),
  details: groundDetails,
  ground: raisedGround,
});
