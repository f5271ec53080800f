import { useMemo } from "react";
import { composer, contextOf, type Layer, type LayerContext } from "@zanvo/core/drawing";
import type { Orientation, Shot } from "@zanvo/core/scene";
import { NOTHING_VISIBLE, type VisibleEdges } from "@zanvo/core/visibility";

/**
 * The layers of a shot, from the bottom up, as every file has them.
 * @param change what is different on the screen: which pins are shown, and how far beyond the panel is drawn
 * @param only the kinds of layer that are wanted, the same list each time; all of them where nothing is said
 */
export function useLayers(
  orientations: readonly Orientation[],
  shot: Shot,
  visible: VisibleEdges,
  change?: Partial<LayerContext>,
  only?: readonly string[],
): Layer[] {
  const compose = useMemo(() => composer({ only }), [only]);
  const context = useMemo(() => contextOf({ orientations }, shot, NOTHING_VISIBLE), [orientations, shot]);
  return useMemo(() => compose({ ...context, visible, ...change }), [compose, context, visible, change]);
}
