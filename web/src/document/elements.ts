import { original } from "immer";
import { blockAxes, boxOf, kindOf, moved, type Element } from "@zanvo/core/world";
import { instancesOf } from "@zanvo/core/kits";
import type { Kit } from "@zanvo/core/scene";
import { sentence } from "@zanvo/core/units";
import { newId } from "../id";
import type { Recipe } from ".";
import type { Stores } from "../stores";

/** A recipe that puts elements in the place of those with their ids. */
export const replaceMany = (elements: readonly Element[]): Recipe => {
  const by = new Map(elements.map((element) => [element.id, element]));
  return (scene) =>
    // Looked for in the plain scene: a draft would be made of every element that is looked at.
    original(scene)?.elements.forEach(({ id }, i) => {
      const next = by.get(id);
      if (next) scene.elements[i] = next;
    });
};

/** A recipe that puts an element in the place of the one with its id. */
export const replaceElement = (element: Element): Recipe => replaceMany([element]);

/** Moves all that is chosen and not locked over the ground, m; nudges that follow each other are one step. */
export function moveMany(stores: Stores, things: readonly Element[], dx: number, dy: number): void {
  const free = things.filter(({ locked }) => !locked);
  if (free.length)
    stores.edit(replaceMany(free.map((one) => moved(one, dx, dy))), `move ${free.map(({ id }) => id).join(" ")}`);
}

/** Changes what things carry: left out, locked, of a group. */
export const flagMany = (
  stores: Stores,
  things: readonly Element[],
  change: Pick<Element, "hidden" | "locked" | "group">,
): void => stores.edit(replaceMany(things.map((one) => ({ ...one, ...change }))));

/** Takes things away; what is locked stays, and is chosen then. */
export function deleteMany(stores: Stores, things: readonly Element[]): void {
  const kept = things.filter(({ locked }) => locked);
  const gone = new Set(things.filter(({ locked }) => !locked).map(({ id }) => id));
  if (gone.size)
    stores.edit((scene) => {
      scene.elements = scene.elements.filter(({ id }) => !gone.has(id));
    });
  if (kept.length === 1) stores.say(sentence`${kept[0].name} is locked, so it stays.`);
  if (kept.length > 1) stores.say(sentence`${kept.length} things are locked, so they stay.`);
  stores.choose(kept.map(({ id }) => id));
}

/**
 * Copies of things, to be put down elsewhere: with names for themselves, and of no row; all parts of a kit together are
 * one more instance of it, and some of them are of none.
 */
export function fresh(things: readonly Element[], kits: readonly Kit[] = []): Element[] {
  const instances = new Map<string, string>();
  for (const { id, elements } of kits)
    for (const [{ kit }, ...more] of instancesOf(things, id))
      if (more.length + 1 === elements.length) instances.set(kit.instance, newId());
  return things.map(({ kit, ...one }) => {
    const instance = kit && instances.get(kit.instance);
    const copy = { ...one, id: newId(), ...(instance && { kit: { ...kit, instance } }) };
    return kindOf(copy).alone?.(copy) ?? copy;
  });
}

/** Puts things down and chooses them. */
export function addThings(stores: Stores, things: readonly Element[]): void {
  stores.edit((scene) => void scene.elements.push(...things));
  stores.choose(things.map(({ id }) => id));
}

export const kitsOf = (stores: Stores): readonly Kit[] | undefined => stores.useDocument.getState().scene.kits;

/** So far a copy of several things is put beside them, m. */
const BESIDE = 2;

export function duplicateMany(stores: Stores, things: readonly Element[]): void {
  if (things.length === 1) return duplicateElement(stores, things[0]);
  addThings(
    stores,
    fresh(things, kitsOf(stores)).map((one) => ({
      ...moved(one, BESIDE, -BESIDE),
      name: `${one.name} (copy)`.slice(0, 200),
    })),
  );
}

/** Puts a copy beside an element, touching it along its length, and chooses it. */
export function duplicateElement(stores: Stores, element: Element): void {
  const box = boxOf(element);
  const [l] = blockAxes(box);
  const [copy] = fresh([moved(element, l[0] * box.length, l[1] * box.length)], kitsOf(stores));
  addThings(stores, [{ ...copy, name: `${element.name} (copy)`.slice(0, 200) }]);
}
