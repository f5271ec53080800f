import { inFrame, type Balloon, type Shot } from "@zanvo/core/scene";
import { mm, sentence } from "@zanvo/core/units";
import type { Vec2 } from "@zanvo/core/geometry";
import { useStores } from "../../stores";
import { Handle } from "../desk/Handle";
import { sharesOf, withBalloon, withCorner } from "./pages";

/** Places are caught on half millimetres, as the panel's sides are. */
const caught = ([x, y]: Vec2): Vec2 => [Math.round(x * 2) / 2, Math.round(y * 2) / 2];

const told = ([x, y]: Vec2) => sentence`${mm(x)} from the left, ${mm(y)} from the top`;

/** The corners of a panel of any shape, and the middles of its balloons, each to be dragged. */
export function ShapeHandles() {
  const { useShot, onShot, drag, edit } = useStores();
  const shot = useShot();
  const movedTo = (balloon: Balloon, to: Vec2) => (before: Shot) =>
    withBalloon(before, balloon.id, { ...balloon, at: sharesOf(before, to) });
  return (
    <>
      {(shot.panel?.corners ?? []).map((corner, i) => {
        const at = inFrame(shot, corner);
        return (
          <Handle
            // Corners are told apart by their place around the panel.
            key={`corner ${i}`}
            at={at}
            label={sentence`panel, corner ${String(i + 1)}, ${told(at)}`}
            className="cursor-move"
            onDrag={(to, alt) => {
              const place = alt ? to : caught(to);
              drag(onShot((before) => withCorner(before, i, place)));
              return told(place);
            }}
            onNudge={([dx, dy]) =>
              edit(
                onShot((before) => withCorner(before, i, [at[0] + dx, at[1] + dy])),
                `corner ${i}`,
              )
            }
          >
            <span className="block size-2.5 rotate-45 border border-[#fffdf8] bg-[#2b2a27]" />
          </Handle>
        );
      })}
      {(shot.balloons ?? []).map((balloon, i) => {
        const at = inFrame(shot, balloon.at);
        return (
          <Handle
            key={balloon.id}
            at={at}
            label={sentence`balloon ${String(i + 1)}, ${told(at)}`}
            className="cursor-move"
            onDrag={(to, alt) => {
              const place = alt ? to : caught(to);
              drag(onShot(movedTo(balloon, place)));
              return told(place);
            }}
            onNudge={([dx, dy]) => edit(onShot(movedTo(balloon, [at[0] + dx, at[1] + dy])), `balloon ${i}`)}
          >
            <span className="block size-3 rounded-full border border-[#2b2a27] bg-[#fffdf8]" />
          </Handle>
        );
      })}
    </>
  );
}
