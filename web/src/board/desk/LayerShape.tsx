import { Shape } from "react-konva/lib/ReactKonvaCore";
import { drawnOn, type Layer } from "@zanvo/core/drawing";
import { pathAreas, pathLines } from "./canvasPath";

/** Lines are never thinner on the screen than this, in px. */
const LEAST_WIDTH = 0.6;

/** One layer of a drawing on the canvas, in desk mm. */
export function LayerShape({ layer, scale }: { readonly layer: Layer; readonly scale: number }) {
  if (!drawnOn(layer)) return null;
  const { areas, style } = layer;
  return (
    <Shape
      listening={false}
      perfectDrawEnabled={false}
      sceneFunc={(context) => {
        context.setAttr("globalAlpha", style.opacity);
        if (areas) {
          context.beginPath();
          pathAreas(context, areas);
          context.setAttr("fillStyle", style.fill ?? style.stroke);
          context.fill("evenodd");
        }
        context.beginPath();
        pathLines(context, layer);
        context.setAttr("strokeStyle", style.stroke);
        context.setAttr("lineWidth", Math.max(style.width, LEAST_WIDTH / scale));
        context.setAttr("lineCap", "round");
        context.setLineDash([...style.dash]);
        context.stroke();
      }}
    />
  );
}
