import type { Role } from "../vanishing";

/** How a kind of line is drawn: lengths in mm on paper. */
export interface Style {
  readonly stroke: string;
  readonly width: number;
  readonly dash: readonly number[];
  /** 0 to 1. */
  readonly opacity: number;
}

const GRAPHITE = "#2b2a27";

/** Sets of parallels are told apart three ways at once, so that they read in print and for every eye. */
export const SETS: Readonly<Record<Role, { readonly stroke: string; readonly dash: readonly number[]; readonly head: "round" | "square" | "triangle" }>> = {
  left: { stroke: "#a8741a", dash: [], head: "round" },
  right: { stroke: "#1d7571", dash: [5, 1.4], head: "square" },
  upright: { stroke: "#77487b", dash: [1.4, 1.4], head: "triangle" },
};

export const STYLES = {
  live: { stroke: "#7d8f98", width: 0.18, dash: [3, 2], opacity: 1 },
  bundle: { stroke: GRAPHITE, width: 0.13, dash: [], opacity: 1 },
  measured: { stroke: "#5b6b57", width: 0.13, dash: [], opacity: 1 },
  heavy: { stroke: "#5b6b57", width: 0.4, dash: [], opacity: 1 },
  cone: { stroke: "#8a5a2b", width: 0.2, dash: [6, 1.5, 1.2, 1.5], opacity: 1 },
  horizon: { stroke: "#46616f", width: 0.25, dash: [], opacity: 1 },
  hidden: { stroke: GRAPHITE, width: 0.15, dash: [1, 0.9], opacity: 1 },
  crease: { stroke: GRAPHITE, width: 0.3, dash: [], opacity: 1 },
  outline: { stroke: GRAPHITE, width: 0.5, dash: [], opacity: 1 },
  frame: { stroke: GRAPHITE, width: 0.6, dash: [], opacity: 1 },
} as const satisfies Record<string, Style>;
