import { create } from "zustand";
import type { Memory } from "../remembered";

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
}

const FRESH: HandOverState = {
  ...{ dpi: 300, without: [], whole: true },
  ...{ transparent: false, toPanel: false, mirrored: false, blue: false },
};

/** What was remembered; what cannot be read is as at first. */
function remembered(text: string | null): HandOverState {
  try {
    const { dpi, without, whole, transparent, toPanel, mirrored, blue } = JSON.parse(
      text ?? "{}",
    ) as Partial<HandOverState>;
    return {
      dpi: typeof dpi === "number" && dpi > 0 ? dpi : FRESH.dpi,
      without: Array.isArray(without) ? without.filter((kind) => typeof kind === "string") : FRESH.without,
      whole: whole !== false,
      transparent: transparent === true,
      toPanel: toPanel === true,
      mirrored: mirrored === true,
      blue: blue === true,
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
