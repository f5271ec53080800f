import { useMemo } from "react";
import { bundleOf, type Orientation, type Shot } from "@zanvo/core/scene";
import { alongside, pinsOf, type Pin } from "@zanvo/core/vanishing";
import type { Block } from "@zanvo/core/world";
import { useChosenBox } from "./blocks";
import { useStores } from "../../stores";

/**
 * The pins that are shown: none that was put aside, and, where it is wished, only those of one building and the
 * uprights.
 */
export function shownPins(orientations: readonly Orientation[], shot: Shot, only?: Block): Pin[] {
  const own = new Set(orientations.filter((one) => !only || alongside(one, only)).map(({ id }) => id));
  return pinsOf(orientations, shot).filter(
    ({ id, orientation }) =>
      !bundleOf(shot, id.replace(/-opposite$/, "")).off && (orientation === null || own.has(orientation)),
  );
}

/** The pins that are shown on the desk now. */
export function useShownPins(): readonly Pin[] {
  const { useDocument, useView, useShot } = useStores();
  const orientations = useDocument((document) => document.scene.orientations);
  const sets = useView((view) => view.sets);
  const shot = useShot();
  const chosen = useChosenBox();
  const only = sets === "chosen" ? chosen : undefined;
  return useMemo(() => shownPins(orientations, shot, only), [orientations, shot, only]);
}
