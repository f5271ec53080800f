import { join } from "node:path";
import type { Checked } from "@zanvo/store";
import type { Exported, ExportOrder, RecipeOrder, SlipOrder } from "./drawings";
import { openPool, type Limits } from "./pool";

export type { Exported, ExportOrder } from "./drawings";
export { Busy, Cancelled, TooHeavy } from "./pool";

/**
 * Saving must not wait long, and drawing must not take the machine. Documents of which nearly all is known have a
 * thread of their own, so that none of them waits for one that is looked at for the first time.
 */
const SAVES: Limits = { threads: [1, 1], queue: 500, seconds: 60, megabytes: 1500 };
const DOCUMENTS: Limits = { threads: [1, 1], queue: 500, seconds: 60, megabytes: 1500 };
const DRAWINGS: Limits = { threads: [0, 2], queue: 40, seconds: 20, megabytes: 1024, nice: 10 };

/** A buffer that crossed over from a thread is bytes only. */
const stored = (checked: Checked): Checked => ({ ...checked, document: Buffer.from(checked.document) });

interface Watched {
  readonly signal?: AbortSignal;
}

export type Jobs = ReturnType<typeof openJobs>;

/**
 * What is worked out beside the thread that answers requests.
 * @param folder where the built scripts of the threads are
 * @param limits of drawings, for tests
 */
export function openJobs(folder: string, limits: Partial<Limits> = {}) {
  const saves = openPool(join(folder, "documents.js"), SAVES);
  /** Remembers a sound document, for quick checks of its next states. */
  const learn = (id: string, bytes: Buffer): void => void saves.run("learn", { id, bytes }).catch(() => undefined);
  const documents = openPool(join(folder, "documents.js"), DOCUMENTS);
  const drawings = openPool(join(folder, "drawings.js"), { ...DRAWINGS, ...limits });
  return {
    /**
     * Checks a document, given as a request's bytes or as text. @throws BadInput
     * @param id the scene that it is a newer state of, where there is one
     */
    check: async (given: Buffer | string, id?: string): Promise<Checked> => {
      const quick =
        id === undefined || typeof given === "string"
          ? null
          : await saves.run<Checked | null>("checkKnown", { id, bytes: given });
      if (quick) return stored(quick);
      const checked = stored(await documents.run<Checked>("check", given));
      if (id !== undefined && typeof given !== "string") learn(id, given);
      return checked;
    },
    learn,
    /**
     * The text of a stored document, brought up to date. @throws BadInput where it is damaged, or of a newer version
     */
    current: (text: string): Promise<string> => documents.run("current", text),
    /** The id of a shot in a document. @throws BadInput where there is none of it */
    shot: (text: string, id: string): Promise<string> => documents.run("shot", { text, id }),
    exported: (order: ExportOrder, { signal }: Watched = {}): Promise<Exported> =>
      drawings.run("exported", order, { signal }),
    slip: (order: SlipOrder, { signal }: Watched = {}): Promise<Uint8Array> => drawings.run("slip", order, { signal }),
    recipe: (order: RecipeOrder, { signal }: Watched = {}): Promise<Uint8Array> =>
      drawings.run("recipe", order, { signal }),
    thumbnail: (text: string): Promise<Uint8Array> => drawings.run("thumbnail", text),
    close: async (): Promise<void> => {
      await Promise.all([saves.close(), documents.close(), drawings.close()]);
    },
  };
}
