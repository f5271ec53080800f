import { BadInput, NoAnswer } from "@zanvo/core/problem";
import { Damaged, textOf, type Store, type Stored } from "@zanvo/store";
import type { Jobs } from ".";
import { TooHeavy } from "./pool";

/** A scene that is being worked on gets its picture once it has rested so long, ms. */
const REST = 10_000;

/** Why no picture of a state of a scene will ever be made. */
const NEVER = [TooHeavy, BadInput, NoAnswer, Damaged];
/** Stored where no picture can be made: tried again once the scene changes. */
const NONE = Buffer.alloc(0);

export type Thumbnails = ReturnType<typeof openThumbnails>;

/** Small pictures of scenes, drawn one after the other once a scene rests, and stored. */
export function openThumbnails(store: Store, jobs: Pick<Jobs, "thumbnail">) {
  const resting = new Map<string, ReturnType<typeof setTimeout>>();
  const going = new Map<string, Promise<void>>();
  let last: Promise<unknown> = Promise.resolve();

  const drawn = async (stored: Stored): Promise<Buffer> => {
    try {
      return Buffer.from(await jobs.thumbnail(await textOf(stored)));
    } catch (error) {
      // What cannot be drawn now may be drawn later; what no thread can draw is not tried again and again.
      if (NEVER.some((kind) => error instanceof kind)) return NONE;
      throw error;
    }
  };
  const draw = async (id: string) => {
    const stored = await store.read(id);
    await store.putThumbnail(id, stored.card.revision, await drawn(stored));
  };
  /** Draws a scene's picture now, after those that are being drawn. */
  const now = (id: string): Promise<void> => {
    clearTimeout(resting.get(id));
    resting.delete(id);
    const before = going.get(id);
    if (before) return before;
    const run = last.then(() => draw(id)).finally(() => going.delete(id));
    going.set(id, run);
    last = run.catch(() => undefined);
    return run;
  };

  return {
    /** A scene was saved: its picture is drawn once it rests. */
    soon(id: string): void {
      clearTimeout(resting.get(id));
      const timer = setTimeout(() => void now(id).catch(() => undefined), REST);
      timer.unref();
      resting.set(id, timer);
    },
    /** The picture of a scene as of its newest revision; its image is empty where none can be made. */
    async of(id: string): Promise<{ readonly revision: number; readonly image: Buffer }> {
      const { revision } = await store.card(id);
      const kept = await store.thumbnail(id);
      if (kept && kept.revision >= revision) return kept;
      await now(id);
      return (await store.thumbnail(id)) ?? { revision, image: NONE };
    },
  };
}
