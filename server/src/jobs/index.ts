import { join } from "node:path";
import type { Checked } from "@zanvo/store";
import type { Exported, ExportOrder } from "./drawings";
import { openPool, type Limits } from "./pool";

export type { Exported, ExportOrder } from "./drawings";
export { Busy, Cancelled, TooHeavy } from "./pool";

/** Saving must not wait long, and drawing must not take the machine. */
const DOCUMENTS: Limits = { threads: [1, 2], queue: 500, seconds: 60, megabytes: 1500 };
const DRAWINGS: Limits = { threads: [0, 2], queue: 40, seconds: 20, megabytes: 1024 };

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
  const documents = openPool(join(folder, "documents.js"), DOCUMENTS);
  const drawings = openPool(join(folder, "drawings.js"), { ...DRAWINGS, ...limits });
  return {
    /** Checks a document, given as a request's bytes (which are used up) or as text. @throws BadInput */
    check: (given: Buffer | string): Promise<Checked> => {
      // A small buffer shares its memory with others, and is copied.
      const whole = typeof given !== "string" && given.byteOffset === 0 && given.byteLength === given.buffer.byteLength;
      return documents.run<Checked>("check", given, whole ? { transfer: [given.buffer as ArrayBuffer] } : {})
        .then((checked) => ({ ...checked, document: Buffer.from(checked.document) }));
    },
    /** The text of a stored document, brought up to date. @throws BadInput where it is damaged, or of a newer version */
    current: (text: string): Promise<string> => documents.run("current", text),
    /** The id of a shot in a document. @throws BadInput where there is none of it */
    shot: (text: string, id: string): Promise<string> => documents.run("shot", { text, id }),
    exported: (order: ExportOrder, { signal }: Watched = {}): Promise<Exported> => drawings.run("exported", order, { signal }),
    slip: (order: { text: string; shot: string; every: number; units: string }, { signal }: Watched = {}): Promise<Uint8Array> => drawings.run("slip", order, { signal }),
    thumbnail: (text: string): Promise<Uint8Array> => drawings.run("thumbnail", text),
    close: async (): Promise<void> => {
      await Promise.all([documents.close(), drawings.close()]);
    },
  };
}
