import { OUTLINE } from "../../visibility";
import { edgeSegments, segmentLines } from "../visibleLines";
import { DEPTHS, parted } from "../depth";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** The outlines of what stands, lighter with depth: the pens of ISO 128-2 (from memory) next to one another. */
export const outlines = layerKind({
  id: "buildings",
  label: "Buildings",
  order: 110,
  style: STYLES.outline,
  strength: 1,
  ofEdges: true,
  compute: (context) => {
    const segments = edgeSegments(context, OUTLINE);
    if (context.shot.evenOutlines)
      return { id: "outlines", label: "Outlines", ...segmentLines(context.view, segments) };
    const bands = parted(segments, context.view);
    // The farthest first, so that what is near lies over it.
    return DEPTHS.map(({ id, label, width }, depth) => ({
      id,
      label,
      style: { width },
      ...segmentLines(context.view, bands[depth]),
    })).reverse();
  },
});
