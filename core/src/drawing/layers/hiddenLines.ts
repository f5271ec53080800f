import { HIDDEN } from "../../visibility";
import { STYLES } from "../style";
import { layerKind } from "./kind";
import { edgeLines } from "../visibleLines";

export const hiddenLines = layerKind({
  id: "hidden",
  label: "Hidden lines",
  order: 70,
  style: STYLES.hidden,
  strength: 0,
  partOf: "buildings",
  ofEdges: true,
  loose: "past corners",
  compute: (context) => edgeLines(context, HIDDEN),
});
