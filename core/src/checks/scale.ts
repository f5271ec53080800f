import { contains } from "../geometry";
import { project } from "../shot";
import { sentence } from "../units";
import { kindOf, middleOf } from "../world";
import { tenth, type Check } from "./finding";

/** No more of them than these. */
const MAX_FINDINGS = 4;

/**
 * Scale: storeys, doors, kerbs and stairs outside the figures of the trade, of what stands in the panel; of one
 * thing, the first.
 */
export const offScale: Check = ({ scene, shot, view }) =>
  scene.elements
    .flatMap((element) => {
      const off = element.hidden
        ? undefined
        : (kindOf(element).figures?.(element) ?? []).find(
            ({ value, limits: [least, most] }) => value < least || value > most,
          );
      if (!off) return [];
      const at = project(view, middleOf(element));
      if (!at || !contains(shot.frame, at)) return [];
      const { value, limits, told, usual } = off;
      return [
        {
          id: `scale-${element.id}`,
          severity: "note" as const,
          where: element.name,
          at,
          value: tenth(value),
          unit: "m" as const,
          message: sentence`${told} ${usual}: beside it, people will look ${value > limits[1] ? "small" : "large"}.`,
        },
      ];
    })
    .slice(0, MAX_FINDINGS);
