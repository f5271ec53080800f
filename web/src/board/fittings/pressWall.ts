import { contains, type Vec2 } from "@zanvo/core/geometry";
import { elevationOf, isBuilding, type Building } from "@zanvo/core/world";
import { solids } from "../desk/useSolids";
import { isThing } from "./isThing";
import { thingOf } from "./things";
import { putKit } from "./putKit";
import { putThing } from "./things/putThing";
import type { Board } from "../useBoard";
import type { ChosenBay } from "./createFittings";

/** The bay of a wall at a place of it, m along it and up; null where it has none there. */
export function bayAt(building: Building, side: number, [along, up]: Vec2): ChosenBay | null {
  const { bays, floors } = elevationOf(building, side);
  const bay = bays.findIndex(({ from, to }) => along >= from && along <= to);
  const storey = floors.findIndex(({ low, height }) => up >= low && up <= low + height);
  return bay >= 0 && storey >= 0 ? { bay, storey } : null;
}

/** Puts down what is to be put, where the picture is pressed; or chooses what is seen there: a wall, or a thing. */
export async function press(board: Board, at: Vec2, window: Vec2): Promise<void> {
  const { putting } = board.useFittings.getState();
  if (putting && "kit" in putting) return putKit(board, putting.kit, at, window);
  const thing = putting && thingOf(putting.thing);
  return thing ? putThing(board, thing, at, window) : pressWall(board, at);
}

/** Chooses the wall of a building that is seen at a place of the sheet, and the bay there. */
async function pressWall(board: Board, at: Vec2): Promise<void> {
  const { scene } = board.useDocument.getState();
  if (!contains(board.currentShot().frame, at)) return;
  const { pick, sideAt } = await solids();
  const seen = pick(board.currentView(), board.looked(), at);
  const thing = scene.elements.find(({ id }) => id === seen);
  if (thing && isThing(thing)) {
    board.fit({ wall: null, bay: null });
    return board.choose([thing.id]);
  }
  const found = sideAt(board.currentView(), scene.elements, at);
  if (!found) return board.fit({ wall: null, bay: null });
  const { id, side, place } = found;
  const building = scene.elements.find((element) => element.id === id);
  board.choose([id]);
  board.fit({ wall: { id, side }, bay: building && isBuilding(building) ? bayAt(building, side, place) : null });
}
