import { OUTLINE } from "../../visibility";
import { edgesByDepth } from "../depth";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** The outlines of what stands, lighter with depth: neighbouring pens of ISO 128-2 (from memory). */
export const outlines = layerKind({
  id: "buildings",
  label: "Buildings",
  order: 110,
  style: STYLES.outline,
  strength: 1,
  ofEdges: true,
  compute: (context) =>
    edgesByDepth(context, OUTLINE, { id: "outlines", label: "Outlines", widths: [STYLES.outline.width, 0.35, 0.25] }),
});
