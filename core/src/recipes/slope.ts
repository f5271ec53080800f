import { distance2, radians, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { measuringPoints } from "../vanishing";
import { needsLevel } from "./block";
import { cross, long, place, recipe, sentence, step, tableOf } from "./recipe";

/** The point of a slope over the point of its plan, by the measuring point. */
export const slope = recipe({
  id: "slope",
  label: "The point of a slope",
  steps: (given) => {
    const table = tableOf(given);
    needsLevel(table.shot.gaze.pitch, table.shot.gaze.roll);
    const { view, pins } = table;
    const rising = pins.find((pin) => pin.role === "up" && pin.point.at);
    if (!rising?.point.at) throw new NoAnswer("Add a roof slope or ramp to a pair of directions first.");
    const owner = given.scene.orientations.find(({ id }) => id === rising.orientation);
    const rise = owner?.slopes?.find(({ id }) => id === rising.slope)?.rise ?? 0;
    const { at: top } = rising.point;
    const level = pins.find(
      ({ role, orientation, point }) =>
        (role === "left" || role === "right") &&
        orientation === rising.orientation &&
        point.at &&
        Math.abs(point.at[0] - top[0]) < 1e-6 * view.distance,
    );
    const measuring = measuringPoints(view, pins).find(({ pin }) => pin === level?.id);
    if (!level?.point.at || !measuring) throw new NoAnswer("The slope runs beside the picture: it has no point here.");
    const foot = level.point.at;
    const over = distance2(foot, measuring.at);
    const side = Math.sign(foot[0] - measuring.at[0]) || 1;
    const turn = radians(rise);
    const end: Vec2 = [measuring.at[0] + side * over * Math.cos(turn), measuring.at[1] - over * Math.sin(turn)];
    const found = cross([measuring.at, end], [foot, [foot[0], foot[1] - 1]]);
    return [
      step(sentence`Rule an upright through ${level.name}: the points of all slopes along that set stand on it.`, {
        lines: [[foot, found]],
        points: [{ at: foot, name: level.name }],
      }),
      step(
        sentence`Mark its measuring point on the horizon, ${place(table, measuring.at)}, as far from it as the eye is:
          ${long(foot, measuring.at)}.`,
        { lines: [[foot, measuring.at]], points: [{ at: measuring.at, name: "M" }] },
      ),
      step(
        sentence`At M lay off the slope, ${Number(rise.toFixed(1))}°, upwards from the horizon,
          and rule on to the upright.`,
        {
          lines: [[measuring.at, found]],
        },
      ),
      step(
        sentence`There stands the point of the rising slope, ${place(table, found)}, ${long(foot, found)} over the
          horizon; that of the falling one is as far below it.`,
        { kept: [[foot, found]], points: [{ at: found, name: rising.name }] },
      ),
    ];
  },
});
