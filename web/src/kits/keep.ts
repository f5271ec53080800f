import { degrees } from "@zanvo/core/geometry";
import { kitOfFront, kitOfThings } from "@zanvo/core/kits";
import { toldBy } from "@zanvo/core/problem";
import { boxOf, middleOf, withFront, type Building, type Element, type Front } from "@zanvo/core/world";
import { replaceElement, replaceMany } from "../document/elements";
import { newId } from "../id";
import type { Stores } from "../stores";
import { keepsKit, shelveKit } from "./shelfOfKits";

/** The way of a thing's own sides that comes nearest to the way to the eye, as a heading. */
function towardsEye(stores: Stores, thing: Element): number {
  const { eye } = stores.currentShot();
  const [x, y] = middleOf(thing);
  const wanted = degrees(Math.atan2(eye.x - x, eye.y - y));
  const { heading } = boxOf(thing);
  return heading + 90 * Math.round((wanted - heading) / 90);
}

/** Says that a kit is kept, and offers to take it off the shelf again. */
function say(stores: Stores, name: string, undo: () => Promise<void>): void {
  stores.say(`“${name}” is kept as a kit: any scene can have it.`, {
    label: "Take it off the shelf",
    run: () => void undo().catch((error: unknown) => stores.say(toldBy(error))),
  });
}

/** Keeps things as a kit, of which they are the first instance. */
export async function keepThings(stores: Stores, things: readonly Element[], name: string): Promise<void> {
  const { kit, undo } = await shelveKit(kitOfThings(things, name, towardsEye(stores, things[0])));
  const instance = newId();
  stores.edit((scene) => {
    replaceMany(things.map((one) => ({ ...one, kit: { id: kit.id, instance, part: one.id } })))(scene);
    keepsKit(kit)(scene);
  });
  say(stores, kit.name, undo);
}

/** Keeps the front of a wall as a kit, which that wall has from then on. */
export async function keepFront(stores: Stores, building: Building, front: Front): Promise<void> {
  const name = `Front of ${building.name || "a wall"}`.slice(0, 200);
  const { kit, undo } = await shelveKit(kitOfFront(building, front, name));
  stores.edit((scene) => {
    replaceElement(withFront(building, { ...front, kit: kit.id }))(scene);
    keepsKit(kit)(scene);
  });
  say(stores, kit.name, undo);
}
