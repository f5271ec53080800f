import { create } from "zustand";
import type { Memory } from "../../remembered";
import { readFinish, type Finish } from "../finish/finishes";

const KEY = "zanvo:hand-over";

export const GROUPED = ["kind", "depth", "thing", "panel"] as const;
export const INKS = ["colour", "grey", "black"] as const;

/** How files are made: what is left out, and how pictures of dots are made. */
export interface FileChoices {
  readonly dpi: number;
  /** Just so many dots instead of a resolution. */
  readonly size: { readonly width: number; readonly height: number } | null;
  /** Kinds of layers that are left out. */
  readonly without: readonly string[];
  /** What layers of a file are told apart by. */
  readonly by: (typeof GROUPED)[number];
  /** With what pictures of dots are printed. */
  readonly ink: (typeof INKS)[number];
  readonly transparent: boolean;
  readonly toPanel: boolean;
  /** Made ready to be transferred to another paper: as in a mirror, or all in pale blue. */
  readonly mirrored: boolean;
  readonly blue: boolean;
}

/** Choices of files that one has kept under a name. */
export interface Preset {
  readonly name: string;
  readonly choices: FileChoices;
}

/** How drawings are handed over. */
export interface HandOverState extends FileChoices {
  /** Whether all panels of a page go into one file, and whether all shots or pages are saved. */
  readonly whole: boolean;
  readonly all: boolean;
  /** Whether the desk shows no more than what is inked. */
  readonly inked: boolean;
  /** The way to ink a drawing that one has kept as one's own. */
  readonly finish: Finish | null;
  readonly presets: readonly Preset[];
}

export const FRESH_CHOICES: FileChoices = {
  ...{ dpi: 300, size: null, without: [], by: "kind", ink: "colour" },
  ...{ transparent: false, toPanel: false, mirrored: false, blue: false },
};

const FRESH: HandOverState = {
  ...FRESH_CHOICES,
  ...{ whole: true, all: false, inked: false, finish: null, presets: [] },
};

const isSide = (value: unknown): value is number => typeof value === "number" && Number.isInteger(value) && value > 0;

/** Choices of files as they were kept; each that cannot be read is as at first. */
function choicesIn(kept: Partial<FileChoices>): FileChoices {
  const { dpi, size, without, by, ink, transparent, toPanel, mirrored, blue } = kept;
  return {
    dpi: typeof dpi === "number" && dpi > 0 ? dpi : FRESH.dpi,
    size: size && isSide(size.width) && isSide(size.height) ? { width: size.width, height: size.height } : null,
    without: Array.isArray(without) ? without.filter((kind) => typeof kind === "string") : FRESH.without,
    by: GROUPED.find((one) => one === by) ?? "kind",
    ink: INKS.find((one) => one === ink) ?? "colour",
    transparent: transparent === true,
    toPanel: toPanel === true,
    mirrored: mirrored === true,
    blue: blue === true,
  };
}

const presetsIn = (kept: unknown): readonly Preset[] =>
  Array.isArray(kept)
    ? (kept as readonly Partial<Preset>[]).flatMap(({ name, choices }) =>
        typeof name === "string" && choices ? [{ name, choices: choicesIn(choices) }] : [],
      )
    : [];

/** What was remembered; what cannot be read is as at first. */
function remembered(text: string | null): HandOverState {
  try {
    const { whole, all, inked, finish, presets, ...choices } = JSON.parse(text ?? "{}") as Partial<HandOverState>;
    return {
      ...choicesIn(choices),
      whole: whole !== false,
      all: all === true,
      inked: inked === true,
      finish: readFinish(finish),
      presets: presetsIn(presets),
    };
  } catch {
    return FRESH;
  }
}

/** No more than what says how files are made. */
export const choicesOf = (state: HandOverState): FileChoices => choicesIn(state);

/** What a server is asked for by some choices, of files that are made of dots or of lines. */
export function queryOf(choices: FileChoices, dots: boolean): Readonly<Record<string, string>> {
  const { dpi, size, without, by, ink, transparent, toPanel, mirrored, blue } = choices;
  return {
    ...(without.length ? { without: without.join(",") } : {}),
    ...(by === "kind" ? {} : { by }),
    ...(mirrored ? { mirrored: "1" } : {}),
    ...(blue ? { blue: "1" } : {}),
    ...(dots && size ? { size: `${size.width}x${size.height}` } : {}),
    ...(dots && !size ? { dpi: String(dpi) } : {}),
    ...(dots && ink !== "colour" ? { ink } : {}),
    ...(dots && transparent ? { transparent: "1" } : {}),
    ...(dots && toPanel ? { panel: "1" } : {}),
  };
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
