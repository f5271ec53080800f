import { mm, sentence } from "../units";
import { corners, degrees, distance2, radians } from "../geometry";
import { atDistance, tenth, type Check } from "./finding";

/**
 * Degrees from the gaze up to which a picture is comfortable, and at most bearable: half the cone of vision of 60 and
 * 90 degrees (common practice).
 */
const COMFORT = 30;
const LIMIT = 45;
const NAMES = ["top left", "top right", "bottom right", "bottom left"] as const;

/** Wide view in a straight lens: a panel corner far from the gaze, where things are stretched by 1 / cos. */
export const wide: Check = ({ shot, view }) => {
  if (!view.law.straight) return [];
  const [corner, name] = corners(shot.frame)
    .map((at, i) => [at, NAMES[i]] as const)
    .reduce((far, one) => (distance2(one[0], view.centre) > distance2(far[0], view.centre) + 1e-9 ? one : far));
  const off = distance2(corner, view.centre);
  const angle = degrees(Math.atan2(off, view.distance));
  if (angle <= COMFORT) return [];
  const stretch = 1 / Math.cos(radians(angle));
  const within = angle > LIMIT ? LIMIT : COMFORT;
  const distance = (off / Math.tan(radians(within))) * (1 + 1e-9);
  return [
    {
      id: "wide-view",
      severity: angle > LIMIT ? "warning" : "note",
      where: `panel, ${name} corner`,
      at: corner,
      value: tenth(angle),
      unit: "°",
      message:
        `The ${name} corner lies ${tenth(angle)}° off the gaze: things there are drawn ${stretch.toFixed(2)} ` +
        "times too long.",
      fix: { label: sentence`Picture distance ${mm(distance)}, within ${within}°`, shot: atDistance(shot, distance) },
    },
  ];
};
