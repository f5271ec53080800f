import type { Vec2 } from "@zanvo/core/geometry";
import { showOf } from "@zanvo/core/drawing";
import { viewOf } from "@zanvo/core/shot";
import { byCompass, fromEdge, pickedArcs, pinsOf } from "@zanvo/core/vanishing";
import { mm, sentence } from "@zanvo/core/units";
import { Handle } from "./Handle";
import { useStores } from "../../stores";

/** The places that picked lines pass, to be dragged: each says its compass foot and opening. */
export function ArcHandles() {
  const { useDocument, useShot, onShot, drag, currentShot, edit } = useStores();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  if (showOf(shot).compass === 0 || !byCompass(viewOf(shot))) return null;
  return shot.arcs?.map(({ pin, through: { x, y } }, i) => {
    const put = ([nx, ny]: Vec2) =>
      onShot((before) => ({
        ...before,
        arcs: before.arcs?.map((arc, k) => (k === i ? { ...arc, through: { x: nx, y: ny } } : arc)),
      }));
    const name = pinsOf(orientations, shot).find(({ id }) => id === pin)?.name;
    return (
      <Handle
        key={i}
        at={[x, y]}
        label={sentence`line ${i + 1} to ${name ?? "a point that is gone"}, ${fromEdge(shot.sheet, x, y)}`}
        className="cursor-move"
        onDrag={(to) => {
          drag(put(to));
          const now = currentShot();
          const arc = pickedArcs(viewOf(now), pinsOf(orientations, now), now.arcs).find(({ at }) => at === i)?.arc;
          return arc?.foot
            ? sentence`opening ${mm(arc.radius)}, foot ${fromEdge(now.sheet, ...arc.foot)}`
            : "a straight line";
        }}
        onNudge={([dx, dy]) => edit(put([x + dx, y + dy]), `arc ${i}`)}
      >
        <span
          className={
            "measure flex size-5 items-center justify-center " +
            "rounded border border-accent bg-slip text-[11px] text-ink"
          }
        >
          {i + 1}
        </span>
      </Handle>
    );
  });
}
