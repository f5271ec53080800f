import { Shape } from "react-konva/lib/ReactKonvaCore";
import { drawnOn, type Layer } from "@zanvo/core/drawing";

/** Lines are never thinner on the screen than this, in px. */
const HAIR = 0.6;

/** One layer of a drawing on the canvas, in desk mm. */
export function Lines({ layer: { lines, curves, style }, scale }: { readonly layer: Layer; readonly scale: number }) {
  if (!drawnOn({ lines, curves })) return null;
  return (
    <Shape
      listening={false}
      perfectDrawEnabled={false}
      sceneFunc={(context) => {
        context.beginPath();
        for (let i = 0; i < lines.length; i += 4) {
          context.moveTo(lines[i], lines[i + 1]);
          context.lineTo(lines[i + 2], lines[i + 3]);
        }
        if (curves) {
          const { xy, starts } = curves;
          for (let i = 0; i + 1 < starts.length; i++) {
            context.moveTo(xy[2 * starts[i]], xy[2 * starts[i] + 1]);
            for (let k = starts[i] + 1; k < starts[i + 1]; k++) context.lineTo(xy[2 * k], xy[2 * k + 1]);
          }
        }
        context.setAttr("strokeStyle", style.stroke);
        context.setAttr("globalAlpha", style.opacity);
        context.setAttr("lineWidth", Math.max(style.width, HAIR / scale));
        context.setAttr("lineCap", "round");
        context.setLineDash([...style.dash]);
        context.stroke();
      }}
    />
  );
}
