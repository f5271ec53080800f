import { fromEdge } from "@zanvo/core/vanishing";
import type { Vec2 } from "@zanvo/core/geometry";
import { sentence } from "@zanvo/core/units";
import { Handle } from "./Handle";
import { useStores } from "../../stores";

const KEYS = ["left", "right", "third"] as const;

/** The points of a sketch, to be dragged freely: none of them is a point of the view yet. */
export function SketchHandles() {
  const { useShot, onShot, drag, edit } = useStores();
  const shot = useShot();
  return KEYS.map((key) => {
    const at = shot.sketch?.[key];
    if (!at) return null;
    const put = ([x, y]: Vec2) =>
      onShot((before) => ({ ...before, sketch: before.sketch && { ...before.sketch, [key]: { x, y } } }));
    return (
      <Handle
        key={key}
        at={[at.x, at.y]}
        label={sentence`${key} point of the sketch, ${fromEdge(shot.sheet, at.x, at.y)}`}
        className="cursor-move"
        onDrag={(to) => {
          drag(put(to));
          return fromEdge(shot.sheet, ...to);
        }}
        onNudge={([dx, dy]) => edit(put([at.x + dx, at.y + dy]), `sketch ${key}`)}
      >
        <svg width={18} height={18} viewBox="-9 -9 18 18" aria-hidden>
          <circle r={5.5} fill="none" stroke="#fffdf8" strokeWidth={3.4} />
          <circle r={5.5} fill="none" stroke="#2b2a27" strokeWidth={1.4} strokeDasharray="2.4 1.6" />
          <path d="M-9 0H9M0 -9V9" stroke="#2b2a27" strokeWidth={1} />
        </svg>
      </Handle>
    );
  });
}
