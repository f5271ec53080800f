import { useCallback } from "react";
import type { Layer } from "@zanvo/core/drawing";
import { usePainter } from "./Canvas";
import { paintLayer } from "./layers";

interface LayersProps {
  readonly layers: readonly Layer[];
  readonly order: number;
  /** How strongly they are painted, 0 to 1. */
  readonly strength?: number;
}

/** Layers of a drawing on the canvas around it. */
export function Layers({ layers, order, strength = 1 }: LayersProps) {
  usePainter(
    order,
    useCallback(
      (context, scale) => layers.forEach((layer) => paintLayer(context, layer, scale, strength)),
      [layers, strength],
    ),
  );
  return null;
}
