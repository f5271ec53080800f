import { levelDisc, squareAround } from "../conics";
import type { Stretch } from "../dividing";
import { degrees, distance2, radians, wrap, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { project } from "../shot";
import { mm, sentence } from "../units";
import { place, ray, recipe, RUB_OUT, runs, seen, step, tableOf, towards } from "./recipe";
import { circlesIn, curveOf, onDisc } from "./round";

/** What stands around a circle, by a half circle under it that is divided and projected up. */
export const halfPlan = recipe({
  id: "half-plan",
  label: "A ring, by its half-plan",
  needs: "a ring of columns",
  steps: (given) => {
    const table = tableOf(given);
    const { view } = table;
    const circle = circlesIn(given.element).find(({ stands }) => stands);
    if (!circle?.stands) throw new NoAnswer("Choose a ring of columns.");
    const { centre, radius, stands } = circle;
    const disc = levelDisc(view, centre, radius);
    const [right, away] = disc.ways;
    const corners = squareAround(view, disc);
    if (!corners) throw new NoAnswer("The ring's square reaches behind the eye.");
    const [left, far] = corners;
    const half = distance2(left, far) / 2;
    const middle: Vec2 = [(left[0] + far[0]) / 2, (left[1] + far[1]) / 2];
    // Along the near side on paper, and square to it, away from the ellipse.
    const along: Vec2 = [(far[0] - left[0]) / (2 * half), (far[1] - left[1]) / (2 * half)];
    const [x, y] = seen(table, centre);
    const side = (x - middle[0]) * along[1] - (y - middle[1]) * along[0] > 0 ? 1 : -1;
    const under: Vec2 = [-side * along[1], side * along[0]];
    const onPlan = (u: number, v: number): Vec2 => [
      middle[0] + half * (u * along[0] + v * under[0]),
      middle[1] + half * (u * along[1] + v * under[1]),
    ];
    const depth = towards(table, away);
    const posts = stands.places.map(([px, py]) => {
      const [dx, dy] = [(px - centre[0]) / radius, (py - centre[1]) / radius];
      const u = dx * right[0] + dy * right[1];
      // Those of the far half are folded over onto the near one.
      const mark = onPlan(u, 0);
      const foot = seen(table, [px, py, centre[2]], "One of its feet");
      return { u, mark, on: onPlan(u, Math.sqrt(Math.max(0, 1 - u * u))), foot };
    });
    const tops = stands.places.map(([x, y]) => project(view, [x, y, centre[2] + stands.height]));
    const arc = curveOf((turn) => onPlan(Math.cos(radians(turn / 2)), Math.sin(radians(turn / 2))));
    const n = posts.length;
    const angles = stands.places.map(([x, y]) => degrees(Math.atan2(y - centre[1], x - centre[0])));
    const apart = n > 1 ? Math.abs(wrap(angles[1] - angles[0], -180)) : 360;
    const first = degrees(Math.acos(Math.min(1, Math.max(-1, posts[0].u))));
    return [
      step(
        sentence`Draw the circle of the ring in the square that faces you: its near side is ${mm(2 * half)} long, from
          ${place(table, left)}.`,
        {
          lines: corners.map((at, i): Stretch => [at, corners[(i + 1) % 4]]),
          kept: curveOf((turn) => seen(table, onDisc(disc, turn), "The ring")),
        },
      ),
      step(
        sentence`On the near side draw half the plan: a half circle of ${mm(half)} about its middle, and mark the
          ${String(n)} on it, ${apart.toFixed(1)}° apart, the first ${first.toFixed(1)}° from its right end. What
          stands in the far half is folded over.`,
        { lines: [[left, far], ...arc], points: posts.map(({ on }) => ({ at: on })) },
      ),
      step("Square to the near side bring every mark up to it.", {
        lines: posts.map(({ on, mark }): Stretch => [on, mark]),
        points: posts.map(({ mark }) => ({ at: mark })),
      }),
      step(
        sentence`From there rule ${runs(depth)}: where the lines cross the ellipse, on its near half or its far one, a
          column stands.`,
        {
          lines: posts.map(({ mark, foot }) => ray(mark, depth, foot)),
          points: posts.map(({ foot }) => ({ at: foot })),
        },
      ),
      step("Raise the axes of the columns from their feet.", {
        kept: posts.flatMap(({ foot }, i): Stretch[] => (tops[i] ? [[foot, tops[i]]] : [])),
        points: posts.map(({ foot }) => ({ at: foot })),
      }),
      RUB_OUT,
    ];
  },
});
