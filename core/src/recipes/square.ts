import { add, scale, unit, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { unprojectToGround } from "../shot";
import { metres } from "../units";
import { isLevel } from "../vanishing";
import { cross, lineAlong, place, ray, recipe, RUB_OUT, runs, seen, sentence, step, tableOf, towards } from "./recipe";

/** A true square on the ground, by the point of its diagonal: the distance point where one faces us. */
export const square = recipe({
  id: "square",
  label: "A true square, by its diagonal",
  steps: (given) => {
    const table = tableOf(given);
    const { view, pins } = table;
    const { frame } = table.shot;
    const start = unprojectToGround(view, [frame.x + frame.width / 2, frame.y + 0.9 * frame.height]);
    if (!start) throw new NoAnswer("No ground is seen at the foot of the panel.");
    const [first, second] = pins.filter((pin) => isLevel(pin) && !pin.opposite);
    if (!first || !second) throw new NoAnswer("There is no pair of directions to lay a square along.");
    const side = view.eye[2];
    // One side runs along each set, away from the eye; the near corner stands where the panel has room for it.
    const ways = [first, second].map(({ direction }) => scale(unit(direction), side));
    const diagonal: Vec3 = add(ways[0], ways[1]);
    const corners = [start, add(start, ways[0]), add(start, diagonal), add(start, ways[1])];
    const [a, b, , d] = corners.map((corner) => seen(table, corner));
    const [to1, to2, toD] = [ways[0], ways[1], diagonal].map((way) => towards(table, way));
    const faced = to1.at === null || to2.at === null;
    const name = faced ? "the distance point" : "the diagonal's point";
    const c = cross(lineAlong(b, to2), lineAlong(a, toD));
    const fourth = cross(lineAlong(a, to2), lineAlong(c, to1));
    return [
      step(
        sentence`Begin with one side on the ground, ruled ${runs(to1)}: from ${place(table, a)} to ${place(table, b)}.
          It is ${metres(side)} long, as high as the eye.`,
        { kept: [[a, b]], points: [{ at: a }, { at: b }] },
      ),
      step(sentence`From both ends rule light lines ${runs(to2)}.`, {
        lines: [ray(a, to2, d), ray(b, to2, c)],
        points: to2.at ? [{ at: to2.at, name: to2.name }] : [],
      }),
      step(
        toD.at
          ? sentence`Mark ${name} on the horizon, ${place(table, toD.at)}: diagonals of all squares that lie like
              this run to it.`
          : sentence`The diagonals of squares that lie like this run ${runs(toD)}.`,
        { points: toD.at ? [{ at: toD.at, name: "D" }] : [] },
      ),
      step(
        sentence`From the first corner rule the diagonal ${toD.at ? `to ${name}` : runs(toD)}:
          it finds the far corner.`,
        {
          lines: [ray(a, toD, c)],
          points: [{ at: c }],
        },
      ),
      step(sentence`Close the square through it, ${runs(to1)}.`, {
        kept: [
          [b, c],
          [c, fourth],
          [fourth, a],
        ],
        points: [{ at: fourth }],
      }),
      RUB_OUT,
    ];
  },
});
