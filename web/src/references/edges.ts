import { proxy } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { Vec2 } from "@zanvo/core/geometry";
import { toldBy } from "@zanvo/core/problem";
import type { Settled } from "@zanvo/core/recover";
import type { Reference, TracedSet } from "@zanvo/core/scene";
import { newId } from "../id";
import { fetchReference } from "../api";
import { say } from "../ui";
import { steady, type Steady } from "../worker";
import type { EdgesWorker, Found } from "./edges.worker";
import { onReference } from "./tracing";
import { edit } from "../document";

/** A worker that has a reference's picture; `end` is to be called when it is no longer wanted. */
interface EdgeFinder {
  readonly call: Steady<EdgesWorker>["call"];
  readonly end: () => void;
}

function openWorker(sceneId: string, picture: string): EdgeFinder {
  const stop = new AbortController();
  const blob = fetchReference(sceneId, picture, stop.signal);
  // A picture that is not there is told of on the bench itself.
  blob.catch(() => undefined);
  const worker = steady<EdgesWorker>(
    () => new Worker(new URL("./edges.worker.ts", import.meta.url), { type: "module" }),
    {
      prepare: async (remote) => remote.open(await blob),
    },
  );
  const stopped = new Promise<never>((_, reject) =>
    stop.signal.addEventListener("abort", () => reject(stop.signal.reason as Error)),
  );
  stopped.catch(() => undefined);
  return {
    call: (work) => Promise.race([worker.call(work), stopped]),
    end: () => {
      stop.abort();
      worker.end();
    },
  };
}

/** Lays lines on the photo's own edges, while the bench is open. */
export interface Settler {
  readonly settle: (a: Vec2, b: Vec2, reach: number) => Promise<Settled | null>;
  readonly follow: (places: readonly Vec2[], reach: number) => Promise<readonly Vec2[]>;
}

/** @param arrival changes when a picture that was missing is there */
export function useSettler(sceneId: string, picture: string, arrival: number): Settler {
  const open = useRef<ReturnType<typeof openWorker> | null>(null);
  useEffect(() => {
    open.current = openWorker(sceneId, picture);
    return () => open.current?.end();
  }, [sceneId, picture, arrival]);
  return {
    settle: async (a, b, reach) => {
      try {
        return (await open.current?.call((remote) => remote.settle(a, b, reach))) ?? null;
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
  /** How much is done, 0 to 1; null while nothing is looked for. */
  readonly share: number | null;
  readonly found: Found | null;
  /** Places of found edges that are left aside. */
  readonly off: ReadonlySet<number>;
  readonly find: () => Promise<void>;
  readonly stop: () => void;
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

export function useFinding(sceneId: string, reference: Reference | undefined): Finding {
  const [state, setState] = useState<{
    readonly share: number | null;
    readonly found: Found | null;
    readonly off: ReadonlySet<number>;
  }>({ share: null, found: null, off: new Set() });
  const open = useRef<ReturnType<typeof openWorker> | null>(null);
  const stop = () => {
    open.current?.end();
    open.current = null;
    setState((now) => ({ ...now, share: null }));
  };
  useEffect(() => () => open.current?.end(), []);
  const find = async () => {
    if (!reference) return;
    const own = (open.current = openWorker(sceneId, reference.picture));
    setState({ share: 0, found: null, off: new Set() });
    try {
      const found = await own.call((remote) =>
        remote.find(proxy((share: number) => setState((now) => ({ ...now, share })))),
      );
      if (found.edges.length === 0) say("No straight edges stand out in this photo: trace them by hand.");
      setState({ share: null, found: found.edges.length ? found : null, off: new Set() });
    } catch (error) {
      if (open.current === own) say(toldBy(error));
      setState((now) => ({ ...now, share: null }));
    } finally {
      own.end();
    }
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
    const { found, off } = state;
    if (!found || !reference) return;
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
  return { ...state, find, stop, forget: () => setState({ share: null, found: null, off: new Set() }), put, accept };
}
