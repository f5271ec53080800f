import { distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { metres } from "../units";
import { horizon, lineFrame, measuringPoints } from "../vanishing";
import { needsLevel } from "./block";
import { boxSeen, cross, long, place, ray, recipe, RUB_OUT, seen, sentence, step, tableOf } from "./recipe";

/** A true length along an edge, by its measuring point. */
export const depth = recipe({
  id: "depth",
  label: "Measured depth",
  needs: "a building",
  steps: (given) => {
    const table = tableOf(given);
    const { view, pins } = table;
    needsLevel(table.shot.gaze.pitch, table.shot.gaze.roll);
    const box = boxSeen(table, given.element);
    const line = horizon(view);
    if (!line) throw new NoAnswer("There is no horizon to measure by: the view looks straight up or down.");
    const points = measuringPoints(view, pins);
    const measuring = points.find(
      ({ pin }) => pins.find(({ id }) => id === pin)?.name === box.toLeft.name && box.toLeft.at,
    );
    if (!measuring || !box.toLeft.at)
      throw new NoAnswer("The building stands along no set of the scene: give its directions points first.");
    const { along } = lineFrame(line);
    const foot = seen(table, box.near);
    const metresLong = Math.hypot(box.left[0] - box.near[0], box.left[1] - box.near[1]);
    const rise = view.eye[2] - box.near[2];
    const eyeLine = cross([foot, [foot[0] - along[1], foot[1] + along[0]]], [box.toLeft.at, measuring.at]);
    if (Math.abs(rise) < 1e-3) throw new NoAnswer("The near foot lies at eye level: nothing tells its scale there.");
    // Beside the horizon lengths are as they are at the foot; they are laid off away from the measuring point.
    const away = distance2(measuring.at, box.toLeft.at);
    const scaled = (metresLong * distance2(foot, eyeLine)) / Math.abs(rise) / away;
    const mark: Vec2 = [
      foot[0] + scaled * (box.toLeft.at[0] - measuring.at[0]),
      foot[1] + scaled * (box.toLeft.at[1] - measuring.at[1]),
    ];
    const end = cross([mark, measuring.at], [foot, box.toLeft.at]);
    return [
      step(sentence`Mark the near foot, ${place(table, foot)}, and rule the edge's line to ${box.toLeft.name}.`, {
        lines: [ray(foot, box.toLeft, end)],
        points: [{ at: foot }],
      }),
      step(
        sentence`Measure from the foot to the horizon: ${long(foot, eyeLine)} stand for the ${metres(rise)} to eye
          level, here and along a line beside the horizon.`,
        { lines: [[foot, eyeLine]] },
      ),
      step(
        sentence`Lay off ${metres(metresLong)} beside the horizon from the foot: ${long(foot, mark)}, towards the
          ${mark[0] < foot[0] ? "left" : "right"}.`,
        { lines: [[foot, mark]], points: [{ at: mark }] },
      ),
      step(
        sentence`Mark ${measuring.name} on the horizon, ${place(table, measuring.at)}: it is as far from
          ${box.toLeft.name} as the eye is.`,
        { points: [{ at: measuring.at, name: "M" }] },
      ),
      step("A ruler from the mark to M cuts the edge off at its true length.", {
        lines: [[mark, measuring.at]],
        kept: [[foot, end]],
        points: [{ at: end }],
      }),
      RUB_OUT,
    ];
  },
});
