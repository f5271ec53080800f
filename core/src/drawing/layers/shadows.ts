import { NO_LINES } from "../layer";
import { areasOnPaper } from "../paperAreas";
import { STYLES } from "../style";
import { layerKind, type LayerPart } from "./kind";

/** What no light reaches, as areas: those of each light by themselves, so that where two fall it is darker. */
export const shadows = layerKind({
  id: "shadows",
  label: "Shadows",
  order: 14,
  style: STYLES.shadow,
  strength: 1,
  ofEdges: true,
  compute: ({ view, visible: { areas }, lights }) =>
    lights.flatMap(({ id, name }, i): LayerPart[] => {
      const drawn = areasOnPaper(view, areas, (ring) => areas.light[ring] === i);
      const several = lights.length > 1;
      return [
        {
          lines: NO_LINES,
          areas: drawn,
          ...(several ? { id: `shadows-${id}`, label: `Shadows of ${name ?? id}` } : {}),
        },
      ];
    }),
});
