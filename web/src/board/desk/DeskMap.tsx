import { headPath, placedPins, setStyle } from "@zanvo/core/drawing";
import { pinsOf } from "@zanvo/core/vanishing";
import { isOnMap, toDesk, wholeDesk } from "../../canvas/camera";
import { useBoard } from "../useBoard";

/** The map is at most this tall, in px. */
const TALL = 40;

/**
 * A small map of the desk: where the far pins are, and what of it is in the window. Pressed, the whole desk is shown.
 */
export function DeskMap() {
  const { useDocument, useShot, useDesk, toggleFraming } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const camera = useDesk((desk) => desk.camera);
  const size = useDesk((desk) => desk.size);
  const pins = placedPins(pinsOf(orientations, shot));
  const near = pins.filter(({ at }) => isOnMap(shot.sheet, at));
  const { x, y, width, height } = wholeDesk(
    shot.sheet,
    near.map(({ at }) => at),
  );
  const unit = Math.max(width / 150, height / TALL);
  const [from, to] = [toDesk(camera, [0, 0]), toDesk(camera, [size.width, size.height])];
  const wide = Math.min(150, (TALL * width) / height);
  const tall = Math.min(TALL, (150 * height) / width);
  return (
    <button
      type="button"
      aria-label="Map of the desk: show the whole desk, or the sheet again"
      title="Whole desk and back (D)"
      className="flex h-[50px] shrink-0 items-center rounded border border-hair p-1"
      onClick={toggleFraming}
    >
      <svg viewBox={`${x} ${y} ${width} ${height}`} style={{ width: wide, height: tall }} aria-hidden>
        <rect
          x={0}
          y={0}
          width={shot.sheet.width}
          height={shot.sheet.height}
          fill="#fbf9f3"
          stroke="#2b2a27"
          strokeWidth={unit}
        />
        <rect
          x={from[0]}
          y={from[1]}
          width={to[0] - from[0]}
          height={to[1] - from[1]}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={1.2 * unit}
        />
        {near.map(({ pin, at: [px, py] }) => {
          const { stroke, head } = setStyle(pin);
          return (
            <path
              key={pin.id}
              transform={`translate(${px} ${py})`}
              d={headPath(head, 3.6 * unit)}
              fill={stroke}
              fillRule="evenodd"
            />
          );
        })}
      </svg>
    </button>
  );
}
