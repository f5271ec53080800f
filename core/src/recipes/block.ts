import type { Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { metres } from "../units";
import {
  type SeenBox,
  type Step,
  type Table,
  boxSeen,
  cross,
  lineAlong,
  long,
  place,
  ray,
  recipe,
  RUB_OUT,
  runs,
  seen,
  sentence,
  step,
  tableOf,
} from "./recipe";

/** A box from its near corner, as it is built by hand. */
export const block = recipe({
  id: "block",
  label: "A box from its near corner",
  needs: "a building",
  steps: (given) => {
    const table = tableOf(given);
    const box = boxSeen(table, given.element);
    const { above, toLeft, toRight } = box;
    const at = (corner: typeof box.near, height = 0) => seen(table, above(corner, height));
    const high = box.box.height;
    const [foot, top] = [at(box.near), at(box.near, high)];
    const [leftFoot, leftTop, rightFoot, rightTop] = [
      at(box.left),
      at(box.left, high),
      at(box.right),
      at(box.right, high),
    ];
    const eye = table.view.eye[2];
    const [base, crown] = [box.near[2], box.near[2] + high];
    const closing = eye > crown ? "top" : eye < base ? "underside" : null;
    const [leftEnd, rightEnd] = closing === "underside" ? [leftFoot, rightFoot] : [leftTop, rightTop];
    const steps = [
      step(sentence`Mark the foot of the near corner, ${place(table, foot)}.`, { points: [{ at: foot }] }),
      step(
        sentence`Rule the near upright from it, ${long(foot, top)}: ${metres(high)} stand there for as much. It is the
          longest of all.`,
        { kept: [[foot, top]], points: [{ at: top }] },
      ),
      step(sentence`From its foot and its top rule light lines ${runs(toLeft)}, to the left.`, {
        lines: [ray(foot, toLeft, leftFoot), ray(top, toLeft, leftTop)],
        points: toLeft.at ? [{ at: toLeft.at, name: toLeft.name }] : [],
      }),
      step(sentence`And ${runs(toRight)}, to the right.`, {
        lines: [ray(foot, toRight, rightFoot), ray(top, toRight, rightTop)],
        points: toRight.at ? [{ at: toRight.at, name: toRight.name }] : [],
      }),
      step(
        sentence`Cut the left side off with an upright, ${long(foot, leftFoot)} along its foot: ${metres(
          Math.hypot(box.left[0] - box.near[0], box.left[1] - box.near[1]),
        )} there.`,
        {
          kept: [
            [leftFoot, leftTop],
            [foot, leftFoot],
            [top, leftTop],
          ],
        },
      ),
      step(
        sentence`Cut the right side off, ${long(foot, rightFoot)} along its foot: ${metres(
          Math.hypot(box.right[0] - box.near[0], box.right[1] - box.near[1]),
        )} there.`,
        {
          kept: [
            [rightFoot, rightTop],
            [foot, rightFoot],
            [top, rightTop],
          ],
        },
      ),
    ];
    if (closing === null)
      return [...steps, step("Eye level passes through it: neither its top nor its underside is seen."), RUB_OUT];
    // Both of its ends must be seen: lines on paper would meet behind the eye, too.
    const [backFoot, backTop] = [at(box.back), at(box.back, high)];
    const back = closing === "top" ? backFoot : backTop;
    return [...steps, ...closingSteps(table, box, { closing, leftEnd, rightEnd, back }), RUB_OUT];
  },
});

interface Closing {
  readonly closing: "top" | "underside";
  readonly leftEnd: Vec2;
  readonly rightEnd: Vec2;
  /** The back corner's other end. */
  readonly back: Vec2;
}

/** How the side that is seen is closed: from both cuts to the opposite points. */
function closingSteps(
  table: Table,
  { toLeft, toRight, up }: SeenBox,
  { closing, leftEnd, rightEnd, back }: Closing,
): Step[] {
  const meeting = cross(lineAlong(leftEnd, toRight), lineAlong(rightEnd, toLeft));
  return [
    step(
      sentence`It lies ${closing === "top" ? "below" : "above"} eye level, so its ${closing} is seen: from the left cut
        run ${runs(toRight)}, from the right one ${runs(toLeft)}.
        They meet at the back corner, ${place(table, meeting)}.`,
      {
        lines: [ray(leftEnd, toRight, meeting), ray(rightEnd, toLeft, meeting)],
        kept: [
          [leftEnd, meeting],
          [rightEnd, meeting],
        ],
        points: [{ at: meeting }],
      },
    ),
    step(
      sentence`Check: the back corner of the ${closing === "top" ? "foot" : "top"} lies on one line with it,
        ${runs(up)}.`,
      { lines: [[meeting, back]] },
    ),
  ];
}

/** What cannot be measured from the eye. */
export const needsLevel = (pitch: number, roll: number): void => {
  if (Math.abs(pitch) > 1e-9 || Math.abs(roll) > 1e-9)
    throw new NoAnswer("This construction is drawn with a level gaze: set pitch and roll to 0°.");
};
