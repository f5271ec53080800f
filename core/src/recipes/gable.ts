import { metres } from "../units";
import { isBuilding, ROOF_RISE, type Element, type RoofKind } from "../world";
import { boxSeen, cross, lineAlong, long, ray, recipe, RUB_OUT, runs, seen, sentence, step, tableOf } from "./recipe";

/** The rise of a gable for a box without one, as a share of its front (common practice). */
const RISE = 0.5;

const GABLE: RoofKind = "gable";

/** The gable roof that an element has; null where it has none. */
const roofOf = (element: Element | undefined) =>
  element && isBuilding(element) && element.roof.kind === GABLE ? element.roof : null;

/** A gable over the perspective middle of a front, its ridge carried back. */
export const gable = recipe({
  id: "gable",
  label: "A gable over its middle",
  needs: "a building",
  steps: (given) => {
    const table = tableOf(given);
    const box = boxSeen(table, given.element);
    const { above, near, up } = box;
    const gabled = roofOf(given.element);
    // The ridge runs along the longer side, or across it where the roof is turned; the front is square to it.
    const [l, r] = [box.left, box.right].map((end) => Math.hypot(end[0] - near[0], end[1] - near[1]));
    const onRight = r <= l !== (gabled?.turned ?? false);
    const [right, left] = onRight ? [box.right, box.left] : [box.left, box.right];
    const [toRight, toLeft] = onRight ? [box.toRight, box.toLeft] : [box.toLeft, box.toRight];
    const width = onRight ? r : l;
    const rise = gabled ? (gabled.rise ?? ROOF_RISE) : RISE * width;
    const eaves = box.box.height;
    const at = (corner: typeof near, height = 0) => seen(table, above(corner, height));
    const [a, b, c, d] = [at(near), at(right), at(right, eaves), at(near, eaves)];
    const middle = cross([a, c], [b, d]);
    const axis = lineAlong(middle, up);
    const foot = cross([a, b], axis);
    const mark = at(near, eaves + rise);
    const across = lineAlong(mark, toRight);
    const ridge = cross(axis, across);
    const [farEave, backEave] = [at(left, eaves), at(box.back, eaves)];
    const backMiddle = cross([at(left), backEave], [at(box.back), farEave]);
    const backAxis = lineAlong(backMiddle, up);
    const backRidge = cross(backAxis, lineAlong(ridge, toLeft));
    return [
      step("Take the front under the eaves: four corners.", {
        kept: [
          [a, b],
          [b, c],
          [c, d],
          [d, a],
        ],
      }),
      step("Rule its diagonals: where they cross is its middle in perspective, not the measured one.", {
        lines: [
          [a, c],
          [b, d],
        ],
        points: [{ at: middle }],
      }),
      step(sentence`Rule a line through the middle, ${runs(up)}.`, { lines: [[foot, ridge]] }),
      step(
        sentence`On the near upright mark the ridge's height, ${long(d, mark)} over the eaves: ${metres(rise)} there.
          Carry it across ${runs(toRight)} to the middle line.`,
        { lines: [[d, mark], ray(mark, toRight, ridge)], points: [{ at: mark }, { at: ridge, name: "ridge" }] },
      ),
      step("Rule the slopes from the ridge to both eaves. They look unequal, and are not.", {
        kept: [
          [d, ridge],
          [c, ridge],
        ],
      }),
      step(sentence`From the ridge rule ${runs(toLeft)}: the ridge goes back.`, {
        lines: [ray(ridge, toLeft, backRidge)],
      }),
      step("Find the middle of the wall behind by its diagonals, and rule its middle line: it cuts the ridge off.", {
        lines: [
          [at(left), backEave],
          [at(box.back), farEave],
          [backMiddle, backRidge],
        ],
        kept: [[ridge, backRidge]],
        points: [{ at: backRidge }],
      }),
      step("Rule the slope of the back gable as far as it is seen.", {
        kept: [
          [farEave, backRidge],
          [d, farEave],
        ],
      }),
      RUB_OUT,
    ];
  },
});
