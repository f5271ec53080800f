import { type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { cross, long, place, recipe, sentence, step, tableOf } from "./recipe";

/** The third point from the other two and the centre of vision, by the heights of their triangle. */
export const thirdPoint = recipe({
  id: "third-point",
  label: "The third point",
  steps: (given) => {
    const table = tableOf(given);
    const { pins, view } = table;
    const of = (role: string) => pins.find((pin) => pin.role === role && !pin.opposite)?.point.at;
    const [l, r, third] = [of("left"), of("right"), of("upright")];
    if (!l || !r) throw new NoAnswer("One of the two level points is at infinity: a third one follows from two.");
    if (!third) throw new NoAnswer("The gaze is level: uprights are drawn parallel, and there is no third point.");
    const c = view.centre;
    const square = ([ax, ay]: Vec2, [bx, by]: Vec2): Vec2 => [-(by - ay), bx - ax];
    const plumb = square(l, r);
    const across = square(r, c);
    const foot = cross([c, [c[0] + plumb[0], c[1] + plumb[1]]], [l, r]);
    const found = cross([c, [c[0] + plumb[0], c[1] + plumb[1]]], [l, [l[0] + across[0], l[1] + across[1]]]);
    const heel = cross([l, found], [r, c]);
    return [
      step(sentence`Join the two points: the horizon. Mark the centre of vision, ${place(table, c)}.`, {
        lines: [[l, r]],
        points: [
          { at: l, name: "left" },
          { at: r, name: "right" },
          { at: c, name: "C" },
        ],
      }),
      step(
        sentence`Through C rule a line square to the horizon, with a set square: the third point stands on it. It is
          ${long(c, foot)} from C to the horizon.`,
        { lines: [[foot, found]] },
      ),
      step("Rule a line from the right point through C, and on.", { lines: [[r, heel]] }),
      step(
        sentence`From the left point rule square to that line: where it cuts the line through C stands the third point,
          ${place(table, found)}.`,
        { lines: [[l, found]], points: [{ at: found, name: "third" }] },
      ),
      step(
        sentence`Check: C is where the heights of the triangle of all three points cross; the line from the third point
          to the right one is square to that from the left one through C.`,
        {
          kept: [
            [l, found],
            [r, found],
            [l, r],
          ],
        },
      ),
    ];
  },
});
