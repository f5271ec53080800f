import { raysOf } from "../../light";
import { SEEN } from "../../visibility";
import { areasOnPaper } from "../paperAreas";
import { STYLES } from "../style";
import { layerKind, type LayerPart } from "./kind";
import { toned, towards } from "./toned";

/** Planes are told apart in so many steps, where a shot does not say. */
const STEPS = 4;

/** By how much the hatching of each further step is turned, degrees: darker planes are crossed more often. */
const CROSSED = [0, 90, 45, -45, 22.5, -22.5, 67.5, -67.5] as const;

/**
 * The step of tone of a plane: the least, which stays white, where the light falls square on it, the most where it
 * turns away. @param facing the cosine of the angle between its normal and the way to the light
 */
export const toneStep = (facing: number, steps: number): number =>
  facing <= 0 ? steps - 1 : Math.min(steps - 2, Math.floor((1 - facing) * (steps - 1)));

/** Planes in flat greys by their angle to the first light. */
export const tones = layerKind({
  id: "tones",
  label: "Tone of planes",
  order: 12,
  style: STYLES.tone,
  strength: 0,
  ofEdges: true,
  loose: "within",
  ofLights: true,
  compute: ({ view, shot, visible: { areas }, lights }) => {
    const [light] = lights;
    if (!light) return [];
    const rays = raysOf(light);
    const steps = shot.tone?.steps ?? STEPS;
    const stepOf = (ring: number): number => toneStep(towards(areas, ring, rays), steps);
    const byStep = Array.from(areas.light, (of, ring) => (of === SEEN ? stepOf(ring) : -1));
    return Array.from({ length: steps - 1 }, (_, i): LayerPart => {
      const step = i + 1;
      const grey = Math.round(255 - (150 * step) / (steps - 1));
      return {
        id: `tone-${step}`,
        label: `Tone ${step} of ${steps - 1}`,
        style: { fill: `#${grey.toString(16).padStart(2, "0").repeat(3)}` },
        ...toned(
          shot,
          areasOnPaper(view, areas, (ring) => byStep[ring] === step),
          CROSSED.slice(0, step),
        ),
      };
    });
  },
});
