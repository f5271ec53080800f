import { fromEdge } from "@zanvo/core/vanishing";
import { gripped, type OwnLine } from "@zanvo/core/lines";
import type { Vec2 } from "@zanvo/core/geometry";
import { placeOnPlane } from "@zanvo/core/ruling";
import { viewOf } from "@zanvo/core/shot";
import { sentence } from "@zanvo/core/units";
import { replaceLines } from "../../document/lines";
import { Handle } from "../desk/Handle";
import { useBoard } from "../useBoard";
import { nameOf } from "./names";
import { seenGrips } from "./preview";
import { useChosenLines } from "./useOwnLines";

/** Handles on the ends and corners of the one line that is chosen. */
export function Grips() {
  const { useShot, drag, edit } = useBoard();
  const shot = useShot();
  const lines = useChosenLines();
  if (lines.length !== 1) return null;
  const view = viewOf(shot);
  const [line] = lines;
  const put = (grip: number, at: Vec2): OwnLine =>
    gripped(line, grip, "plane" in line ? placeOnPlane(view, line.plane, at) : at);
  return seenGrips(view, line).map(({ grip, at }) => (
    <Handle
      key={grip}
      at={at}
      label={sentence`${nameOf(line)}, place ${grip + 1}, ${fromEdge(shot.sheet, ...at)}`}
      className="cursor-move"
      onDrag={(to) => {
        drag(replaceLines(shot.id, [put(grip, to)]));
        return fromEdge(shot.sheet, ...to);
      }}
      onNudge={([dx, dy]) =>
        edit(replaceLines(shot.id, [put(grip, [at[0] + dx, at[1] + dy])]), `grip ${line.id} ${grip}`)
      }
    >
      <span className="block size-2.5 border border-[#fffdf8] bg-accent" />
    </Handle>
  ));
}
