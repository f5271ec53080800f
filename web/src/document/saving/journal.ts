import type { Patch } from "immer";
import type { Base, Stretch } from "./drafts";

/** With more changes than this since its base, a journal is begun anew from the scene as it is. */
const MAX_PATCHES = 2000;

export type Journal = ReturnType<typeof openJournal>;

/** The changes of one visit since what the server acknowledged. */
export function openJournal(visit: string, first: Base) {
  let base = first;
  let start = 0;
  let patches: Patch[] = [];
  return {
    visit,
    base: (): Base => base,
    /** How many changes were made in this visit. */
    end: (): number => start + patches.length,
    note(more: readonly Patch[]): void {
      patches.push(...more);
    },
    /** The changes since the base, or since a place in the journal. */
    since(from = start): Stretch {
      return { visit, start: Math.max(from, start), patches: patches.slice(Math.max(0, from - start)) };
    },
    /** What was sent when so many changes had been made is stored now. */
    stored(next: Base, upTo: number): void {
      base = next;
      patches = patches.slice(Math.max(0, upTo - start));
      start = Math.max(start, upTo);
    },
    /** Makes a long journal short: all changes so far become a part of the base. @returns whether it was long */
    shorten(text: () => string): boolean {
      if (patches.length <= MAX_PATCHES) return false;
      base = { revision: base.revision, text: text() };
      start += patches.length;
      patches = [];
      return true;
    },
  };
}
