import { INTERSECTION } from "../../visibility";
import { STYLES } from "../style";
import { layerKind } from "./kind";
import { edgeLines } from "../visibleLines";

export const intersections = layerKind({
  id: "meetings",
  label: "Lines of intersection",
  order: 100,
  style: STYLES.meeting,
  strength: 1,
  partOf: "buildings",
  ofEdges: true,
  compute: (context) => edgeLines(context, INTERSECTION),
});
