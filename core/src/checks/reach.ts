import { sentence, shortMetres } from "../units";
import { distance2 } from "../geometry";
import { atDistance, tenth, type Check, type Finding } from "./finding";

/** An arm and a long ruler: how far from the sheet (mm) a pin can still be worked with (common practice). */
const REACH = 1500;

/** Out of reach: a pin too far from the sheet to lay a ruler to. */
export const outOfReach: Check = ({ shot, view, pins }) =>
  (view.law.straight ? pins : []).flatMap(({ id, name, point: { at }, offSheet }): Finding[] => {
    if (!at || !offSheet || offSheet.distance <= REACH) return [];
    const k = 1 - (offSheet.distance - REACH) / distance2(at, view.centre);
    return [
      {
        id: `out-of-reach-${id}`,
        severity: "note",
        where: name,
        at,
        value: tenth(offSheet.distance / 1000),
        unit: "m",
        message: sentence`This point stands ${shortMetres(offSheet.distance / 1000)} beyond the sheet, farther than a
          ruler reaches.`,
        fix:
          k > 0 ? { label: "Bring the points closer", shot: atDistance(shot, view.distance * k * 0.999) } : undefined,
      },
    ];
  });
