import { contains, distance2, type Vec2 } from "@zanvo/core/geometry";
import { project } from "@zanvo/core/shot";
import { elevationOf, isBuilding, isCrowd, type Building, type Crowd } from "@zanvo/core/world";
import { replaceElement } from "../../document/elements";
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
  if (thing) return putThing(board, thing, at, window);
  return board.useView.getState().stage === "street" ? pressThing(board, at, window) : pressWall(board, at);
}

/** Keeps the one of a crowd who is seen nearest to a place of the sheet, or lets them be rolled again. */
function keepNearest(board: Board, crowd: Crowd, at: Vec2, window: Vec2): void {
  const view = board.currentView();
  const off = crowd.people.map(({ x, y, height }) => {
    const seen = project(view, [x, y, height / 2]);
    return seen ? distance2(seen, at) : Infinity;
  });
  const nearest = off.indexOf(Math.min(...off));
  const stays = !crowd.people[nearest]?.kept;
  const people = crowd.people.map((one, i) => (i === nearest ? { ...one, kept: stays || undefined } : one));
  board.edit(replaceElement({ ...crowd, people }), `kept ${crowd.id}`);
  const text = stays ? "Stays when the others are rolled again." : "Is rolled again with the others.";
  board.showTag({ at: window, text, wrong: false });
}

/** Chooses what stands by itself and is seen at a place of the sheet, if anything. */
async function pressThing(board: Board, at: Vec2, window: Vec2): Promise<void> {
  const { pick } = await solids();
  const seen = contains(board.currentShot().frame, at) ? pick(board.currentView(), board.looked(), at) : null;
  const { elements } = board.useDocument.getState().scene;
  const crowd = elements.find((one) => one.id === seen);
  if (crowd && isCrowd(crowd) && board.chosenElements()[0]?.id === seen) return keepNearest(board, crowd, at, window);
  board.choose(elements.some((one) => one.id === seen && isThing(one)) && seen ? [seen] : []);
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
