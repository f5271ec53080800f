import { elementBuilder, onLowest } from "../builder";
import { boxOutline } from ".";
import { buildBlock } from "./build";
import type { Block } from "./schema";

export const blockBuilder = elementBuilder<Block>({
  build: (element) => [buildBlock(element)],
  settle: onLowest(boxOutline),
});
