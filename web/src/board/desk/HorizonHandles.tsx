import type { Vec2 } from "@zanvo/core/geometry";
import { viewOf } from "@zanvo/core/shot";
import { heightAt, horizon, shiftHorizon } from "@zanvo/core/vanishing";
import { mm, sentence } from "@zanvo/core/units";
import { Handle } from "./Handle";
import { atRest } from "./rest";
import { useStores } from "../../stores";

/** The two ends of the horizon on the panel's sides: dragged, the eye level moves up or down the sheet. */
export function HorizonHandles() {
  const { useShot, onShot, drag, edit } = useStores();
  const shot = useShot();
  const line = horizon(viewOf(shot));
  if (!line) return null;
  const { frame, sheet } = shot;
  return (["left", "right"] as const).map((side) => {
    const x = side === "left" ? frame.x : frame.x + frame.width;
    const y = heightAt(line, x);
    if (y === null) return null;
    const shifted = (to: Vec2) =>
      onShot((before) => shiftHorizon(before, to[1] - (heightAt(horizon(viewOf(before))!, x) ?? y)));
    return (
      <Handle
        key={side}
        at={[x, y]}
        label={sentence`horizon, ${side} end, ${mm(y)} from the top`}
        className="cursor-ns-resize"
        onDrag={(to, alt) => {
          const height = atRest(to[1], alt);
          drag(shifted([x, height]));
          return sentence`${mm(height)} from top, ${mm(sheet.height - height)} from bottom`;
        }}
        onNudge={([, dy]) => edit(shifted([x, y + dy]), "horizon")}
      >
        <span className="block h-[5px] w-4 rounded-sm border border-[#fffdf8] bg-[#46616f]" />
      </Handle>
    );
  });
}
