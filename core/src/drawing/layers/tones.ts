import { raysOf, towardsLight } from "../../light";
import { SEEN } from "../../visibility";
import { NO_LINES } from "../layer";
import { areasOnPaper } from "../paperAreas";
import { STYLES } from "../style";
import { layerKind, type LayerPart } from "./kind";

/** Planes are told apart in so many steps, where a shot does not say. */
const STEPS = 4;

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
  compute: ({ view, shot, visible: { areas }, lights }) => {
    const [light] = lights;
    if (!light) return [];
    const rays = raysOf(light);
    const steps = shot.tone?.steps ?? STEPS;
    const stepOf = (ring: number): number => {
      const [n, at] = [3 * ring, 3 * areas.starts[ring]];
      const to = towardsLight(rays, [areas.xyz[at], areas.xyz[at + 1], areas.xyz[at + 2]]);
      return toneStep(areas.normals[n] * to[0] + areas.normals[n + 1] * to[1] + areas.normals[n + 2] * to[2], steps);
    };
    const byStep = Array.from(areas.light, (of, ring) => (of === SEEN ? stepOf(ring) : -1));
    return Array.from({ length: steps - 1 }, (_, i): LayerPart => {
      const step = i + 1;
      const grey = Math.round(255 - (150 * step) / (steps - 1));
      return {
        id: `tone-${step}`,
        label: `Tone ${step} of ${steps - 1}`,
        lines: NO_LINES,
        areas: areasOnPaper(view, areas, (ring) => byStep[ring] === step),
        style: { fill: `#${grey.toString(16).padStart(2, "0").repeat(3)}` },
      };
    });
  },
});
