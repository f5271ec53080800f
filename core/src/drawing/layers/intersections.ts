import { INTERSECTION } from "../../visibility";
import { STYLES } from "../style";
import { layerKind } from "./kind";
import { edgesByDepth } from "../depth";

export const intersections = layerKind({
  id: "meetings",
  label: "Lines of intersection",
  order: 100,
  style: STYLES.meeting,
  strength: 1,
  partOf: "buildings",
  ofEdges: true,
  loose: "past corners",
  compute: (context) =>
    edgesByDepth(context, INTERSECTION, {
      id: "meetings",
      label: "Lines of intersection",
      widths: [STYLES.meeting.width, 0.28, 0.2],
    }),
});
