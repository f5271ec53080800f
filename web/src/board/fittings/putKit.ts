import { contains, type Vec2 } from "@zanvo/core/geometry";
import { asHere, frontOfKit, hangs, putDown } from "@zanvo/core/kits";
import type { Kit } from "@zanvo/core/scene";
import { toldBy } from "@zanvo/core/problem";
import { isBlock, isBuilding, raisedBy, terrainOf } from "@zanvo/core/world";
import { replaceElement } from "../../document/elements";
import { newId } from "../../id";
import { keepsKit } from "../../kits/shelfOfKits";
import { solids } from "../desk/useSolids";
import type { Board } from "../useBoard";
import { onWalls } from "./change";
import { facing } from "./things/putThing";
import { headingOf, isWall } from "./things/thing";

/** Puts the front of a kit on the wall that is pressed. */
async function putFront(board: Board, kit: Kit, at: Vec2, refuse: (text: string) => void): Promise<void> {
  const front = frontOfKit(kit);
  const { sideAt } = await solids();
  const { elements } = board.useDocument.getState().scene;
  const found = sideAt(board.currentView(), elements, at);
  const element = elements.find(({ id }) => id === found?.id);
  if (!front || !found || !element) return refuse("Press the wall of a building.");
  if (isBlock(element)) return refuse(`${element.name} is a plain block: make it a building first.`);
  if (!isBuilding(element)) return;
  try {
    const building = onWalls(element, [found.side], () => ({ ...front, kit: kit.id }));
    board.edit((scene) => {
      replaceElement(building)(scene);
      keepsKit(kit)(scene);
    });
    board.choose([element.id]);
    board.fit({ wall: { id: element.id, side: found.side }, bay: null });
  } catch (error) {
    refuse(board.inWords(toldBy(error)));
  }
}

/** Puts a kit where the picture was pressed, and chooses it; says why it cannot be put there. */
export async function putKit(board: Board, shelved: Kit, at: Vec2, window: Vec2): Promise<void> {
  const kit = asHere(board.useDocument.getState().scene, shelved);
  const refuse = (text: string) => board.showTag({ at: window, text, wrong: true });
  if (!contains(board.currentShot().frame, at)) return refuse("Press in the panel.");
  if (kit.of === "front") return putFront(board, kit, at, refuse);
  const { placeAt } = await solids();
  const view = board.currentView();
  const found = placeAt(view, board.looked(), at);
  if (!found) return refuse("Nothing is there to put it on: press a floor or the ground.");
  const { scene } = board.useDocument.getState();
  const hanging = hangs(kit);
  if (hanging !== isWall(found))
    return refuse(hanging ? "It hangs on a wall: press one." : "It stands: press a floor or the ground.");
  const [x, y, z] = found.at;
  const heading = hanging ? headingOf(found.normal[0], found.normal[1]) : facing(scene, found.at, view.eye);
  const rise = raisedBy(kit.elements[0], [x, y], terrainOf(scene.elements));
  const parts = putDown(kit, { at: [x, y], z: z - rise, heading }, newId);
  board.showTag(null);
  board.fit({ wall: null, bay: null });
  board.edit((next) => {
    next.elements.push(...parts);
    keepsKit(kit)(next);
  });
  board.choose(parts.map(({ id }) => id));
}
