import { useCallback, useMemo } from "react";
import { pinsOf } from "@zanvo/core/vanishing";
import { usePainter } from "../../canvas";
import { ORDER } from "./order";
import { useStores } from "../../stores";

/** As far as the shade reaches, mm. */
const FAR = 1e5;

/**
 * The places where no third point can be while the other two stay: beyond the perpendiculars on them, and inside the
 * circle over the stretch between them.
 */
export function Impossible() {
  const { useDocument, useShot } = useStores();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const [left, right] = useMemo(
    () => pinsOf(orientations.slice(0, 1), shot).map((pin) => pin.point.at),
    [orientations, shot],
  );
  usePainter(
    ORDER.shade,
    useCallback(
      (context) => {
        if (!left || !right) return;
        const [dx, dy] = [right[0] - left[0], right[1] - left[1]];
        const base = Math.hypot(dx, dy);
        context.translate(left[0], left[1]);
        context.rotate(Math.atan2(dy, dx));
        context.fillStyle = "#b93a17";
        context.globalAlpha = 0.16;
        context.fillRect(-FAR, -FAR, FAR, 2 * FAR);
        context.fillRect(base, -FAR, FAR, 2 * FAR);
        context.beginPath();
        context.arc(base / 2, 0, base / 2, 0, 2 * Math.PI);
        context.fill();
      },
      [left, right],
    ),
  );
  return null;
}
