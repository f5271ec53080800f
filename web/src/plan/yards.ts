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
import { choose, edit, useDocument } from "../document";
import { replaceElement } from "../document/elements";
import { say } from "../ui";

const isMass = (element: Element): element is Block | Building => isBlock(element) || isBuilding(element);

/** Opens a courtyard in the building that stands at all of its corners; what cannot be is told. */
export function addYard(corners: readonly Vec2[]): void {
  const { elements } = useDocument.getState().scene;
  const around = elements.filter(isMass).find((one) => !one.hidden && corners.every((at) => standsAt(one, at)));
  if (!around) return say("Draw the courtyard inside a building, clear of its walls.");
  if (around.locked) return say(`${around.name} is locked.`);
  const building = asBuilding(around);
  const yard = corners.map(([x, y]) => ({ x, y }));
  try {
    edit(replaceElement(requireValid({ ...building, courtyards: [...(building.courtyards ?? []), yard] })));
    choose([building.id]);
  } catch (wrong) {
    say(toldBy(wrong));
  }
}
