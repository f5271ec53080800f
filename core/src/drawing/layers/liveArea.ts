import { rectLines } from "../shapes";
import { STYLES } from "../style";
import { layerKind } from "./kind";

export const liveArea = layerKind({
  id: "live",
  label: "Live area",
  order: 10,
  style: STYLES.live,
  strength: 0.6,
  construction: true,
  reach: "desk",
  ofSheet: true,
  compute: ({ shot: { sheet } }) => ({ lines: Float64Array.from(sheet.live ? rectLines(sheet.live) : []) }),
});
