import { create } from "zustand";
import type { Memory } from "../remembered";
import { readFinish, type Finish } from "./finish/finishes";

const KEY = "zanvo:hand-over";

/** How drawings are handed over: what is left out, and how pictures of dots are made. */
export interface HandOverState {
  readonly dpi: number;
  /** Kinds of layers that are left out. */
  readonly without: readonly string[];
  /** Whether all panels of a page go into one file. */
  readonly whole: boolean;
  readonly transparent: boolean;
  readonly toPanel: boolean;
  /** Made ready to be transferred to another paper: as in a mirror, or all in pale blue. */
  readonly mirrored: boolean;
  readonly blue: boolean;
  /** Whether the desk shows no more than what is inked. */
  readonly inked: boolean;
  /** The way to ink a drawing that one has kept as one's own. */
  readonly finish: Finish | null;
}

const FRESH: HandOverState = {
  ...{ dpi: 300, without: [], whole: true },
  ...{ transparent: false, toPanel: false, mirrored: false, blue: false },
  ...{ inked: false, finish: null },
};

/** What was remembered; what cannot be read is as at first. */
function remembered(text: string | null): HandOverState {
  try {
    const { dpi, without, whole, finish, ...rest } = JSON.parse(text ?? "{}") as Partial<HandOverState>;
    return {
      dpi: typeof dpi === "number" && dpi > 0 ? dpi : FRESH.dpi,
      without: Array.isArray(without) ? without.filter((kind) => typeof kind === "string") : FRESH.without,
      whole: whole !== false,
      transparent: rest.transparent === true,
      toPanel: rest.toPanel === true,
      mirrored: rest.mirrored === true,
      blue: rest.blue === true,
      inked: rest.inked === true,
      finish: readFinish(finish),
    };
  } catch {
    return FRESH;
  }
}

/** The choices of handing over, as one left them at an earlier visit. */
export function createHandOver(memory: Memory) {
  const useHandOver = create<HandOverState>(() => remembered(memory.get(KEY)));
  return {
    useHandOver,
    chooseHandOver: (change: Partial<HandOverState>): void => {
      useHandOver.setState(change);
      memory.set(KEY, JSON.stringify(useHandOver.getState()));
    },
  };
}
