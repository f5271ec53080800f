import { isBlock, isBuilding, stands, type Block, type Building, type Element } from "@zanvo/core/world";

/** Whether an element stands by itself and has no walls to be fitted out: it is chosen and dragged as a whole. */
export const isThing = (element: Element): element is Exclude<Element, Block | Building> =>
  stands(element) && !isBuilding(element) && !isBlock(element);
