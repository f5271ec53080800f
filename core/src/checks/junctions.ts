import { project } from "../shot";
import { sentence } from "../units";
import { sharpJunctions } from "../world";
import { tenth, type Check } from "./finding";

/** No more of them than these. */
const MAX_FINDINGS = 4;

/** Streets that meet at so narrow an angle that no kerb can turn between them. */
export const narrowJunctions: Check = ({ scene, view }) =>
  sharpJunctions(scene.elements)
    .slice(0, MAX_FINDINGS)
    .map(({ at: [x, y], of: [one, other], angle }) => ({
      id: `junction-${one.id}-${other.id}`,
      severity: "note" as const,
      where: one === other ? one.name : `${one.name}, ${other.name}`,
      at: project(view, [x, y, 0]),
      value: tenth(angle),
      unit: "°" as const,
      message:
        one === other
          ? sentence`${one.name} runs into itself at ${tenth(angle)}°: kerbs turn from 20° on. Draw its bend wider.`
          : sentence`${one.name} and ${other.name} meet at ${tenth(angle)}°: kerbs turn from 20° on. Let one of them
              bend before it arrives.`,
    }));
