import type { Stretch } from "../dividing";
import { add, headingDirection, scale, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { metres } from "../units";
import { isSteps } from "../world";
import { cross, lineAlong, long, ray, recipe, RUB_OUT, runs, seen, sentence, step, tableOf, towards } from "./recipe";

/** A flight of steps in its wedge, by equal marks on an upright. */
export const stairs = recipe({
  id: "stairs",
  label: "A flight of steps",
  needs: "a flight of steps",
  steps: (given) => {
    const table = tableOf(given);
    const { element } = given;
    if (!element || !isSteps(element)) throw new NoAnswer("Choose a flight of steps.");
    const { count, riser, tread, width, heading, foot } = element;
    const up = headingDirection(heading);
    const side = headingDirection(heading + 90);
    // The side of the flight that is nearer to the eye is built; the other one follows across.
    const base: Vec3 = [foot.x, foot.y, foot.z];
    const sides = [-1, 1].map((sign) => add(base, scale(side, (sign * width) / 2)));
    const away = (p: Vec3) => Math.hypot(p[0] - table.view.eye[0], p[1] - table.view.eye[1]);
    const [start, other] = away(sides[0]) <= away(sides[1]) ? sides : [sides[1], sides[0]];
    const [length, height] = [count * tread, count * riser];
    const at = (along: number, z: number, from = start): Vec2 =>
      seen(table, add(from, add(scale(up, along), [0, 0, z])), "The flight");
    const [toUp, toSide, plumb] = [up, side, [0, 0, 1] as Vec3].map((way) => towards(table, way));
    const [a, b, top] = [at(0, 0), at(length, 0), at(length, height)];
    const numbers = Array.from({ length: count }, (_, i) => i + 1);
    const marks = numbers.map((n) => at(0, n * riser));
    const end = marks[marks.length - 1];
    const runLines = marks.map((mark) => ray(mark, toUp, at(length, height)));
    // Noses lie on the slope from the first one to the last: where it cuts the lines from the marks.
    const [first, last] = [at(0, riser), at(length - tread, height)];
    const noses = numbers.map((n) => (n === 1 ? first : cross([first, last], lineAlong(marks[n - 1], toUp))));
    const feet = noses.slice(1).map((nose, i) => cross(lineAlong(nose, plumb), lineAlong(marks[i], toUp)));
    const profile: Stretch[] = [
      [a, noses[0]],
      ...feet.flatMap((foot2, i): Stretch[] => [
        [noses[i], foot2],
        [foot2, noses[i + 1]],
      ]),
      [noses[count - 1], top],
    ];
    const otherNoses = numbers.map((n) => at((n - 1) * tread, n * riser, other));
    return [
      step(sentence`Draw the flight's plan on the ground: its near side runs ${runs(toUp)}, ${long(a, b)} on paper.`, {
        lines: [
          [a, b],
          [a, at(0, 0, other)],
          [b, at(length, 0, other)],
          [at(0, 0, other), at(length, 0, other)],
        ],
      }),
      step(
        sentence`On the upright over its near foot lay off ${count} equal risers: ${long(a, end)} in all, for
          ${metres(height)}.`,
        { lines: [[a, end]], points: marks.map((mark) => ({ at: mark })) },
      ),
      step(sentence`From each mark rule ${runs(toUp)}.`, { lines: runLines }),
      step("Rule the slope from the first mark to the nose of the last step: it cuts those lines at the noses.", {
        lines: [[first, last]],
        points: noses.map((nose) => ({ at: nose })),
      }),
      step("From each nose drop an upright to the line below: risers, and treads between them.", { kept: profile }),
      step(sentence`From the noses rule ${runs(toSide)}, across to the other side.`, {
        lines: noses.map((nose, i) => ray(nose, toSide, otherNoses[i])),
        kept: noses.map((nose, i): Stretch => [nose, otherNoses[i]]),
      }),
      step("Treads below eye level are seen from above; those above it are hidden behind their noses."),
      RUB_OUT,
    ];
  },
});
