import { shadowPlace } from "../construct";
import type { Stretch } from "../dividing";
import { distance2, type Vec2, type Vec3 } from "../geometry";
import { isCaster, lightsOf, raysOf } from "../light";
import { NoAnswer } from "../problem";
import { isBehind, lightName, lightPoints } from "../vanishing";
import { convexHull } from "../world";
import { boxSeen, place, recipe, RUB_OUT, seen, sentence, step, tableOf, type Given } from "./recipe";

/** A line that takes in three places on it: between the two that lie farthest apart. */
function through(a: Vec2, b: Vec2, c: Vec2): Stretch {
  const [ab, bc, ca] = [distance2(a, b), distance2(b, c), distance2(c, a)];
  if (ab >= bc && ab >= ca) return [a, b];
  return bc >= ca ? [b, c] : [c, a];
}

/** The light whose shadow is drawn: the first that is on. @throws NoAnswer where there is none */
function lightFor({ scene, shot }: Given) {
  const light = lightsOf(scene, shot).filter(isCaster).find(({ off }) => !off);
  if (!light) throw new NoAnswer("There is no light that casts shadows: put up a sun or a lamp in Light first.");
  return light;
}

/** The shadow of a box on level ground: its uprights' shadows by the foot of the light, ended by its rays. */
export const shadow = recipe({
  id: "shadow",
  label: "Its shadow on the ground",
  needs: "a building, and a light",
  steps: (given) => {
    const table = tableOf(given);
    const { near, left, right, back, above } = boxSeen(table, given.element);
    const light = lightFor(given);
    const [rays, foot] = lightPoints(given.shot, light).map(({ at }) => at);
    if (!rays || !foot) throw new NoAnswer("The light has no point on the desk in this view: turn the gaze a little.");
    const corners = [near, left, right, back].map((base) => {
      const top = above(base);
      const end = shadowPlace([], raysOf(light), top);
      if (!end) throw new NoAnswer("The light is lower than the building: its shadow has no end.");
      return { base, end, at: [base, top, end].map((p) => seen(table, p)) as [Vec2, Vec2, Vec2] };
    });
    const onGround: readonly Vec3[] = corners.flatMap(({ base, end }) => [base, end]);
    const hull = convexHull(onGround.map(([x, y]): Vec2 => [x, y])).map(([x, y]) => seen(table, [x, y, 0]));
    const sun = light.kind === "sun";
    const name = lightName(light);
    const where = isBehind(table.view, light)
      ? "over it on the horizon, for it stands behind you"
      : "under it on the horizon";
    return [
      step(
        sun
          ? sentence`Mark the point of the rays of ${name}, ${place(table, rays)}; its foot is straight ${where}.`
          : sentence`Mark ${name}, ${place(table, rays)}, and its foot on the ground straight under it,
              ${place(table, foot)}.`,
        {
          lines: [[rays, foot]],
          points: [
            { at: rays, name },
            { at: foot, name: "foot" },
          ],
        },
      ),
      step("From the foot rule through the lower ends of the uprights: along these their shadows run.", {
        lines: corners.map(({ at: [base, , end] }) => through(foot, base, end)),
      }),
      step(
        "Rule through the point of the rays and the upper ends: where each meets its upright’s line, its shadow ends.",
        {
          lines: corners.map(({ at: [, top, end] }) => through(rays, top, end)),
          points: corners.map(({ at: [, , end] }) => ({ at: end })),
        },
      ),
      step("Join the ends around the outside: the shadow of a level edge runs to the same point as the edge.", {
        kept: hull.map((p, i): Stretch => [p, hull[(i + 1) % hull.length]]),
      }),
      RUB_OUT,
    ];
  },
});
