import { newScene, type Scene } from "@zanvo/core/scene";
import { applyPatches, enablePatches, produceWithPatches, type Draft, type Patch } from "immer";
import { create, type StoreApi } from "zustand";

enablePatches();

/** A step that can be taken back and taken again. */
export interface Step {
  readonly patches: Patch[];
  readonly inverse: Patch[];
  /** Steps of the same key that follow each other closely are one. */
  readonly key?: string;
  readonly at: number;
}

/** Changes a scene in place, on a draft. */
export type Recipe = (scene: Draft<Scene>) => void;

/** The scene that is open, and the steps that led to it. */
export interface DocumentState {
  /** Empty while none is open. */
  readonly id: string;
  readonly scene: Scene;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** The scene before the drag that is going on, and the step it has come to. */
  readonly gesture: { readonly base: Scene; readonly step: Step | null } | null;
}

/** Nudges nearer together than this are one step, in ms. */
const TOGETHER = 1000;

type PatchListener = (patches: readonly Patch[]) => void;

export type SceneDocument = ReturnType<typeof createDocument>;

/** A document: a scene that is changed in steps, which can be taken back. */
export function createDocument() {
  const useDocument = create<DocumentState>(() => ({
    id: "",
    scene: newScene(""),
    past: [],
    future: [],
    gesture: null,
  }));
  const { getState: get, setState: set } = useDocument;
  const listeners = new Set<PatchListener>();
  const tell = (patches: readonly Patch[]): void => listeners.forEach((listener) => listener(patches));

  /** Makes a change that can be taken back. A key joins it to the same change made just before. */
  function edit(recipe: Recipe, key?: string): void {
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
    tell(patches);
  }

  return {
    useDocument,
    edit,
    ...gestures(useDocument, edit, tell),
    ...steps(useDocument, tell),

    /** Opens a scene, with the steps that can be taken back and taken again where they are known. */
    open: (id: string, scene: Scene, known: Partial<Pick<DocumentState, "past" | "future">> = {}): void =>
      set({ id, scene, past: known.past ?? [], future: known.future ?? [], gesture: null }),

    /** Closes the scene. */
    close: (): void => set({ id: "" }),

    /**
     * Tells of every change to the scene once it is made, by its patches; of a drag once it has ended. @returns ends it
     */
    onPatches: (listener: PatchListener): (() => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },

    /** Puts another scene in the place of this one, as a step that can be taken back. */
    replaceScene: (other: Scene): void =>
      edit((scene) => {
        for (const key of Object.keys(scene)) if (!(key in other)) Reflect.deleteProperty(scene, key);
        Object.assign(scene, other);
      }),
  };
}

/** Drags: all that comes of one is one step. */
function gestures(
  { getState: get, setState: set }: StoreApi<DocumentState>,
  edit: (recipe: Recipe) => void,
  tell: PatchListener,
) {
  /** Gives a drag up: all is as before it. */
  const cancelGesture = (): void => {
    const { gesture } = get();
    if (gesture) set({ scene: gesture.base, gesture: null });
  };
  return {
    cancelGesture,
    /** Begins a drag: every `drag` is worked out afresh from the scene as it is now, and all of them are one step. */
    beginGesture: (): void => {
      if (!get().gesture) set({ gesture: { base: get().scene, step: null } });
    },
    /**
     * Shows how far a drag has come; without a drag, it is a change of its own. What is thrown leaves the last good
     * state.
     */
    drag: (recipe: Recipe): void => {
      const { gesture } = get();
      if (!gesture) return edit(recipe);
      const [next, patches, inverse] = produceWithPatches(gesture.base, recipe);
      set({
        scene: next,
        gesture: { base: gesture.base, step: patches.length ? { patches, inverse, at: Date.now() } : null },
      });
    },
    /** Ends a drag: what it came to is one step. */
    endGesture: (): void => {
      const { gesture, past } = get();
      if (!gesture) return;
      set(gesture.step ? { gesture: null, past: [...past, gesture.step], future: [] } : { gesture: null });
      if (gesture.step) tell(gesture.step.patches);
    },
  };
}

/** Steps back and forth. */
function steps({ getState: get, setState: set }: StoreApi<DocumentState>, tell: PatchListener) {
  return {
    /** Takes the last step back; a drag that is going on is given up instead. */
    undo: (): void => {
      const { scene, past, future, gesture } = get();
      if (gesture) return set({ scene: gesture.base, gesture: null });
      const step = past.at(-1);
      if (!step) return;
      set({ scene: applyPatches(scene, step.inverse), past: past.slice(0, -1), future: [step, ...future] });
      tell(step.inverse);
    },
    redo: (): void => {
      const { scene, past, future, gesture } = get();
      const [step, ...rest] = future;
      if (!step || gesture) return;
      set({ scene: applyPatches(scene, step.patches), past: [...past, { ...step, key: undefined }], future: rest });
      tell(step.patches);
    },
  };
}
