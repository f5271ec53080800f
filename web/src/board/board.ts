import { newScene } from "@zanvo/core/scene";
import { applyPatches, enablePatches, produceWithPatches, type Draft, type Patch } from "immer";
import { create } from "zustand";
import type { Scene, Shot } from "@zanvo/core/scene";
import { following } from "@zanvo/core/shot";
import type { Keep } from "@zanvo/core/vanishing";
import type { Opened } from "../api";

enablePatches();

/** A step that can be taken back and taken again. */
interface Step {
  readonly patches: Patch[];
  readonly inverse: Patch[];
  /** Steps of the same key that follow each other closely are one. */
  readonly key?: string;
  readonly at: number;
}

/** Changes a scene in place, on a draft. */
export type Recipe = (scene: Draft<Scene>) => void;

export type StageId = "sheet" | "eye-level" | "points" | "grid" | "masses" | "hand-over";
export type Tool = "raise" | "select";

interface Board {
  /** Empty while nothing lies on the board. */
  readonly id: string;
  readonly scene: Scene;
  readonly shotId: string;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** The scene before the drag that is going on, and the step it has come to. */
  readonly gesture: { readonly base: Scene; readonly step: Step | null } | null;
  readonly stage: StageId;
  readonly tool: Tool;
  /** The chosen element's id; of several, that of the first. */
  readonly selected: string | null;
  /** Ids of those that are chosen besides. */
  readonly also: readonly string[];
  /** What stays while a pin is moved. */
  readonly keep: Keep;
  /** Whose sets are shown: all of them, or those of the chosen building. */
  readonly sets: "all" | "chosen";
}

/** Nudges nearer together than this are one step, in ms. */
const TOGETHER = 1000;

/** The document on the board, and where one is in it. */
export const useBoard = create<Board>(() => ({
  id: "",
  scene: newScene(""),
  shotId: "",
  past: [],
  future: [],
  gesture: null,
  stage: "points",
  tool: "raise",
  selected: null,
  also: [],
  keep: "centre",
  sets: "all",
}));

const { getState: get, setState: set } = useBoard;

/** Where a person was on a board when they left it. */
export interface Place {
  readonly shotId: string;
  readonly stage: StageId;
  readonly tool: Tool;
  readonly selected: string | null;
  readonly keep: Keep;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

/** Lays a scene on the board, at the place where it was left if that is known. */
export function open({ id, scene }: Pick<Opened, "id" | "scene">, place?: Partial<Place>): void {
  const shotId = scene.shots.some((shot) => shot.id === place?.shotId) ? place!.shotId! : scene.shots[0].id;
  const selected = scene.elements.some((element) => element.id === place?.selected) ? place!.selected! : null;
  set({
    id,
    scene,
    shotId,
    past: place?.past ?? [],
    future: place?.future ?? [],
    gesture: null,
    stage: place?.stage ?? "points",
    tool: place?.tool ?? "raise",
    keep: place?.keep ?? "centre",
    selected,
    also: [],
  });
}

/** Takes the scene off the board. */
export const close = (): void => set({ id: "" });

type PatchListener = (patches: readonly Patch[]) => void;
const patchListeners = new Set<PatchListener>();

/** Tells of every change to the scene once it is made, by its patches; of a drag once it has ended. @returns ends it */
export function onPatches(listener: PatchListener): () => void {
  patchListeners.add(listener);
  return () => patchListeners.delete(listener);
}
const tellPatches = (patches: readonly Patch[]): void => patchListeners.forEach((listener) => listener(patches));

/** Makes a change that can be taken back. A key joins it to the same change made just before. */
export function edit(recipe: Recipe, key?: string): void {
  const { scene, past } = get();
  const [next, patches, inverse] = produceWithPatches(scene, recipe);
  if (patches.length === 0) return;
  const last = past.at(-1);
  const now = Date.now();
  const joined = key !== undefined && last?.key === key && now - last.at < TOGETHER;
  const step: Step = joined
    ? { patches: [...last.patches, ...patches], inverse: [...inverse, ...last.inverse], key, at: now }
    : { patches, inverse, key, at: now };
  set({ scene: next, past: [...(joined ? past.slice(0, -1) : past), step], future: [] });
  tellPatches(patches);
}

/** Begins a drag: every `drag` is worked out afresh from the scene as it is now, and all of them are one step. */
export function beginGesture(): void {
  if (!get().gesture) set({ gesture: { base: get().scene, step: null } });
}

/**
 * Shows how far a drag has come; without a drag, it is a change of its own. What is thrown leaves the last good
 * state.
 */
export function drag(recipe: Recipe): void {
  const { gesture } = get();
  if (!gesture) return edit(recipe);
  const [next, patches, inverse] = produceWithPatches(gesture.base, recipe);
  set({
    scene: next,
    gesture: { base: gesture.base, step: patches.length ? { patches, inverse, at: Date.now() } : null },
  });
}

/** Ends a drag: what it came to is one step. */
export function endGesture(): void {
  const { gesture, past } = get();
  if (!gesture) return;
  set(gesture.step ? { gesture: null, past: [...past, gesture.step], future: [] } : { gesture: null });
  if (gesture.step) tellPatches(gesture.step.patches);
}

/** Gives a drag up: all is as before it. */
export function cancelGesture(): void {
  const { gesture } = get();
  if (gesture) set({ scene: gesture.base, gesture: null });
}

export function undo(): void {
  const { scene, past, future, gesture } = get();
  if (gesture) return cancelGesture();
  const step = past.at(-1);
  if (!step) return;
  settle({ scene: applyPatches(scene, step.inverse), past: past.slice(0, -1), future: [step, ...future] });
  tellPatches(step.inverse);
}

export function redo(): void {
  const { scene, past, future, gesture } = get();
  const [step, ...rest] = future;
  if (!step || gesture) return;
  settle({ scene: applyPatches(scene, step.patches), past: [...past, { ...step, key: undefined }], future: rest });
  tellPatches(step.patches);
}

/** A scene taken from elsewhere, with a choice and a shot that exist in it. */
function settle(change: Pick<Board, "scene" | "past" | "future">): void {
  const { selected, also, shotId } = get();
  const { elements, shots } = change.scene;
  const stands = new Set(elements.map(({ id }) => id));
  set({
    ...change,
    selected: selected !== null && stands.has(selected) ? selected : null,
    also: selected !== null && stands.has(selected) ? also.filter((id) => stands.has(id)) : [],
    shotId: shots.some((shot) => shot.id === shotId) ? shotId : shots[0].id,
  });
}

/** Goes somewhere, or chooses something: what was chosen besides is so no longer. */
export const go = (
  change: Partial<Pick<Board, "stage" | "tool" | "selected" | "also" | "shotId" | "keep" | "sets">>,
): void => set("selected" in change ? { also: [], ...change } : change);

/** The shot that is being drawn. */
export const currentShot = ({ scene, shotId }: Pick<Board, "scene" | "shotId">): Shot =>
  scene.shots.find((shot) => shot.id === shotId) ?? scene.shots[0];
export const useShot = (): Shot => useBoard(currentShot);

/** A recipe that replaces the current shot by what a pure function makes of it. */
export const onShot = (change: (shot: Shot) => Shot): Recipe => {
  const { shotId } = get();
  return (scene) => {
    const at = scene.shots.findIndex((shot) => shot.id === shotId);
    const before = currentShot(get().gesture ? { scene: get().gesture!.base, shotId } : get());
    const after = change(before);
    scene.shots[at] = after as Draft<Shot>;
    for (const [other, followed] of following(scene.shots, after)) scene.shots[other] = followed as Draft<Shot>;
  };
};

/** The next numbered name that none of some things has. */
export function freeName(word: string, taken: readonly { readonly name: string }[]): string {
  let n = taken.length + 1;
  while (taken.some(({ name }) => name === `${word} ${n}`)) n++;
  return `${word} ${n}`;
}

/** Puts another scene in the place of this one, as a step that can be taken back. */
export function replaceScene(other: Scene): void {
  edit((scene) => {
    for (const key of Object.keys(scene)) if (!(key in other)) Reflect.deleteProperty(scene, key);
    Object.assign(scene, other);
  });
}
