import { createScene, restoreScene, saveScene } from "../api";
import { createColumn } from "../board/createColumn";
import { createHandOver } from "../board/handOver/createHandOver";
import { createVisibility } from "../board/desk/createVisibility";
import { createTangents } from "../board/createTangents";
import { createLamp } from "../createLamp";
import { createDocument } from "../document/history";
import { openDrafts } from "../document/saving/drafts";
import { createSaving } from "../document/saving/saving";
import { openTabs, thisTab } from "../document/saving/tab";
import { createSelection } from "../document/selection";
import { createView } from "../document/view";
import { createSingleKeys } from "../page/createSingleKeys";
import { createArrivals } from "../references/createArrivals";
import type { Memory } from "../remembered";
import { createNotes } from "../ui/createNotes";
import { createLettering } from "../lettering/createLettering";
import { createUnits } from "../createUnits";

/** What the stores of a window stand on. */
interface On {
  /** What is kept from visit to visit, and for as long as the tab is open. */
  readonly memory: { readonly visits: Memory; readonly tab: Memory };
  /** Whether the machine prefers a dark table. */
  readonly prefersDark: () => boolean;
  /** Lights the table, or darkens it. */
  readonly light: (on: boolean) => void;
}

export type Stores = ReturnType<typeof createStores>;

/**
 * All that a window holds besides its components: the document that is open in it, what is chosen of it, where one is
 * in it, how it is saved, the desk, and what was arranged at earlier visits.
 */
export function createStores({ memory, prefersDark, light }: On) {
  const units = createUnits(memory.visits);
  const sceneDocument = createDocument();
  const selection = createSelection(sceneDocument);
  const view = createView(sceneDocument);
  const saving = createSaving(
    { document: sceneDocument, selection, view },
    { saveScene, createScene, restoreScene },
    openDrafts(),
    { thisTab, openTabs },
  );
  return {
    /** What is kept from visit to visit, and for as long as the tab is open. */
    memory,
    sceneDocument,
    selection,
    view,
    ...sceneDocument,
    ...selection,
    ...view,
    saving,
    useSaving: saving.useSaving,
    ...units,
    ...createNotes(units.inWords),
    lettering: createLettering({
      setting: () => import("@zanvo/core/typesetting"),
      fetchFont: async (url) => new Uint8Array(await (await fetch(url)).arrayBuffer()),
    }),
    ...createVisibility(),
    ...createTangents(),
    ...createArrivals(),
    ...createColumn(memory.visits),
    ...createHandOver(memory.visits),
    ...createLamp(memory.visits, prefersDark, light),
    ...createSingleKeys(memory.visits),
  };
}
