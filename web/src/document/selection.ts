import type { Element } from "@zanvo/core/world";
import { useMemo } from "react";
import { create } from "zustand";
import type { SceneDocument } from "./history";

/** What is chosen of a document's elements. */
export interface SelectionState {
  /** The chosen element's id; of several, that of the first. */
  readonly selected: string | null;
  /** Ids of those that are chosen besides. */
  readonly also: readonly string[];
}

export type Selection = ReturnType<typeof createSelection>;

const found = (elements: readonly Element[], { selected, also }: SelectionState): readonly Element[] =>
  [selected, ...also].flatMap((id) => elements.find((one) => one.id === id) ?? []);

/** What is chosen in a document; what is no longer there is not. */
export function createSelection({ useDocument }: Pick<SceneDocument, "useDocument">) {
  const useSelection = create<SelectionState>(() => ({ selected: null, also: [] }));
  const { getState: get, setState: set } = useSelection;

  /** Chooses things, the first of them first; nothing where there are none. */
  const choose = (ids: readonly string[]): void => set({ selected: ids[0] ?? null, also: ids.slice(1) });

  useDocument.subscribe(({ scene, gesture }, before) => {
    const { selected, also } = get();
    if (selected === null || gesture || scene.elements === before.scene.elements) return;
    const stands = new Set(scene.elements.map(({ id }) => id));
    if (!stands.has(selected)) choose([]);
    else if (!also.every((id) => stands.has(id))) set({ also: also.filter((id) => stands.has(id)) });
  });

  return {
    useSelection,
    choose,
    /** Adds a thing to what is chosen, or takes it out. */
    toggle: (id: string): void => {
      const { selected, also } = get();
      const now = selected === null ? [] : [selected, ...also];
      choose(now.includes(id) ? now.filter((one) => one !== id) : [...now, id]);
    },
    /** All that is chosen, the first first. */
    chosenElements: (): readonly Element[] => found(useDocument.getState().scene.elements, get()),
    useMany: (): readonly Element[] => {
      const elements = useDocument(({ scene }) => scene.elements);
      const chosen = useSelection();
      return useMemo(() => found(elements, chosen), [elements, chosen]);
    },
    /** The chosen element, if one is chosen. */
    useChosen: (): Element | undefined => {
      const selected = useSelection((chosen) => chosen.selected);
      return useDocument(({ scene }) => scene.elements.find((one) => one.id === selected));
    },
  };
}
