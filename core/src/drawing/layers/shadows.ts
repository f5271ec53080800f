import { raysOf } from "../../light";
import { areasOnPaper } from "../paperAreas";
import { STYLES } from "../style";
import { layerKind, type LayerPart } from "./kind";
import { toned, towards } from "./toned";

/** Hatching of the next light is turned by so much, degrees. */
const ACROSS = 60;

/** What no light reaches, as areas: those of each light by themselves, so that where two fall it is darker. */
export const shadows = layerKind({
  id: "shadows",
  label: "Shadows",
  order: 14,
  style: STYLES.shadow,
  strength: 1,
  ofEdges: true,
  loose: "within",
  ofLights: true,
  compute: ({ view, shot, visible: { areas }, lights }) =>
    lights.map(({ id, name }, i): LayerPart => {
      const rays = raysOf(lights[i]);
      // Where planes have a tone, those that turn away are dark already.
      const isDark = (ring: number) => towards(areas, ring, rays) <= 0;
      const isToned = (shot.show?.tones ?? 0) > 0;
      const drawn = areasOnPaper(view, areas, (ring) => areas.light[ring] === i && !(isToned && isDark(ring)));
      const several = lights.length > 1;
      return {
        // The shadows of each light are hatched across those of the one before.
        ...toned(shot, drawn, [ACROSS * i]),
        ...(several ? { id: `shadows-${id}`, label: `Shadows of ${name ?? id}` } : {}),
      };
    }),
});
