import PQueue from "p-queue";
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

/**
 * Small pictures of scenes, drawn one at a time and stored: when somebody asks for one, the latest asked for first, as
 * it is the one in sight; and of every scene once it rests.
 * @param rest how long a scene rests before, ms
 */
export function openThumbnails(store: Store, jobs: Pick<Jobs, "thumbnail">, rest = REST) {
  const resting = new Map<string, ReturnType<typeof setTimeout>>();
  const going = new Map<string, Promise<void>>();
  const queue = new PQueue({ concurrency: 1 });
  let asked = 0;

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
  /** Draws the picture of a scene in its turn. @param priority the higher, the sooner */
  const inTurn = (id: string, priority: number): Promise<void> => {
    clearTimeout(resting.get(id));
    resting.delete(id);
    const before = going.get(id);
    if (before) {
      if (!queue.runningTasks.some((task) => task.id === id)) queue.setPriority(id, priority);
      return before;
    }
    const drawing = queue.add(() => draw(id), { id, priority }).finally(() => going.delete(id));
    going.set(id, drawing);
    return drawing;
  };

  return {
    /** A scene was saved: its picture is drawn once it rests. */
    soon(id: string): void {
      clearTimeout(resting.get(id));
      const timer = setTimeout(() => void inTurn(id, 0).catch(() => undefined), rest);
      timer.unref();
      resting.set(id, timer);
    },
    /** The picture of a scene as of its newest revision; its image is empty where none can be made. */
    async of(id: string): Promise<{ readonly revision: number; readonly image: Buffer }> {
      const { revision } = await store.card(id);
      const kept = await store.thumbnail(id);
      if (kept && kept.revision >= revision) return kept;
      await inTurn(id, ++asked);
      return (await store.thumbnail(id)) ?? { revision, image: NONE };
    },
  };
}
