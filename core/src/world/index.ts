import { BlockSchema, buildBlock, type Block } from "./block";
import type { Solid } from "./solid";

export * from "./block";
export * from "./fields";
export * from "./solid";

/** Every kind of element: its schema, and how it is built to solids. A new kind is one file and one line here. */
export const KINDS = {
  block: { schema: BlockSchema, build: (element: Block): Solid[] => [buildBlock(element)] },
} as const;

export type Element = Block;

/** The solids of elements, in their order. */
export function build(elements: readonly Element[]): Solid[] {
  return elements.flatMap((element) => KINDS[element.kind].build(element));
}
