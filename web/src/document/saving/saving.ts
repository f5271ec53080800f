import { create } from "zustand";
import type { Opened } from "../../api";
import { createAutosave } from "./autosave";
import type { Drafts } from "./drafts";
import { createDecisions } from "./settle";
import type { Context, Found, Saving, Server, DocumentStores, Tabs } from "./state";
import { findUnsaved, startVisit } from "./visit";

export type { Found, Saving } from "./state";

/** Saves the document of a window by itself, and keeps what is not acknowledged in this browser. */
export function createSaving(stores: DocumentStores, server: Server, drafts: Drafts, tabs: Tabs) {
  const useSaving = create<Saving>(() => ({
    state: "saved",
    reason: "",
    revision: 0,
    theirs: null,
    unkept: null,
    others: [],
  }));
  const context: Context = { stores, server, drafts, tabs, saving: useSaving, session: null };
  const autosave = createAutosave(context);
  /** What was still being saved when a scene was last left. */
  let leaving: Promise<unknown> = Promise.resolve();

  return {
    useSaving,
    flush: autosave.flush,
    /** Waits for what was left: whoever opens the scene again at once must not get it as it was before. */
    leftSaved: (): Promise<unknown> => leaving,
    find: (opened: Opened): Promise<Found> => findUnsaved(context, opened),
    /** Opens a scene with what was found unsaved of it, and saves it from now on. @returns ends it */
    start: (opened: Opened, found: Found): (() => void) => {
      const stop = startVisit(context, autosave, opened, found);
      return () => {
        leaving = Promise.all([leaving, stop()]);
      };
    },
    /** Saves what is open, for something that is made from what is stored. @throws Error when it cannot be saved */
    savedFirst: async (): Promise<void> => {
      await autosave.flush();
      if (useSaving.getState().state !== "saved")
        throw new Error("The scene could not be saved first, so nothing was made.");
    },
    ...createDecisions(context, autosave),
  };
}
