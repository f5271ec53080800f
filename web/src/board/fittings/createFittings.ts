import type { Vec2 } from "@zanvo/core/geometry";
import type { Kit } from "@zanvo/core/scene";
import type { Front } from "@zanvo/core/world";
import { create } from "zustand";

/** A wall of a building: the side of its footprint. */
export interface ChosenWall {
  readonly id: string;
  readonly side: number;
}

/** A bay of a wall, and the storey that it is in. */
export interface ChosenBay {
  readonly bay: number;
  readonly storey: number;
}

export interface FittingsState {
  readonly wall: ChosenWall | null;
  readonly bay: ChosenBay | null;
  /** The front that was copied, to be put on other walls. */
  readonly copied: Front | null;
  /** A ruler that stands on the ground in the picture: its foot and its height, m. */
  readonly ruler: { readonly at: Vec2; readonly height: number } | null;
  /** What is put where the picture is pressed next: a thing, by its id, or a kit. */
  readonly putting: { readonly thing: string } | { readonly kit: Kit } | null;
}

/** Which wall is fitted out. Nothing of it is part of the document. */
export function createFittings() {
  const useFittings = create<FittingsState>(() => ({
    wall: null,
    bay: null,
    copied: null,
    putting: null,
    ruler: null,
  }));
  return {
    useFittings,
    fit: (change: Partial<FittingsState>): void => useFittings.setState(change),
  };
}
