import type { Layer } from "@zanvo/core/drawing";
import type { Vec2 } from "@zanvo/core/geometry";
import type { OwnLine, OwnPlane, Weight } from "@zanvo/core/lines";
import type { Fit } from "@zanvo/core/rhythm";
import type { RecipeId } from "@zanvo/core/recipes";
import type { Aim, Snap } from "@zanvo/core/ruling";
import { create } from "zustand";
import type { SceneDocument } from "../../document/history";
import { exchangeLines, linesOf } from "../../document/lines";
import type { View } from "../../document/view";

/** What can be done with the hand while drawing. */
export type DrawTool =
  "choose" | "rule" | "pencil" | "eraser" | "rectangle" | "corners" | "circle" | "steps" | "quad" | "trim" | "extend";

/** What lines that are drawn belong to: the sheet, whichever plane is under the pointer, or a plane that is held. */
export type Surface = "sheet" | "under" | OwnPlane;

/** What is being drawn: places of the sheet, mm, and where the hand is. */
export interface Begun {
  readonly plane: OwnPlane | null;
  readonly points: readonly Vec2[];
  readonly to: Vec2;
  readonly aim: Aim | null;
  readonly snap: Snap | null;
  /** Of a stroke: x y and pressure of each sample. */
  readonly samples: readonly number[];
  /** It was begun by a mere press: it follows the hand until the next one. */
  readonly waits: boolean;
}

export interface DrawState {
  readonly tool: DrawTool;
  readonly weight: Weight;
  readonly surface: Surface;
  /** The plane under the pointer, and the place of the world that is seen there. */
  readonly under: { readonly plane: OwnPlane; readonly at: Vec2 } | null;
  /** The pin whose set is held; null where lines catch whichever set they nearly aim at. */
  readonly hold: string | null;
  /** Lines catch no set. */
  readonly free: boolean;
  readonly straighten: boolean;
  /** How often a stroke is smoothed. */
  readonly smoothing: number;
  /** Four corners are taken from the wall that is pressed. */
  readonly wall: boolean;
  readonly parts: string;
  readonly fit: Fit;
  /** The eraser's radius, mm. */
  readonly eraser: number;
  readonly begun: Begun | null;
  /** The construction that is shown: its id, the thing that it is of, and how far it has come. */
  readonly shown: { readonly recipe: RecipeId; readonly of?: string; readonly step: number } | null;
  readonly chosen: readonly string[];
}

const FRESH: DrawState = {
  tool: "rule",
  weight: "medium",
  surface: "sheet",
  under: null,
  hold: null,
  free: false,
  straighten: false,
  smoothing: 1,
  wall: false,
  parts: "5",
  fit: "stretch",
  eraser: 3,
  begun: null,
  shown: null,
  chosen: [],
};

interface On {
  readonly document: SceneDocument;
  readonly view: View;
}

/** What is drawn by hand, with what, and which own lines are chosen. */
export function createDraw({ document: { useDocument, edit }, view: { useView, currentShot } }: On) {
  const useDraw = create<DrawState>(() => FRESH);
  const { setState: set, getState: get } = useDraw;

  // What is no longer there is not chosen.
  useDocument.subscribe(({ scene, gesture }, before) => {
    const { chosen } = get();
    if (chosen.length === 0 || gesture || scene === before.scene) return;
    const there = new Set(linesOf(scene, currentShot()).map(({ id }) => id));
    if (!chosen.every((id) => there.has(id))) set({ chosen: chosen.filter((id) => there.has(id)) });
  });

  /** The layers that the desk shows: what is drawn by hand is led to them. */
  let shown: readonly Layer[] = [];

  return {
    useDraw,
    showLayers: (layers: readonly Layer[]): void => {
      shown = layers;
    },
    shownLayers: (): readonly Layer[] => shown,
    /** Takes up a tool; what was begun with another is laid aside. */
    takeUp: (tool: DrawTool): void => set({ tool, begun: null }),
    drawWith: (change: Partial<Omit<DrawState, "tool" | "begun">>): void => set(change),
    setBegun: (begun: Begun | null): void => set({ begun }),
    chooseLines: (chosen: readonly string[]): void => set({ chosen }),
    /** The own lines that are chosen. */
    chosenLines: (): readonly OwnLine[] => {
      const { chosen } = get();
      return linesOf(useDocument.getState().scene, currentShot()).filter(({ id }) => chosen.includes(id));
    },
    /** Puts lines down and chooses them. */
    addLines: (lines: readonly OwnLine[]): void => {
      edit(exchangeLines(useView.getState().shotId, [], lines));
      set({ chosen: lines.map(({ id }) => id), begun: null });
    },
    /** Takes lines away, and puts others in their place. */
    exchange: (gone: readonly string[], next: readonly OwnLine[]): void =>
      edit(exchangeLines(useView.getState().shotId, gone, next)),
  };
}
