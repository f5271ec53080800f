import type { Stretch } from "../dividing";
import { distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { onUnder, type Edge, type Reference } from "../scene";
import { heightAt, horizon as horizonOf } from "../vanishing";
import { boxSeen, cross, mm, place, recipe, seen, sentence, step, tableOf, type Given, type Table } from "./recipe";

/** Two edges of one set, and what they are edges of. */
interface Pair {
  readonly name: string;
  readonly edges: readonly [Stretch, Stretch];
}

/** The two edges of a traced set that lie farthest apart, as they lie on the sheet. */
function tracedPairs({ scene, shot }: Given): Pair[] {
  const { under } = shot;
  const reference = scene.references?.find(({ id }) => id === under?.reference);
  if (!under || !reference) return [];
  const on = (x: number, y: number): Vec2 => onUnder(under, reference, [x, y]);
  return reference.sets
    .filter(({ role }) => role === "left" || role === "right" || role === "level")
    .flatMap((set) => pairOf(set, on));
}

function pairOf({ name, edges }: Reference["sets"][number], on: (x: number, y: number) => Vec2): Pair[] {
  const lines = edges.filter(({ out }) => !out).map(({ x1, y1, x2, y2 }: Edge): Stretch => [on(x1, y1), on(x2, y2)]);
  const middle = ([a, b]: Stretch): Vec2 => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const pairs = lines.flatMap((p, i) => lines.slice(i + 1).map((q): Pair["edges"] => [p, q]));
  const far = ([p, q]: Pair["edges"]) => distance2(middle(p), middle(q));
  const [best] = pairs.sort((a, b) => far(b) - far(a));
  return best ? [{ name, edges: best }] : [];
}

/** Edges of a building: its foot and its top, along both sets. */
function builtPairs(table: Table, { element }: Given): Pair[] {
  const box = boxSeen(table, element);
  const pair = (name: string, end: typeof box.near): Pair => ({
    name,
    edges: [
      [seen(table, box.near), seen(table, end)],
      [seen(table, box.above(box.near)), seen(table, box.above(end))],
    ],
  });
  return [pair(box.toLeft.name, box.left), pair(box.toRight.name, box.right)];
}

/** The horizon through the points of two sets of edges. */
export const horizon = recipe({
  id: "horizon",
  label: "The horizon through traced points",
  needs: "a building, or lay a photo with traced sets under the shot",
  steps: (given) => {
    const table = tableOf(given);
    const traced = tracedPairs(given);
    const pairs = traced.length >= 2 ? traced : builtPairs(table, given);
    const [first, second] = pairs.map(({ name, edges }) => ({ name, edges, at: cross(...edges) }));
    const { sheet } = table.shot;
    const exact = horizonOf(table.view);
    const line: Stretch = [first.at, second.at];
    const down = (x: number) =>
      first.at[1] + ((x - first.at[0]) * (second.at[1] - first.at[1])) / (second.at[0] - first.at[0]);
    if (Math.abs(first.at[0] - second.at[0]) < 1e-6)
      throw new NoAnswer("Both points stand over one another: no horizon runs through them.");
    const found = ({ name, edges, at }: typeof first) => [
      step(sentence`Take two edges of ${name} that lie far apart, and rule them on until they meet.`, {
        lines: edges.map(([a, b]): Stretch => (distance2(at, a) > distance2(at, b) ? [a, at] : [b, at])),
      }),
      step(sentence`Mark their point, ${place(table, at)}.`, { points: [{ at, name }] }),
    ];
    const [left, right] = [down(0), down(sheet.width)];
    const off = exact
      ? Math.max(...[0, sheet.width].map((x) => Math.abs((heightAt(exact, x) ?? down(x)) - down(x))))
      : 0;
    return [
      ...found(first),
      ...found(second),
      step(sentence`Rule through both points: the horizon, at eye level.`, { kept: [line] }),
      step(
        sentence`Check that it is level: measure down from the top edge, ${mm(left)} at the left and
          ${mm(right)} at the right.`,
      ),
      ...(traced.length >= 2
        ? [
            step(
              sentence`All edges of both sets together put it up to ${mm(off)} elsewhere: a hand's two lines are few.`,
            ),
          ]
        : []),
    ];
  },
});
