import { mm, sentence } from "../units";
import { distance2 } from "../geometry";
import { thinnedWithin } from "../grid";
import { showOf } from "../drawing";
import { bundleOf, lineSpacingOf } from "../scene";
import { tenth, type Check, type Finding } from "./finding";

/** Clotting: bundles whose lines would come too near to each other in the panel. They are thinned, and this says so. */
export const clotting: Check = ({ shot, view, pins }) =>
  (view.law.straight ? pins : []).flatMap(({ id, name, point: { at } }): Finding[] => {
    const spread = bundleOf(shot, id);
    if (!at || spread.off || spread.strength * showOf(shot).bundles === 0) return [];
    const { frame } = shot;
    const room = lineSpacingOf(shot);
    const within = thinnedWithin(at, frame, spread, room);
    const nearest = [
      Math.min(Math.max(at[0], frame.x), frame.x + frame.width),
      Math.min(Math.max(at[1], frame.y), frame.y + frame.height),
    ] as const;
    if (distance2(at, nearest) >= within) return [];
    return [
      {
        id: `clotting-${id}`,
        severity: "note",
        where: name,
        at: nearest,
        value: tenth(within),
        unit: "mm",
        message: sentence`Within ${mm(within)} of this point lines would come nearer than ${mm(room.gap)}; they are
          thinned there.`,
      },
    ];
  });
