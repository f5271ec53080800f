import { useCallback } from "react";
import { usePainter } from "../../canvas";
import { ORDER } from "./order";

/** The sheet of paper, with its shadow on the desk. Shadows are measured in px of the canvas, whatever its scale. */
export function Paper({ width, height }: { readonly width: number; readonly height: number }) {
  usePainter(
    ORDER.paper,
    useCallback(
      (context) => {
        context.shadowColor = "rgba(0, 0, 0, 0.28)";
        const density = window.devicePixelRatio || 1;
        context.shadowBlur = 10 * density;
        context.shadowOffsetY = 3 * density;
        context.fillStyle = "#fbf9f3";
        context.fillRect(0, 0, width, height);
      },
      [width, height],
    ),
  );
  return null;
}
