import { create } from "zustand";
import type { Memory } from "../remembered";

const KEY = "zanvo:column";

/** The column of tools beside the desk. */
export interface ColumnState {
  /** Px. */
  readonly width: number;
  readonly folded: boolean;
  /** Whether the slip is open in it, and whether all findings are told in full. */
  readonly slip: boolean;
  readonly findings: boolean;
}

/** How wide the column may be, px, and how wide it is at first. */
export const WIDTHS = { least: 200, most: 520 } as const;
const FRESH: ColumnState = { width: 244, folded: false, slip: false, findings: false };

const within = (width: number): number => Math.min(WIDTHS.most, Math.max(WIDTHS.least, Math.round(width)));

/** What was remembered of it; what cannot be read is as at first. */
function remembered(text: string | null): ColumnState {
  try {
    const { width, folded, slip, findings } = JSON.parse(text ?? "{}") as Partial<ColumnState>;
    return {
      width: typeof width === "number" ? within(width) : FRESH.width,
      folded: folded === true,
      slip: slip === true,
      findings: findings === true,
    };
  } catch {
    return FRESH;
  }
}

/** The column as one arranged it, at this visit and at later ones. */
export function createColumn(memory: Memory) {
  const useColumn = create<ColumnState>(() => remembered(memory.get(KEY)));
  const arrange = (change: Partial<ColumnState>): void => {
    useColumn.setState(change);
    memory.set(KEY, JSON.stringify(useColumn.getState()));
  };
  return {
    useColumn,
    arrange,
    /** Widens or narrows it to so many px, as far as it goes. */
    widen: (width: number): void => arrange({ width: within(width) }),
  };
}
