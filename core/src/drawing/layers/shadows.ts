import { isCaster, squareness } from "../../light";
import { normalOf } from "../facePlanes";
import { STYLES } from "../style";
import { layerKind } from "./kind";
import { tonedParts } from "./toned";

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
  onlyLit: true,
  compute: (context) => {
    const { lights, shot } = context;
    // Where planes have a tone by the light, those that turn away are dark already.
    const isToned = (shot.show?.tones ?? 0) > 0 && !shot.tone?.planes;
    const several = lights.filter(isCaster).length > 1;
    return lights.filter(isCaster).flatMap((light) => {
      const place = lights.indexOf(light);
      return tonedParts(
        context,
        {
          id: several ? `shadows-${light.id}` : "shadows",
          label: several ? `Shadows of ${light.name ?? light.id}` : "Shadows",
          keep: (areas, ring) => {
            if (areas.light[ring] !== place) return false;
            if (!isToned) return true;
            const at = 3 * areas.starts[ring];
            const p = [areas.xyz[at], areas.xyz[at + 1], areas.xyz[at + 2]] as const;
            return squareness(light, normalOf(areas, ring), p) > 0;
          },
          // The shadows of each light are hatched across those of the one before.
          turns: [ACROSS * place],
        },
        STYLES.shadow.opacity,
      );
    });
  },
});
