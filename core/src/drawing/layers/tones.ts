import { squareness, type Light } from "../../light";
import type { Shot } from "../../scene";
import { SEEN, type FaceAreas } from "../../visibility";
import { firstWay, normalOf, planeKind, PLANES } from "../facePlanes";
import { STYLES } from "../style";
import { layerKind, type LayerContext, type LayerPart } from "./kind";
import { tonedParts } from "./toned";

/** Planes are told apart in so many steps, where a shot does not say. */
const STEPS = 4;

/** By how much the hatching of each further step is turned, degrees: darker planes are crossed more often. */
const CROSSED = [0, 90, 45, -45, 22.5, -22.5, 67.5, -67.5] as const;

/** A plane that is as dark as can be is so much less than white, of 255. */
const DARKEST = 150;

/** A grey of a share of darkness. */
const greyOf = (dark: number): string => {
  const level = Math.round(255 - DARKEST * dark);
  return `#${level.toString(16).padStart(2, "0").repeat(3)}`;
};

/**
 * The step of tone of a plane: the least, which stays white, where the light falls square on it, the most where it
 * turns away. @param facing the cosine of the angle between its normal and the way to the light
 */
export const toneStep = (facing: number, steps: number): number =>
  facing <= 0 ? steps - 1 : Math.min(steps - 2, Math.floor((1 - facing) * (steps - 1)));

/** The step of what a ring is of; what lies in a recess is a step darker. */
function stepOf(areas: FaceAreas, ring: number, light: Light, steps: number): number {
  const at = 3 * areas.starts[ring];
  const facing = squareness(light, normalOf(areas, ring), [areas.xyz[at], areas.xyz[at + 1], areas.xyz[at + 2]]);
  return Math.min(steps - 1, toneStep(facing, steps) + areas.recess[ring]);
}

function byLight(context: LayerContext, light: Light): readonly LayerPart[] {
  const steps = context.shot.tone?.steps ?? STEPS;
  return Array.from({ length: steps - 1 }, (_, i) => i + 1).flatMap((step) =>
    tonedParts(
      context,
      {
        id: `tone-${step}`,
        label: `Tone ${step} of ${steps - 1}`,
        style: { fill: greyOf(step / (steps - 1)) },
        keep: (areas, ring) => areas.light[ring] === SEEN && stepOf(areas, ring, light, steps) === step,
        turns: CROSSED.slice(0, step),
      },
      STYLES.tone.opacity,
    ),
  );
}

/** How dark each kind of plane is where no light tells them apart, 0 to 1. */
export const planeTones = ({ tone }: Pick<Shot, "tone">) =>
  PLANES.map(({ id, label, dark }) => ({ id, label, dark: tone?.planes?.[id] ?? dark }));

function byPlane(context: LayerContext): readonly LayerPart[] {
  const way = firstWay(context.orientations);
  return planeTones(context.shot).flatMap(({ id, label, dark }) =>
    dark === 0
      ? []
      : tonedParts(
          context,
          {
            id: `tone-${id}`,
            label: `Tone of ${label.toLowerCase()}`,
            style: { fill: greyOf(dark) },
            keep: (areas, ring) =>
              areas.light[ring] === SEEN && planeKind(normalOf(areas, ring), way, areas.recess[ring] === 1) === id,
            turns: CROSSED.slice(0, Math.max(1, Math.round(dark * STEPS))),
          },
          STYLES.tone.opacity,
        ),
  );
}

/** Planes in greys by how squarely the first light that is on falls on them, or each kind of plane in its own. */
export const tones = layerKind({
  id: "tones",
  label: "Tone of planes",
  order: 12,
  style: STYLES.tone,
  strength: 0,
  ofEdges: true,
  loose: "within",
  ofLights: true,
  compute: (context) => {
    if (context.shot.tone?.planes) return byPlane(context);
    const light = context.lights.find(({ off }) => !off);
    return light ? byLight(context, light) : [];
  },
});
