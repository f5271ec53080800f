import { useMemo } from "react";
import { kindOf, moved, type Element } from "@zanvo/core/world";
import { newId } from "../id";
import { edit, go, useBoard, type Recipe } from "./board";
import { deleteElement, duplicateElement } from "./desk/blocks";

/** All that is chosen, the first first. */
export function chosenOf({
  scene: { elements },
  selected,
  also,
}: Pick<ReturnType<typeof useBoard.getState>, "scene" | "selected" | "also">): readonly Element[] {
  return [selected, ...also].flatMap((id) => elements.find((one) => one.id === id) ?? []);
}

export function useMany(): readonly Element[] {
  const [elements, selected, also] = [
    useBoard((board) => board.scene.elements),
    useBoard((board) => board.selected),
    useBoard((board) => board.also),
  ];
  return useMemo(
    () => [selected, ...also].flatMap((id) => elements.find((one) => one.id === id) ?? []),
    [elements, selected, also],
  );
}

/** Chooses things, the first of them first; nothing where there are none. */
export const choose = (ids: readonly string[]): void => go({ selected: ids[0] ?? null, also: ids.slice(1) });

/** Adds a thing to what is chosen, or takes it out. */
export function toggle(id: string): void {
  const { selected, also } = useBoard.getState();
  const now = selected === null ? [] : [selected, ...also];
  choose(now.includes(id) ? now.filter((one) => one !== id) : [...now, id]);
}

/** A recipe that puts elements in the place of those with their ids. */
export const replaceMany = (elements: readonly Element[]): Recipe => {
  const by = new Map(elements.map((element) => [element.id, element]));
  return (scene) =>
    scene.elements.forEach((one, i) => {
      const next = by.get(one.id);
      if (next) scene.elements[i] = next;
    });
};

/** Moves all that is chosen and not locked over the ground, m; nudges that follow each other are one step. */
export function moveMany(things: readonly Element[], dx: number, dy: number): void {
  const free = things.filter(({ locked }) => !locked);
  if (free.length)
    edit(replaceMany(free.map((one) => moved(one, dx, dy))), `move ${free.map(({ id }) => id).join(" ")}`);
}

/** Changes what things carry: left out, locked, of a group. */
export const flagMany = (things: readonly Element[], change: Pick<Element, "hidden" | "locked" | "group">): void =>
  edit(replaceMany(things.map((one) => ({ ...one, ...change }))));

export function deleteMany(things: readonly Element[]): void {
  if (things.length === 1) return deleteElement(things[0].id);
  const gone = new Set(things.map(({ id }) => id));
  edit((scene) => {
    scene.elements = scene.elements.filter(({ id }) => !gone.has(id));
  });
  go({ selected: null });
}

/** Copies of things, to be put down elsewhere: with names for themselves, and of no row. */
export const fresh = (things: readonly Element[]): Element[] =>
  things.map((one) => {
    const copy = { ...one, id: newId() };
    return kindOf(copy).alone?.(copy) ?? copy;
  });

/** Puts things down and chooses them. */
export function addThings(things: readonly Element[]): void {
  edit((scene) => void scene.elements.push(...things));
  choose(things.map(({ id }) => id));
}

/** So far a copy of several things is put beside them, m. */
const BESIDE = 2;

export function duplicateMany(things: readonly Element[]): void {
  if (things.length === 1) return duplicateElement(things[0]);
  addThings(fresh(things).map((one) => ({ ...moved(one, BESIDE, -BESIDE), name: `${one.name} (copy)`.slice(0, 200) })));
}
