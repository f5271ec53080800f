import { create } from "zustand";
import type { Scene } from "@zanvo/core/scene";
import { createScene, OutOfReach, Refusal, saveScene, type Opened } from "../api";
import { close, edit, open, useBoard, type Place } from "./board";

/** How the document stands to what the server has. */
interface Saving {
  readonly state: "saved" | "saving" | "waiting" | "out-of-reach" | "refused" | "conflict";
  /** Why it was refused. */
  readonly reason: string;
  /** What somebody else saved meanwhile. */
  readonly theirs: Opened | null;
}

export const useSaving = create<Saving>(() => ({ state: "saved", reason: "", theirs: null }));
const { getState: get, setState: set } = useSaving;

/** Quiet time after a change before it is saved, and before trying again, in ms. */
const QUIET = 600;
const AGAIN = 4000;

const draftKey = (id: string): string => `zanvo:draft:${id}`;
const placeKey = (id: string): string => `zanvo:place:${id}`;

/** A change that was not saved before the page went away. */
interface DraftNote {
  readonly revision: number;
  readonly scene: Scene;
  /** When it was left; the place left at the same moment has the steps that led to it. */
  readonly at: number;
}

function recall<T>(storage: Storage, key: string): T | null {
  try {
    return JSON.parse(storage.getItem(key) ?? "null") as T | null;
  } catch {
    return null;
  }
}

function keep(storage: Storage, key: string, value: unknown): void {
  try {
    storage.setItem(key, JSON.stringify(value));
  } catch {
    // The browser's own store is full: the server still has all that was saved.
    storage.removeItem(key);
  }
}

/** What the server has of the scene on the board. */
interface Session {
  readonly id: string;
  revision: number;
  stored: Scene;
}
let session: Session | null = null;

/** What was still being saved when a scene was last taken off the board. */
let leaving: Promise<unknown> = Promise.resolve();

/** Waits for it: whoever opens the scene again at once must not get it as it was before. */
export const leftSaved = (): Promise<unknown> => leaving;

let timer: ReturnType<typeof setTimeout> | undefined;
let running: Promise<void> | null = null;

/** Whether the board holds what the server has. */
const settled = (): boolean => useBoard.getState().scene === session?.stored;

/**
 * Lays a scene on the board with all that was left unsaved or open in this window, and saves it from now on.
 * @returns ends it: what is not saved yet is saved, or kept in this browser until the next visit
 */
export function startSaving(opened: Opened): () => void {
  const { id, revision } = opened;
  const place = recall<Place & { revision: number; at: number }>(sessionStorage, placeKey(id));
  const left = recall<DraftNote>(localStorage, draftKey(id));
  localStorage.removeItem(draftKey(id));
  const draft = left && JSON.stringify(left.scene) !== JSON.stringify(opened.scene) ? left : null;
  const steps = place?.revision === revision && (!draft || draft.at === place.at) ? {} : { past: [], future: [] };
  const mine: Session = { id, revision, stored: opened.scene };
  session = mine;
  set({ state: "saved", reason: "", theirs: null });
  open(draft ? { ...opened, scene: draft.scene } : opened, { ...place, ...steps });
  if (draft?.revision === revision) soon();
  else if (draft) set({ state: "conflict", theirs: opened });

  const stop = useBoard.subscribe((now, before) => {
    if (!now.gesture && (now.scene !== before.scene || before.gesture)) soon();
  });
  const leave = () => {
    const { scene, shotId, stage, tool, selected, keep: kept, past, future } = useBoard.getState();
    const at = Date.now();
    keep(sessionStorage, placeKey(id), { shotId, stage, tool, selected, keep: kept, past: past.slice(-100), future: future.slice(0, 100), revision: mine.revision, at });
    if (scene !== mine.stored) keep(localStorage, draftKey(id), { revision: mine.revision, scene, at } satisfies DraftNote);
  };
  addEventListener("pagehide", leave);
  return () => {
    const { scene } = useBoard.getState();
    const undecided = get().state === "conflict";
    clearTimeout(timer);
    stop();
    removeEventListener("pagehide", leave);
    leave();
    session = null;
    close();
    if (undecided || scene === mine.stored) return;
    leaving = (running ?? Promise.resolve())
      .then(() => (scene === mine.stored ? undefined : saveScene(id, scene, mine.revision)))
      .then(() => localStorage.removeItem(draftKey(id)), () => undefined);
  };
}

function soon(after = QUIET): void {
  if (get().state === "conflict" || settled()) return;
  clearTimeout(timer);
  if (get().state === "saved") set({ state: "waiting" });
  timer = setTimeout(() => void flush(), after);
}

/** Saves now what is not saved yet, and waits for it. */
export function flush(): Promise<void> {
  clearTimeout(timer);
  running ??= saveAll().finally(() => {
    running = null;
    // Another scene was laid on the board meanwhile, and waits for its turn.
    if (get().state === "waiting") soon();
  });
  return running;
}

async function saveAll(): Promise<void> {
  const mine = session;
  while (mine && mine === session && !settled() && get().state !== "conflict") {
    const { scene } = useBoard.getState();
    set({ state: "saving" });
    try {
      mine.revision = (await saveScene(mine.id, scene, mine.revision)).revision;
      mine.stored = scene;
      localStorage.removeItem(draftKey(mine.id));
    } catch (error) {
      if (mine === session) refused(error as Error);
      return;
    }
  }
  if (mine && mine === session && settled()) set({ state: "saved", reason: "" });
}

function refused(error: Error): void {
  if (error instanceof Refusal && error.status === 412 && error.current) {
    const { document, ...card } = error.current;
    return set({ state: "conflict", theirs: { ...card, scene: document } });
  }
  set({ state: error instanceof OutOfReach ? "out-of-reach" : "refused", reason: error.message });
  // What the server could not do now it may do later; what it will not take, it takes only once it is changed.
  if (error instanceof OutOfReach || (error instanceof Refusal && error.status >= 500)) soon(AGAIN);
}

/** Goes on from what somebody else saved. */
function goOnFrom(theirs: Opened): void {
  if (session) Object.assign(session, { revision: theirs.revision, stored: theirs.scene });
}

/** Saves what is on the board, for something that is made from what is stored. @throws Error when it cannot be saved */
export async function savedFirst(): Promise<void> {
  await flush();
  if (get().state !== "saved") throw new Error("The scene could not be saved first, so nothing was made.");
}

/** Settles a conflict: this window's scene becomes the newest; the other one stays among the earlier versions. */
export async function takeOver(): Promise<void> {
  const { theirs } = get();
  if (!theirs) return;
  goOnFrom(theirs);
  set({ state: "waiting", theirs: null });
  await flush();
}

/** Settles a conflict: this window's scene becomes a scene of its own. @returns its id */
export async function keepCopy(): Promise<string> {
  const { scene } = useBoard.getState();
  const copy = await createScene(JSON.stringify({ ...scene, title: `${scene.title} (copy)` }));
  if (session) session.stored = scene;
  set({ state: "saved", theirs: null });
  return copy.id;
}

/** Settles a conflict: the other scene is laid on the board, as a step that can be taken back. */
export function takeTheirs(): void {
  const { theirs } = get();
  if (!theirs) return;
  goOnFrom(theirs);
  set({ state: "saved", theirs: null });
  replaceScene(theirs.scene);
  if (session) session.stored = useBoard.getState().scene;
}

/** Puts another scene in the place of this one, as a step that can be taken back. */
export function replaceScene(other: Scene): void {
  edit((scene) => {
    for (const key of Object.keys(scene)) if (!(key in other)) Reflect.deleteProperty(scene, key);
    Object.assign(scene, other);
  });
}
