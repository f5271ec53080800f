import type { Vec2 } from "@zanvo/core/geometry";
import { toldBy } from "@zanvo/core/problem";
import {
  asBuilding,
  isBlock,
  isBuilding,
  requireValid,
  standsAt,
  type Block,
  type Building,
  type Element,
} from "@zanvo/core/world";
import { replaceElement } from "../document/elements";
import type { Stores } from "../stores";

const isMass = (element: Element): element is Block | Building => isBlock(element) || isBuilding(element);

/** Opens a courtyard in the building that stands at all of its corners; what cannot be is told. */
export function addYard(stores: Stores, corners: readonly Vec2[]): void {
  const { elements } = stores.useDocument.getState().scene;
  const around = elements.filter(isMass).find((one) => !one.hidden && corners.every((at) => standsAt(one, at)));
  if (!around) return stores.say("Draw the courtyard inside a building, clear of its walls.");
  if (around.locked) return stores.say(`${around.name} is locked.`);
  const building = asBuilding(around);
  const yard = corners.map(([x, y]) => ({ x, y }));
  try {
    stores.edit(replaceElement(requireValid({ ...building, courtyards: [...(building.courtyards ?? []), yard] })));
    stores.choose([building.id]);
  } catch (wrong) {
    stores.say(toldBy(wrong));
  }
}
