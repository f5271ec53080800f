import type { Scene, Shot } from "@zanvo/core/scene";
import type { Element } from "@zanvo/core/world";
import { following, heldAs } from "@zanvo/core/shot";
import type { Keep } from "@zanvo/core/vanishing";
import type { Draft } from "immer";
import { create } from "zustand";
import type { Recipe, SceneDocument } from "./history";

export type StageId =
  | "sheet"
  | "eye-level"
  | "points"
  | "grid"
  | "draw"
  | "masses"
  | "fittings"
  | "street"
  | "light"
  | "hand-over"
  | "references";
export type Tool = "raise" | "select";

/** Where one is in a document. */
export interface ViewState {
  readonly shotId: string;
  readonly stage: StageId;
  readonly tool: Tool;
  /** What stays while a pin is moved; null for what is usual. */
  readonly keep: Keep | null;
  /** The pair of streets, by id, along which buildings are raised; the main one where it is none that is there. */
  readonly along: string;
  /** Buildings are begun at the top of their near corner, and drawn downwards. */
  readonly fromTop: boolean;
  /** How high over the ground buildings are raised from, m. */
  readonly from: number;
  /** Whose sets are shown: all of them, or those of the chosen building. */
  readonly sets: "all" | "chosen";
}

export type View = ReturnType<typeof createView>;

/** What is looked at by hand: elements, of which one may have its near walls left out. */
export interface Looked {
  readonly elements: readonly Element[];
  readonly cutaway?: string;
}

const FRESH: ViewState = {
  shotId: "",
  stage: "points",
  tool: "raise",
  keep: null,
  along: "",
  from: 0,
  fromTop: false,
  sets: "all",
};

const shotIn = ({ shots }: Scene, id: string): Shot => shots.find((shot) => shot.id === id) ?? shots[0];

/** Where one is in a document, and the shot that is being drawn. */
export function createView({ useDocument }: Pick<SceneDocument, "useDocument">) {
  const useView = create<ViewState>(() => FRESH);
  const { getState: get, setState: set } = useView;

  useDocument.subscribe(({ scene }, before) => {
    if (scene.shots === before.scene.shots) return;
    const { id } = shotIn(scene, get().shotId);
    if (id !== get().shotId) set({ shotId: id });
  });

  /** The shot that is being drawn. */
  const currentShot = (): Shot => shotIn(useDocument.getState().scene, get().shotId);

  return {
    useView,
    currentShot,
    /** What the hand looks at in the shot that is being drawn: its elements, one perhaps without its near walls. */
    looked: (): Looked => ({ elements: useDocument.getState().scene.elements, cutaway: currentShot().cutaway }),
    useShot: (): Shot => {
      const shotId = useView((view) => view.shotId);
      return useDocument(({ scene }) => shotIn(scene, shotId));
    },
    /** Goes somewhere in the document. */
    go: (change: Partial<ViewState>): void => set(change),
    /** Goes where one was in a scene that is opened, as far as that is known. */
    enter: (scene: Scene, place: Partial<ViewState> = {}): void =>
      set({ ...FRESH, ...place, shotId: shotIn(scene, place.shotId ?? "").id }),
    /** A recipe that replaces the current shot by what a pure function makes of it. */
    onShot: (change: (shot: Shot) => Shot): Recipe => {
      const { shotId } = get();
      return (scene) => {
        const { gesture, scene: now } = useDocument.getState();
        const at = scene.shots.findIndex((shot) => shot.id === shotId);
        const before = shotIn(gesture?.base ?? now, shotId);
        const after = heldAs(before, change(before));
        scene.shots[at] = after as Draft<Shot>;
        for (const [other, followed] of following(scene.shots, after)) scene.shots[other] = followed as Draft<Shot>;
      };
    },
  };
}
