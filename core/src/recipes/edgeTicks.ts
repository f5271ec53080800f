import type { Stretch } from "../dividing";
import type { Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { isSideways, offPageAids, tickPlace, oppositeOf, type Edge } from "../vanishing";
import { mm, place, recipe, sentence, step, tableOf } from "./recipe";

/** Mm between ticks on the edge next to the point. */
const SPACING = 20;

/** Numbered ticks on two edges of the sheet, by which a short ruler aims at a point beyond it. */
export const edgeTicks = recipe({
  id: "edge-ticks",
  label: "An edge-tick ruler",
  steps: (given) => {
    const table = tableOf(given);
    const { sheet } = table.shot;
    const off = table.pins
      .filter(({ point, offSheet }) => point.at && offSheet)
      .sort((p, q) => (q.offSheet?.distance ?? 0) - (p.offSheet?.distance ?? 0));
    const [pin] = off;
    const point = pin?.point.at;
    const aids = point && offPageAids(sheet, point, SPACING);
    if (!pin || !point || !aids) throw new NoAnswer("Every point lies on the sheet: a ruler reaches them all.");
    const { side, spacing } = aids;
    const far = oppositeOf(side);
    const ticks = aids.ticks.filter(({ near, far: opposite }) => near !== null && opposite !== null);
    const lines = ticks.map(({ near, far: opposite }): Stretch => [
      on(sheet, far, opposite ?? 0),
      on(sheet, side, near ?? 0),
    ]);
    const level = on(sheet, side, aids.level);
    return [
      step(sentence`${pin.name} stands ${place(table, point)}: ${mm(aids.distance)} beyond the ${side} edge.`, {
        points: [{ at: point, name: pin.name }],
      }),
      step(
        sentence`Mark 0 on the ${side} edge, ${mm(aids.level)} ${isSideways(side) ? "down" : "from the left"}, level
          with the point, and on the opposite edge.`,
        {
          points: [
            { at: level, name: "0" },
            { at: on(sheet, far, aids.level), name: "0" },
          ],
        },
      ),
      step(sentence`From there tick the ${side} edge every ${mm(spacing.near)}, and number the ticks.`, {
        points: ticks.map(({ number, near }) => ({ at: on(sheet, side, near ?? 0), name: String(number) })),
      }),
      step(sentence`Tick the opposite edge every ${mm(spacing.far)}: as much more as the point is farther from it.`, {
        points: ticks.map(({ number }) => ({
          at: tickPlace(sheet, point, far, spacing.far, number),
          name: String(number),
        })),
      }),
      step("A ruler on equal numbers aims at the point; between them it is laid by eye, on equal shares.", {
        kept: lines,
      }),
    ];
  },
});

/** A place on an edge of the sheet. */
function on({ width, height }: { readonly width: number; readonly height: number }, edge: Edge, at: number): Vec2 {
  if (edge === "left") return [0, at];
  if (edge === "right") return [width, at];
  return edge === "top" ? [at, 0] : [at, height];
}
