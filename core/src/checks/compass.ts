import { mm, sentence } from "../units";
import { showOf } from "../drawing";
import { compassArcs } from "../vanishing";
import { tenth, type Check, type Finding } from "./finding";

/** What a pencil can keep, mm (common practice). */
const PENCIL_TOLERANCE = 0.3;

/** Compass arcs that depart from the true curve by more than a pencil would show. */
export const compassOff: Check = ({ shot, view, pins }) =>
  (showOf(shot).compass === 0 ? [] : compassArcs(shot, pins, view)).flatMap(
    ({ arc: { id, name, departure, foot } }): Finding[] => {
      if (departure <= PENCIL_TOLERANCE) return [];
      return [
        {
          id: `compass-off-${id}`,
          severity: "note",
          where: name,
          at: foot,
          value: tenth(departure),
          unit: "mm",
          message: sentence`The compass arc departs from the exact curve by up to ${mm(departure)}. In the
            stereographic lens arcs are exact.`,
          fix: {
            label: "Take the stereographic lens",
            shot: {
              ...shot,
              lens: { ...shot.lens, law: "stereographic", distance: (shot.lens.distance * Math.PI) / 4 },
            },
          },
        },
      ];
    },
  );
