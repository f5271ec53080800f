import { contains, type Vec2 } from "@zanvo/core/geometry";
import { elevationOf, isBuilding, type Building } from "@zanvo/core/world";
import { solids } from "../desk/useSolids";
import type { Board } from "../useBoard";
import type { ChosenBay } from "./createFittings";

/** The bay of a wall at a place of it, m along it and up; null where it has none there. */
export function bayAt(building: Building, side: number, [along, up]: Vec2): ChosenBay | null {
  const { bays, floors } = elevationOf(building, side);
  const bay = bays.findIndex(({ from, to }) => along >= from && along <= to);
  const storey = floors.findIndex(({ low, height }) => up >= low && up <= low + height);
  return bay >= 0 && storey >= 0 ? { bay, storey } : null;
}

/** Chooses the wall of a building that is seen at a place of the sheet, and the bay there. */
export async function pressWall(board: Board, at: Vec2): Promise<void> {
  const { scene } = board.useDocument.getState();
  if (!contains(board.currentShot().frame, at)) return;
  const { sideAt } = await solids();
  const found = sideAt(board.currentView(), scene.elements, at);
  if (!found) return board.fit({ wall: null, bay: null });
  const { id, side, place } = found;
  const building = scene.elements.find((element) => element.id === id);
  board.choose([id]);
  board.fit({ wall: { id, side }, bay: building && isBuilding(building) ? bayAt(building, side, place) : null });
}
