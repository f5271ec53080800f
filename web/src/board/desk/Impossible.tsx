import { Shape } from "react-konva/lib/ReactKonvaCore";
import { pinsOf } from "@zanvo/core/vanishing";
import { useBoard, useShot } from "../board";

/** As far as the shade reaches, mm. */
const FAR = 1e5;

/**
 * The places where no third point can be while the other two stay: beyond the perpendiculars on them, and inside the
 * circle over the stretch between them.
 */
export function Impossible() {
  const orientations = useBoard((board) => board.scene.orientations);
  const shot = useShot();
  const [left, right] = pinsOf(orientations.slice(0, 1), shot).map((pin) => pin.point.at);
  if (!left || !right) return null;
  const [dx, dy] = [right[0] - left[0], right[1] - left[1]];
  const base = Math.hypot(dx, dy);
  return (
    <Shape
      listening={false}
      sceneFunc={(context) => {
        context.save();
        context.translate(left[0], left[1]);
        context.rotate(Math.atan2(dy, dx));
        context.setAttr("fillStyle", "#b93a17");
        context.setAttr("globalAlpha", 0.16);
        context.beginPath();
        context.rect(-FAR, -FAR, FAR, 2 * FAR);
        context.rect(base, -FAR, FAR, 2 * FAR);
        context.fill();
        context.beginPath();
        context.arc(base / 2, 0, base / 2, 0, 2 * Math.PI, false);
        context.fill();
        context.restore();
      }}
    />
  );
}
