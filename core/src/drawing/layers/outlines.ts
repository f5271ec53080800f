import { OUTLINE } from "../../visibility";
import { edgesByDepth, stretchesByDepth, type Widths } from "../depth";
import { profiled } from "../profile";
import { STYLES } from "../style";
import { layerKind, type LayerContext, type LayerPart } from "./kind";

/** The pens of outlines near, farther away and far away: neighbouring ones of ISO 128-2 (from memory). */
const WIDTHS: Widths = [STYLES.outline.width, 0.35, 0.25];

/** The outlines of what stands, lighter with depth; heavier where it stands free, if a shot has a pen for that. */
export const outlines = layerKind({
  id: "buildings",
  label: "Buildings",
  order: 110,
  style: STYLES.outline,
  strength: 1,
  ofEdges: true,
  loose: "past corners",
  compute: (context) => {
    const named = { id: "outlines", label: "Outlines", widths: WIDTHS };
    return context.shot.profile === undefined ? edgesByDepth(context, OUTLINE, named) : withProfile(context);
  },
});

function withProfile(context: LayerContext): readonly LayerPart[] {
  const { shot, view, visible } = context;
  const { free, backed } = profiled(visible, view.eye);
  // A pen of one's own for outlines makes all of them wider: the pen of profile lines stays as it is.
  const factor = shot.profile! / (shot.pens?.buildings ?? STYLES.outline.width);
  const [near, middle, far] = WIDTHS.map((width) => width * factor);
  return [
    ...stretchesByDepth(context, backed, { id: "outlines", label: "Outlines", widths: WIDTHS }),
    ...stretchesByDepth(context, free, { id: "profile", label: "Profile lines", widths: [near, middle, far] }),
  ];
}
