import { degrees } from "../../geometry";
import { circleLines } from "../../grid";
import { ringRadius, type View } from "../../shot";
import { panelRing } from "../../scene";
import { clippedLines, ringLines } from "../shapes";
import { STYLES } from "../style";
import { layerKind } from "./kind";

export const frame = layerKind({
  id: "frame",
  label: "Panel frame",
  order: 120,
  style: STYLES.frame,
  strength: 1,
  reach: "rim",
  compute: ({ shot, view }) => ({ lines: Float64Array.from([...ringLines(panelRing(shot)), ...rimLines(view)]) }),
});

/** The rim of a disc in the panel: where the world is cut into before and behind, and where the lens ends. */
function rimLines(view: View): number[] {
  const { law, centre } = view;
  if (law.straight || law.shape !== "round") return [];
  const most = degrees(law.limit);
  return [...new Set([Math.min(90, most), most])].flatMap((angle) =>
    clippedLines(circleLines(centre, ringRadius(view, angle - 1e-6)), view.frame),
  );
}
