import { proxy, type Remote } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { Vec2 } from "@zanvo/core/geometry";
import type { Settled } from "@zanvo/core/recover";
import type { Reference, TracedSet } from "@zanvo/core/scene";
import { newId } from "../id";
import { fetchReference } from "../api";
import { useWork, type Work } from "../ui";
import { steady } from "../worker";
import type { EdgesWorker, Found } from "./edges.worker";
import { onReference } from "./tracing";
import { useStores } from "../stores";

/** A worker that has a reference's picture. */
function openWorker(sceneId: string, picture: string) {
  const left = new AbortController();
  const blob = fetchReference(sceneId, picture, left.signal);
  // A picture that is not there is told of on the bench itself.
  blob.catch(() => undefined);
  const worker = steady<EdgesWorker>(
    () => new Worker(new URL("./edges.worker.ts", import.meta.url), { type: "module" }),
    { prepare: async (remote) => remote.open(await blob) },
  );
  return {
    call: <T>(work: (remote: Remote<EdgesWorker>) => Promise<T>) => worker.call(work, left.signal),
    /** Is called when the picture is no longer wanted. */
    end: () => left.abort(),
  };
}

/** Lays lines on the photo's own edges, while the bench is open. */
export interface Settler {
  readonly settle: (a: Vec2, b: Vec2, reach: number) => Promise<(Settled & { readonly width?: number | null }) | null>;
  readonly follow: (places: readonly Vec2[], reach: number) => Promise<readonly Vec2[]>;
}

/**
 * @param arrival changes when a picture that was missing is there
 * @param drawn whether the picture is a drawing: lines are laid on the middle of its strokes
 */
export function useSettler(sceneId: string, picture: string, arrival: number, drawn: boolean): Settler {
  const open = useRef<ReturnType<typeof openWorker> | null>(null);
  useEffect(() => {
    open.current = openWorker(sceneId, picture);
    return () => open.current?.end();
  }, [sceneId, picture, arrival]);
  return {
    settle: async (a, b, reach) => {
      try {
        return (
          (await open.current?.call((remote) =>
            drawn ? remote.settleOnStroke(a, b, reach) : remote.settle(a, b, reach),
          )) ?? null
        );
      } catch {
        return null;
      }
    },
    follow: async (places, reach) => {
      try {
        return (await open.current?.call((remote) => remote.follow(places, reach))) ?? places;
      } catch {
        return places;
      }
    },
  };
}

/** What the search for a photo's own edges has come to. */
export interface Finding {
  readonly work: Work;
  readonly found: Found | null;
  /** Places of found edges that are left aside. */
  readonly off: ReadonlySet<number>;
  readonly find: () => Promise<Found | undefined>;
  /** Finds them, and takes all that go together into the sets at once. */
  readonly findAndTake: () => Promise<void>;
  readonly forget: () => void;
  /** Takes edges up or lays them aside. */
  readonly put: (edges: Iterable<number>, use: boolean) => void;
  /** Adds those of some groups that are not left aside to the reference's sets. @returns how many */
  readonly accept: (groups: readonly number[]) => void;
}

const NAMES: Readonly<Record<TracedSet["role"], string>> = {
  left: "Left",
  right: "Right",
  upright: "Uprights",
  level: "Level",
  free: "Other",
};
/** The set that found edges of a role go into: the first of it, or a new one. */
export const nameOf = (role: TracedSet["role"]): string => NAMES[role];
/** Half a px: what a found edge may be off. */
const FOUND = 0.5;

const NOTHING = { found: null, off: new Set<number>() };

export function useFinding(sceneId: string, reference: Reference | undefined): Finding {
  const { say, edit } = useStores();
  const [state, setState] = useState<Pick<Finding, "found" | "off">>(NOTHING);
  const work = useWork("The search");
  const find = async () => {
    if (!reference) return;
    setState(NOTHING);
    const found = await work.run(async (signal, tell) => {
      const worker = openWorker(sceneId, reference.picture);
      signal.addEventListener("abort", worker.end);
      try {
        return await worker.call((remote) =>
          remote.find(proxy((share: number) => tell({ done: Math.round(100 * share), of: 100 }))),
        );
      } finally {
        worker.end();
      }
    });
    if (found?.edges.length === 0) say("No straight edges stand out in this photo: trace them by hand.");
    if (found?.edges.length) setState({ found, off: new Set() });
    return found;
  };
  const findAndTake = async () => {
    const found = await find();
    if (found?.groups.length) take(found, new Set(), [...found.groups.keys()]);
  };
  const put = (edges: Iterable<number>, use: boolean) =>
    setState((now) => {
      const off = new Set(now.off);
      for (const edge of edges)
        if (use) off.delete(edge);
        else off.add(edge);
      return { ...now, off };
    });
  const accept = (groups: readonly number[]) => {
    if (state.found) take(state.found, state.off, groups);
  };
  const take = (found: Found, off: ReadonlySet<number>, groups: readonly number[]) => {
    if (!reference) return;
    edit(
      onReference(reference.id, ({ sets }) => {
        for (const at of groups) {
          const { role, members } = found.groups[at];
          const edges = members
            .filter((i) => !off.has(i))
            .map((i) => {
              const { a, b } = found.edges[i];
              return { x1: a[0], y1: a[1], x2: b[0], y2: b[1], hand: FOUND };
            });
          const set = sets.find(
            (one) => one.role === role && (role === "left" || role === "right" || role === "upright"),
          );
          if (set) set.edges.push(...edges);
          else sets.push({ id: newId(), name: nameOf(role), role, edges });
        }
      }),
    );
    const gone = new Set(groups);
    setState((now) => ({
      ...now,
      found: now.found && {
        ...now.found,
        groups: now.found.groups.map((group, i) => (gone.has(i) ? { ...group, members: [] } : group)),
      },
    }));
  };
  return { ...state, work, find, findAndTake, forget: () => setState(NOTHING), put, accept };
}
