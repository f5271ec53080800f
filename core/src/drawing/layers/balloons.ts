import { balloonRing } from "../../scene";
import { ringLines } from "../shapes";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** Room for words: ovals, within which nothing else is drawn. */
export const balloons = layerKind({
  id: "balloons",
  label: "Balloons",
  order: 118,
  style: STYLES.balloon,
  strength: 1,
  reach: "desk",
  compute: ({ shot }) => ({
    lines: Float64Array.from((shot.balloons ?? []).flatMap((balloon) => ringLines(balloonRing(shot, balloon)))),
  }),
});
