import { ownParts } from "../ownLines";
import { STYLES } from "../style";
import { layerKind } from "./kind";

const OWN = { id: "own-lines", label: "Own lines" };

/** Ruled lines and shapes of one's own, on the sheet and on planes of the world, by weight. */
export const ownLines = layerKind({
  ...OWN,
  id: "own-lines",
  order: 113,
  style: STYLES.own,
  strength: 1,
  reach: "rim",
  ofEdges: true,
  ofLines: true,
  compute: (context) => ownParts(context, OWN),
});
