import { applyPatches, type Patch } from "immer";
import { createStore, delMany, getMany, keys, setMany, type UseStore } from "idb-keyval";
import type { Scene } from "@zanvo/core/scene";

/** What the server has, or had when the work began: a scene's text and its revision. */
export interface Base {
  readonly revision: number;
  readonly text: string;
}

/** A stretch of the changes that were made in one visit, counted from the visit's beginning. */
export interface Stretch {
  /** The visit in which they were made. */
  readonly visit: string;
  /** The number of the first of them. */
  readonly start: number;
  readonly patches: readonly Patch[];
}

/** Work that was not acknowledged: the base it began from, and the changes since. */
export interface Draft extends Stretch {
  readonly scene: string;
  readonly tab: string;
  readonly base: Base;
  /** Of a drag that was going on: they come after the others, and are not counted. */
  readonly ongoing: readonly Patch[];
  /** When it was written, ms. */
  readonly at: number;
}

type Key = [what: "base" | "changes", scene: string, tab: string];
type Changes = Omit<Draft, "base">;
const keyOf = (what: Key[0], { scene, tab }: Pick<Draft, "scene" | "tab">): Key => [what, scene, tab];

export type Drafts = ReturnType<typeof openDrafts>;

/** Drafts in this browser's own store, one for each scene and tab. Every function rejects where the store refuses. */
export function openDrafts(store: () => UseStore = once(() => createStore("zanvo-drafts", "drafts"))) {
  return {
    /** Keeps a draft; its base, which may be large, only where it is another one than before. */
    async put(draft: Draft, baseToo: boolean): Promise<void> {
      const { base, ...changes } = draft;
      const rows: [Key, unknown][] = [[keyOf("changes", draft), changes]];
      if (baseToo) rows.push([keyOf("base", draft), base]);
      await setMany(rows, store());
    },
    async remove(draft: Pick<Draft, "scene" | "tab">): Promise<void> {
      await delMany([keyOf("base", draft), keyOf("changes", draft)], store());
    },
    /** All drafts of a scene, the last written first. */
    async of(scene: string): Promise<readonly Draft[]> {
      // Only its own are read: drafts of other scenes may be large.
      const own = (await keys<Key>(store())).filter(([what, one]) => what === "changes" && one === scene);
      const drafts = await Promise.all(
        own.map(async (key) => {
          const [changes, base] = (await getMany([key, ["base", scene, key[2]]], store())) as [
            Changes | undefined,
            Base | undefined,
          ];
          return changes && base ? [{ ...changes, base }] : [];
        }),
      );
      return drafts.flat().sort((a, b) => b.at - a.at);
    },
  };
}

function once<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

/** The scene that a draft comes to, as plain data. */
export const sceneOf = ({ base, patches, ongoing }: Pick<Draft, "base" | "patches" | "ongoing">): Scene =>
  applyPatches(JSON.parse(base.text) as Scene, [...patches, ...ongoing]);

/** The end of a stretch: how many changes were made up to it. */
export const endOf = ({ start, patches }: Stretch): number => start + patches.length;

/**
 * A draft with the last changes of its visit, which were left as the page went away; those it has already are not
 * repeated.
 */
export function withTail(draft: Draft, tail: Stretch | null): Draft {
  if (tail?.visit !== draft.visit || tail.start > endOf(draft)) return draft;
  // A drag that was going on has ended since, or was given up.
  return { ...draft, patches: [...draft.patches, ...tail.patches.slice(endOf(draft) - tail.start)], ongoing: [] };
}
