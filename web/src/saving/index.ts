import { createScene, restoreScene, saveScene } from "../api";
import { openDrafts } from "./drafts";
import { createSaving } from "./saving";
import { openTabs, thisTab } from "./tab";

/** The saving of the document that lies on the board in this window. */
export const saving = createSaving({ saveScene, createScene, restoreScene }, openDrafts(), { thisTab, openTabs });
export const { useSaving } = saving;
export type { Saving } from "./saving";
