import type { Patch } from "immer";
import type { Draft, Drafts } from "./drafts";
import type { Journal } from "./journal";

/** How soon after a change the draft is written, ms: well within the second that may be lost. */
const SOON = 300;

export interface KeeperOptions {
  readonly drafts: Drafts;
  readonly journal: Journal;
  readonly scene: string;
  readonly tab: string;
  /** The changes of a drag that is going on. */
  readonly ongoing: () => readonly Patch[];
  /** The whole scene as text. */
  readonly text: () => string;
  /** Told when this browser could not keep the draft, and when it can again. */
  readonly onKept: (why: string | null) => void;
}

export type Keeper = ReturnType<typeof openKeeper>;

/** Keeps the draft of a visit in this browser, one write after the other, for as long as there is work to lose. */
export function openKeeper({ drafts, journal, scene, tab, ongoing, text, onKept }: KeeperOptions) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let last: Promise<void> = Promise.resolve();
  /** The base that lies in the store, and up to where the changes are written. */
  let writtenBase: unknown = null;
  let written = 0;

  const write = async () => {
    journal.shorten(text);
    const base = journal.base();
    const changes = journal.since();
    const draft: Draft = { ...changes, ongoing: ongoing(), scene, tab, base, at: Date.now() };
    try {
      await drafts.put(draft, base !== writtenBase);
      writtenBase = base;
      written = changes.start + changes.patches.length;
      onKept(null);
    } catch (error) {
      onKept(
        (error as Error).name === "QuotaExceededError"
          ? "this browser’s store is full"
          : "this browser does not let pages keep anything",
      );
    }
  };
  const inTurn = (work: () => Promise<void>): Promise<void> => (last = last.then(work));

  return {
    /** There is something to keep. */
    soon(): void {
      timer ??= setTimeout(() => {
        timer = undefined;
        void inTurn(write);
      }, SOON);
    },
    /** Keeps it now. */
    now: (): Promise<void> => inTurn(write),
    /** Up to where the changes of the visit are written for certain. */
    written: (): number => written,
    /** There is nothing to lose any more. */
    drop(): Promise<void> {
      clearTimeout(timer);
      timer = undefined;
      return inTurn(async () => {
        writtenBase = null;
        await drafts.remove({ scene, tab }).catch(() => undefined);
        onKept(null);
      });
    },
    stop(): void {
      clearTimeout(timer);
      timer = undefined;
    },
  };
}
