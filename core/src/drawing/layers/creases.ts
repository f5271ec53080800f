import { CREASE } from "../../visibility";
import { STYLES } from "../style";
import { layerKind } from "./kind";
import { edgeLines } from "../visibleLines";

export const creases = layerKind({
  id: "creases",
  label: "Creases",
  order: 90,
  style: STYLES.crease,
  strength: 1,
  partOf: "buildings",
  ofEdges: true,
  compute: (context) => edgeLines(context, CREASE),
});
