import { degrees, distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { handed } from "../vanishing";
import { needsLevel } from "./block";
import { long, mm, place, recipe, sentence, step, tableOf } from "./recipe";

/** Both points of a turned pair, from the eye laid down into the paper. */
export const turned = recipe({
  id: "turned",
  label: "The points of a turned pair",
  needs: "a building, or leave it to the last pair of directions",
  steps: (given) => {
    const table = tableOf(given);
    const { shot, view } = table;
    needsLevel(shot.gaze.pitch, shot.gaze.roll);
    const { orientations } = given.scene;
    const own = given.element && "heading" in given.element ? given.element.heading : orientations.at(-1)?.heading;
    if (own === undefined) throw new NoAnswer("There is no pair of directions.");
    const { left, right } = handed(own, shot.gaze.heading);
    const [cx, cy] = view.centre;
    const d = view.distance;
    const eye: Vec2 = [cx, cy + d];
    const at = (heading: number): Vec2 | null => {
      const off = ((heading - shot.gaze.heading) * Math.PI) / 180;
      return Math.abs(Math.cos(off)) < 1e-9 ? null : [cx + d * Math.tan(off), cy];
    };
    const [l, r] = [at(left), at(right)];
    if (!l || !r) throw new NoAnswer("It faces us squarely: one of its sets is drawn level, and has no point.");
    const off = Math.abs(left - shot.gaze.heading);
    const root = Math.sqrt(distance2(view.centre, l) * distance2(view.centre, r));
    const offTold = Number(off.toFixed(1));
    return [
      step(
        sentence`From the centre of vision drop ${mm(d)}, the picture distance, straight down: there lies the eye,
          ${place(table, eye)}.`,
        {
          lines: [[view.centre, eye]],
          points: [
            { at: view.centre, name: "C" },
            { at: eye, name: "eye" },
          ],
        },
      ),
      step(
        sentence`At the eye lay off ${offTold}° to the left of the line to C, and rule on to the horizon: the left
          point, ${place(table, l)}.`,
        { lines: [[eye, l]], points: [{ at: l, name: "left" }] },
      ),
      step(
        sentence`At the eye lay a set square on that line, and rule its other leg to the horizon: the right point,
          ${place(table, r)}.`,
        { lines: [[eye, r]], points: [{ at: r, name: "right" }] },
      ),
      step(
        sentence`Check: C is ${long(view.centre, l)} and ${long(view.centre, r)} from the points; multiplied they are
          the square of the picture distance, ${mm(root)} × itself.`,
        { kept: [[l, r]] },
      ),
      step(`The angle at the eye is a right one: ${Number(degrees(angleAt(eye, l, r)).toFixed(3))}°.`),
    ];
  },
});

/** The angle at a place between the ways to two others. */
function angleAt([x, y]: Vec2, p: Vec2, q: Vec2): number {
  const [ax, ay, bx, by] = [p[0] - x, p[1] - y, q[0] - x, q[1] - y];
  return Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
}
