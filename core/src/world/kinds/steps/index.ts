import { metres, metresBetween, sentence } from "../../../units";
import { boxOutline, heightTags } from "../block";
import { elementKind, IN_THE_WAY, type Box } from "../kind";
import { cornerOf, sizeOf } from "./build";
import { StepsSchema, type Steps } from "./schema";
export * from "./build";
export { nextFlight } from "./flights";
export type { Steps } from "./schema";

export const isSteps = (element: { readonly kind: string }): element is Steps => element.kind === "steps";

/** Two risers and a tread of comfortable stairs, m (Blondel, 1675 (from memory)), with some room. */
const BLONDEL = [0.57, 0.68] as const;

function boxOf(steps: Steps): Box {
  const [x, y, z] = cornerOf(steps);
  return { origin: { x, y, z }, heading: steps.heading, width: steps.width, ...sizeOf(steps) };
}

export const steps = elementKind<Steps>(StepsSchema, {
  kind: "steps",
  word: "Steps",
  stands: true,
  endsRoadways: ({ foot }) => foot.z < IN_THE_WAY,
  outline: (element) => boxOutline(boxOf(element)),
  span: (element) => [element.foot.z, sizeOf(element).height],
  box: boxOf,
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.foot.z, sizeOf(element).height) }),
  },
  figures: ({ name, riser, tread, ramp }) => {
    const value = 2 * riser + tread;
    const told = sentence`Two risers and a tread of ${name} come to ${metres(value)}.`;
    return ramp
      ? []
      : [{ value, limits: BLONDEL, told, usual: sentence`Comfortable stairs have ${metresBetween(0.6, 0.65)}` }];
  },
  steps: ({ count }) => count,
  // One may stand on it.
  letsIn: () => true,
});
