import { BlockSchema, buildBlock, type Block } from "./block";
import { buildBuilding, BuildingSchema, type Building } from "./building";
import type { Solid } from "./solid";

export * from "./block";
export * from "./box";
export * from "./building";
export * from "./fields";
export * from "./polygon";
export * from "./row";
export * from "./solid";

export type Element = Block | Building;

/** Every kind of element: its schema, and how it is built to solids. A new kind is one file, a line here, and one in `Element`. */
export const KINDS: { readonly [K in Element["kind"]]: { readonly schema: object; readonly build: (element: Extract<Element, { kind: K }>) => Solid[] } } = {
  block: { schema: BlockSchema, build: (element) => [buildBlock(element)] },
  building: { schema: BuildingSchema, build: buildBuilding },
};

/** The solids of one element. */
const builtOf = <K extends Element["kind"]>(element: Extract<Element, { kind: K }>): Solid[] => KINDS[element.kind as K].build(element);

/** The solids of elements, in their order. */
export function build(elements: readonly Element[]): Solid[] {
  return elements.flatMap((element) => builtOf(element));
}
