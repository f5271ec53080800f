import type { Stretch } from "../dividing";
import { type Vec2 } from "../geometry";
import { axesOf, inWorld } from "../lines";
import { NoAnswer } from "../problem";
import { cross, place, recipe, RUB_OUT, seen, sentence, step, tableOf } from "./recipe";

/** How far from the edges of its square a circle crosses the square's diagonals: (1 - 1/root 2) / 2 of the side. */
const CORNER = (1 - Math.SQRT1_2) / 2;

/** A circle in its square, by eight points. */
export const circle = recipe({
  id: "circle",
  label: "A circle by eight points",
  needs: "a circle on a plane",
  steps: (given) => {
    const table = tableOf(given);
    const { line } = given;
    if (line?.kind !== "circle" || !("plane" in line)) throw new NoAnswer("Choose a circle on a plane of the world.");
    const axes = axesOf(line.plane);
    const { centre, radius } = line;
    const at = (u: number, v: number): Vec2 =>
      seen(table, inWorld(axes, [centre[0] + radius * u, centre[1] + radius * v]), "The circle's square");
    const corners = [at(-1, -1), at(1, -1), at(1, 1), at(-1, 1)];
    const sides = corners.map((corner, i): Stretch => [corner, corners[(i + 1) % 4]]);
    const middle = cross([corners[0], corners[2]], [corners[1], corners[3]]);
    const touching = [at(0, -1), at(1, 0), at(0, 1), at(-1, 0)];
    const inset = 1 - 2 * CORNER;
    // Marks on the first side, and lines from them across the square, along its own second set.
    const marks = [-inset, inset].map((u): Stretch => [at(u, -1), at(u, 1)]);
    const onDiagonals = [
      cross([corners[0], corners[2]], marks[0]),
      cross([corners[1], corners[3]], marks[1]),
      cross([corners[0], corners[2]], marks[1]),
      cross([corners[1], corners[3]], marks[0]),
    ];
    const eight = touching.flatMap((one, i) => [one, onDiagonals[(i + 1) % 4]]);
    const curve = Array.from({ length: 91 }, (_, i): Vec2 => {
      const turn = (2 * Math.PI * i) / 90;
      return at(Math.cos(turn), Math.sin(turn));
    });
    return [
      step(sentence`Draw the square around it: its near corner ${place(table, corners[0])}.`, { lines: sides }),
      step("Rule its diagonals: the circle's centre is where they cross, not the middle of the oval.", {
        lines: [
          [corners[0], corners[2]],
          [corners[1], corners[3]],
        ],
        points: [{ at: middle }],
      }),
      step("Through the centre rule to the points of both pairs of sides: four touching points.", {
        lines: [
          [touching[0], touching[2]],
          [touching[1], touching[3]],
        ],
        points: touching.map((one) => ({ at: one })),
      }),
      step(
        "On one side mark 0.146 of it from both ends, in perspective, and carry the marks across: they cut the " +
          "diagonals at four more.",
        { lines: marks, points: onDiagonals.map((one) => ({ at: one })) },
      ),
      step("Draw the curve through all eight, touching the sides at their middles: an ellipse, nowhere pointed.", {
        kept: curve.slice(1).map((one, i): Stretch => [curve[i], one]),
        points: eight.map((one) => ({ at: one })),
      }),
      RUB_OUT,
    ];
  },
});
