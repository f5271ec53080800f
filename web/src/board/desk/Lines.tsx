import { Shape } from "react-konva";
import type { Layer } from "@zanvo/core/drawing";

/** Lines are never thinner on the screen than this, in px. */
const HAIR = 0.6;

/** One layer of a drawing on the canvas, in desk mm. */
export function Lines({ layer: { lines, style }, scale }: { readonly layer: Layer; readonly scale: number }) {
  if (lines.length === 0) return null;
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
