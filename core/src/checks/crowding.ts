import { mm, sentence } from "../units";
import { contains, distance2 } from "../geometry";
import { atDistance, tenth, type Check, type Finding } from "./finding";

/** A pin this near to C (mm) is the one point of a view that faces a wall: it belongs inside. */
const FACED = 1;

/** Points crowding: a pin inside the panel, or the two pins of a set nearer to each other than the panel is wide. */
export const crowding: Check = ({ scene, shot, view, pins }) =>
  // On a disc all points of the world stand together.
  (view.law.straight ? scene.orientations : []).flatMap(({ id, name }): Finding[] => {
    const pair = pins.filter((pin) => pin.id === `${id}-left` || pin.id === `${id}-right`);
    const [left, right] = pair.map((pin) => pin.point.at);
    const { frame } = shot;
    const found: Finding[] = [];
    if (left && right && distance2(left, right) < frame.width) {
      const gap = distance2(left, right);
      found.push({
        id: `crowding-${id}`,
        severity: "warning",
        where: `${name}, both points`,
        at: [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2],
        value: tenth(gap),
        unit: "mm",
        message: sentence`The two points stand ${mm(gap)} apart, less than the panel is wide: corners will look torn.`,
        fix: { label: "Spread the points", shot: atDistance(shot, (view.distance * frame.width * 1.001) / gap) },
      });
    } else {
      for (const pin of pair) {
        const { at } = pin.point;
        if (!at || !contains(frame, at) || distance2(at, view.centre) < FACED) continue;
        const side = at[0] < view.centre[0] ? frame.x : frame.x + frame.width;
        const k = (side - view.centre[0]) / (at[0] - view.centre[0]);
        found.push({
          id: `inside-${pin.id}`,
          severity: "note",
          where: pin.name,
          at,
          value: tenth(Math.abs(side - at[0])),
          unit: "mm",
          message: `This point stands inside the panel: whatever runs to it shrinks to nothing in plain sight.`,
          fix:
            Number.isFinite(k) && k > 1
              ? { label: "Move it to the panel’s edge", shot: atDistance(shot, view.distance * k * 1.001) }
              : undefined,
        });
      }
    }
    return found;
  });
