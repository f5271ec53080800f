import { CREASE } from "../../visibility";
import { STYLES } from "../style";
import { layerKind } from "./kind";
import { edgesByDepth } from "../depth";

export const creases = layerKind({
  id: "creases",
  label: "Creases",
  order: 90,
  style: STYLES.crease,
  strength: 1,
  partOf: "buildings",
  ofEdges: true,
  loose: "past corners",
  // At every depth lighter than outlines there.
  compute: (context) =>
    edgesByDepth(context, CREASE, { id: "creases", label: "Creases", widths: [STYLES.crease.width, 0.22, 0.18] }),
});
