import { laneAt } from "@zanvo/core/construct";
import { add, contains, degrees, scale, unit, wrap, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import type { Scene } from "@zanvo/core/scene";
import { unproject, type View } from "@zanvo/core/shot";
import { HEAVENLY, kindOf, raisedBy, terrainOf, type Element } from "@zanvo/core/world";
import { addThings } from "../../../document/elements";
import type { Drawn } from "../../../elements";
import { newId } from "../../../id";
import { solids } from "../../desk/useSolids";
import type { Board } from "../../useBoard";
import { isFloor, type PressedPlace, type Thing } from "./thing";

/** The heading from a place to the eye, turned to the nearest way of the walls around it, or of the main streets. */
export function facing(
  { elements, orientations }: Pick<Scene, "elements" | "orientations">,
  at: Vec3,
  eye: Vec3,
): number {
  const around = elements.find((element) => kindOf(element).letsIn?.(element, [at[0], at[1]], at[2] + 0.1));
  const along = around ? wallHeading(around) : (orientations[0]?.heading ?? 0);
  const wanted = degrees(Math.atan2(eye[0] - at[0], eye[1] - at[1]));
  return Number((along + 90 * Math.round((wanted - along) / 90)).toFixed(4));
}

/** The heading of the first side of an element's outline. */
function wallHeading(element: Element): number {
  const [[px, py], [qx, qy]] = kindOf(element).outline(element);
  return degrees(Math.atan2(qx - px, qy - py));
}

/** A name that no other element has: the label, and a number where it is needed. */
export function freeName(label: string, elements: readonly Element[]): string {
  const names = new Set(elements.map(({ name }) => name));
  for (let n = 1; ; n++) {
    const name = n === 1 ? label : `${label} ${n}`;
    if (!names.has(name)) return name;
  }
}

/** A thing at a place, on the ground of its world: it is set back by what the ground raises it by. */
export function standing(thing: Thing, place: PressedPlace, { elements }: Pick<Scene, "elements">): Element | string {
  const named = (drawn: Drawn) => ({ ...drawn, id: newId(), name: freeName(thing.label, elements) }) as Element;
  const drawn = thing.put(place);
  if (typeof drawn === "string") return drawn;
  const [x, y, z] = place.at;
  const rise = raisedBy(named(drawn), [x, y], terrainOf(elements));
  const again = thing.put({ ...place, at: [x, y, z - rise] });
  return typeof again === "string" ? again : named(again);
}

/** A pressed place; for what runs in a lane or on a track, the middle of that, and its heading. */
function pointed({ runsOn }: Thing, place: PressedPlace, { elements }: Pick<Scene, "elements">): PressedPlace {
  const [x, y, z] = place.at;
  const lane = runsOn && isFloor(place) ? laneAt(elements, [x, y], runsOn === "rails") : null;
  return lane ? { ...place, at: [...lane.at, z], heading: Number(wrap(lane.heading, -180, 360).toFixed(4)) } : place;
}

/** The place of the sky in a direction that is pressed: as far away as the sun is in the scene. */
function inSky(view: View, at: Vec2): Pick<PressedPlace, "at" | "normal"> {
  const way = unit(unproject(view, at));
  return { at: add(view.eye, scale(way, HEAVENLY)), normal: [0, 0, 1] };
}

/** Puts a thing where the picture was pressed, and chooses it; says why it cannot be put there. */
export async function putThing(board: Board, thing: Thing, at: Vec2, window: Vec2): Promise<void> {
  const refuse = (text: string) => board.showTag({ at: window, text, wrong: true });
  if (!contains(board.currentShot().frame, at)) return refuse("Press in the panel.");
  const { placeAt } = await solids();
  const view = board.currentView();
  const found = thing.isHeavenly ? inSky(view, at) : placeAt(view, board.looked(), at);
  if (!found) return refuse("Nothing is there to put it on: press a floor, a wall or the ground.");
  const { scene } = board.useDocument.getState();
  const put = standing(thing, pointed(thing, { ...found, heading: facing(scene, found.at, view.eye) }, scene), scene);
  if (typeof put === "string") return refuse(put);
  board.showTag(null);
  board.fit({ wall: null, bay: null });
  addThings(board, [put]);
}
