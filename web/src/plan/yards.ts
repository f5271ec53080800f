import type { Vec2 } from "@zanvo/core/geometry";
import { toldBy } from "@zanvo/core/problem";
import {
  asBuilding,
  centroid,
  isBlock,
  isBuilding,
  requireValid,
  standsAt,
  withRoom,
  type Block,
  type Building,
  type Element,
} from "@zanvo/core/world";
import { replaceElement } from "../document/elements";
import type { Stores } from "../stores";

const isMass = (element: Element): element is Block | Building => isBlock(element) || isBuilding(element);

/** Changes the building that stands at all of some places; what cannot be is told. @param what is drawn inside it */
function changeAround(
  stores: Stores,
  places: readonly Vec2[],
  what: string,
  change: (building: Building) => Building,
): void {
  const { elements } = stores.useDocument.getState().scene;
  const around = elements.filter(isMass).find((one) => !one.hidden && places.every((at) => standsAt(one, at)));
  if (!around) return stores.say(`Draw the ${what} inside a building, clear of its walls.`);
  if (around.locked) return stores.say(`${around.name} is locked.`);
  try {
    stores.edit(replaceElement(requireValid(change(asBuilding(around)))));
    stores.choose([around.id]);
  } catch (wrong) {
    stores.say(toldBy(wrong));
  }
}

/** Opens a courtyard in the building that stands at all of its corners. */
export const addYard = (stores: Stores, corners: readonly Vec2[]): void =>
  changeAround(stores, corners, "courtyard", (building) => ({
    ...building,
    courtyards: [...(building.courtyards ?? []), corners.map(([x, y]) => ({ x, y }))],
  }));

/** Makes a room in the building that stands at its middle, in every storey: its corners may lie on the walls. */
export const addRoom = (stores: Stores, corners: readonly Vec2[]): void =>
  changeAround(stores, [centroid(corners)], "room", (building) => withRoom(building, corners));
