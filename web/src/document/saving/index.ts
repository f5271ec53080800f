import { createScene, restoreScene, saveScene } from "../../api";
import { sceneDocument, selection, view } from "..";
import { openDrafts } from "./drafts";
import { createSaving } from "./saving";
import { openTabs, thisTab } from "./tab";

/** The saving of the document that lies on the board in this window. */
export const saving = createSaving(
  { document: sceneDocument, selection, view },
  { saveScene, createScene, restoreScene },
  openDrafts(),
  { thisTab, openTabs },
);
export const { useSaving } = saving;
export type { Saving } from "./saving";
