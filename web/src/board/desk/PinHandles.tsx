import { SETS } from "@zanvo/core/drawing";
import type { Vec2 } from "@zanvo/core/geometry";
import { mm, pinPlace } from "@zanvo/core/slip";
import { movePin, pinsOf, type Pin } from "@zanvo/core/vanishing";
import { drag, edit, onShot, useBoard, useShot } from "../board";
import { Handle } from "./Handle";
import { toWindow } from "./camera";
import { useDesk } from "./desk";

/** The head of a pin: hue and shape of its set. */
export function PinHead({ role, size = 14 }: { readonly role: Pin["role"]; readonly size?: number }) {
  const { stroke, head } = SETS[role];
  const paint = { fill: stroke, stroke: "#fffdf8", strokeWidth: 1.2 };
  return (
    <svg width={size} height={size} viewBox="0 0 14 14" aria-hidden className="shrink-0">
      {head === "round" && <circle cx="7" cy="7" r="5.6" {...paint} />}
      {head === "square" && <rect x="1.8" y="1.8" width="10.4" height="10.4" {...paint} />}
      {head === "triangle" && <path d="M7 1.4 13 12.2H1Z" {...paint} />}
    </svg>
  );
}

/** The pins of the current shot, those of its first orientation to be dragged along the horizon. */
export function PinHandles({ movable }: { readonly movable: boolean }) {
  const orientations = useBoard((board) => board.scene.orientations);
  const shot = useShot();
  const camera = useDesk((desk) => desk.camera);
  const [main] = orientations;
  return pinsOf(orientations, shot).map((pin) => {
    const { at } = pin.point;
    if (!at) return null;
    const hand = pin.role;
    if (!movable || hand === "upright" || !pin.id.startsWith(`${main.id}-`)) {
      const [x, y] = toWindow(camera, at);
      return <span key={pin.id} className="pointer-events-none absolute" style={{ left: x - 7, top: y - 7 }}><PinHead role={pin.role} /></span>;
    }
    const put = ([x, y]: Vec2) => onShot((before) => movePin(main, before, hand, [x, y]));
    return (
      <Handle
        key={pin.id}
        at={at}
        label={`${hand} vanishing point, ${pinPlace(shot.sheet, pin)}`}
        away={pin.offSheet ? mm(pin.offSheet.distance) : undefined}
        className="cursor-ew-resize"
        onDrag={(to) => {
          drag(put(to));
          return `${mm(Math.abs(to[0] - shot.lens.centre.x))} ${hand} of C`;
        }}
        onNudge={([dx]) => edit(put([at[0] + dx, at[1]]), `pin ${pin.id}`)}
      >
        <PinHead role={hand} />
      </Handle>
    );
  });
}
