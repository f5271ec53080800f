import { boxOutline } from "../block";
import { elementBuilder, onLowest } from "../builder";
import { buildFurniture, furnitureDetails } from "./build";
import { boxOfFurniture } from "./measures";
import type { Furniture } from "./schema";

export const furnitureBuilder = elementBuilder<Furniture>({
  build: buildFurniture,
  details: furnitureDetails,
  settle: onLowest((element) => boxOutline(boxOfFurniture(element))),
});
