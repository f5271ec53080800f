import { dipOf } from "../../vanishing";
import type { Vec3 } from "../../geometry";
import { NO_LINES } from "../layer";
import { segmentLines, type Segment } from "../stretches";
import { STYLES } from "../style";
import { layerKind, type LayerContext } from "./kind";

/** All around it is drawn in so many stretches. */
const STRETCHES = 720;

/** Where the sea ends, which lies lower than eye level: by nothing to see near the water, by much from a mountain. */
export const seaHorizon = layerKind({
  id: "seaHorizon",
  label: "Horizon of the sea",
  order: 52,
  style: STYLES.horizon,
  strength: 0,
  stops: "usually",
  compute: segmentsOfHorizon,
});

function segmentsOfHorizon({ view }: LayerContext) {
  const [x, y, z] = view.eye;
  if (z <= 0) return { lines: NO_LINES };
  // Directions all around at the dip, as places a kilometre off.
  const [far, down] = [1000 * Math.cos(dipOf(z)), 1000 * Math.sin(dipOf(z))];
  const places = Array.from({ length: STRETCHES + 1 }, (_, i): Vec3 => {
    const turn = (2 * Math.PI * i) / STRETCHES;
    return [x + far * Math.cos(turn), y + far * Math.sin(turn), z - down];
  });
  return segmentLines(
    view,
    places.slice(1).map((b, i): Segment => [places[i], b]),
  );
}
