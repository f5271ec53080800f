import { areasFrom } from "../regions";
import { NO_LINES } from "../layer";
import { seenFaces } from "../seenFaces";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** What is left of the panel over the horizon, as a closed area. */
export const sky = layerKind({
  id: "sky",
  label: "Sky as an area",
  order: 7,
  style: STYLES.sky,
  strength: 0,
  ofEdges: true,
  ofAreas: true,
  compute: ({ view, visible: { areas } }) => ({ lines: NO_LINES, areas: areasFrom(seenFaces(view, areas).sky) }),
});
