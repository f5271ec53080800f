import { OUTLINE } from "../../visibility";
import { STYLES } from "../style";
import { layerKind } from "./kind";
import { edgeLines } from "../visibleLines";

export const outlines = layerKind({
  id: "buildings",
  label: "Buildings",
  order: 110,
  style: STYLES.outline,
  strength: 1,
  ofEdges: true,
  compute: (context) => ({ id: "outlines", label: "Outlines", ...edgeLines(context, OUTLINE) }),
});
