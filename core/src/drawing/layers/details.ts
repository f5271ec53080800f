import { STYLES } from "../style";
import { layerKind } from "./kind";
import { detailLines } from "../visibleLines";

export const details = layerKind({
  id: "details",
  label: "Details",
  order: 80,
  style: STYLES.detail,
  strength: 1,
  partOf: "buildings",
  ofEdges: true,
  compute: (context) => detailLines(context),
});
