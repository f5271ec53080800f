import { sentence, shortMetres, type Told } from "@zanvo/core/units";
import { measureAlong, paperLength, type Foot } from "@zanvo/core/construct";
import { add, headingDirection, scale, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import type { View } from "@zanvo/core/shot";
import { handed } from "@zanvo/core/vanishing";
import { newBlock, type Block } from "@zanvo/core/world";

/** The three measures a building takes, in the order in which a hand draws them. */
export const STEPS = ["height", "left", "right"] as const;
export type StepId = (typeof STEPS)[number];

/** A building that is being raised from the foot of its near corner. */
export interface Raising {
  readonly foot: Foot;
  /** Headings of the two sets it goes out along, in degrees. */
  readonly left: number;
  readonly right: number;
  readonly step: StepId;
  /** Metres; of the steps to come, nothing yet. */
  readonly measures: Readonly<Record<StepId, number>>;
}

/** The least a wall may measure, in m. */
export const LEAST = 0.1;

/** A building begun at a foot, along the sets of an orientation, or of the block whose street line was caught. */
export function begin(foot: Foot, orientation: number, gaze: number): Raising {
  return {
    foot,
    ...handed(foot.on ? foot.on.block.heading : orientation, gaze),
    step: "height",
    measures: { height: 0, left: 0, right: 0 },
  };
}

/** The line the current step is measured along. */
function axis({ step, left, right }: Raising): Vec3 {
  return step === "height" ? [0, 0, 1] : headingDirection(step === "left" ? left : right);
}

/** The raising with the current measure drawn out to a picture point. */
export function reach(view: View, raising: Raising, point: Vec2): Raising {
  const { foot, step, measures } = raising;
  const far = measureAlong(view, foot.at, axis(raising), point);
  return far === null ? raising : { ...raising, measures: { ...measures, [step]: Math.min(Math.max(0, far), 1e4) } };
}

/** The raising with the current measure given in metres. */
export const typed = (raising: Raising, metres: number): Raising => ({
  ...raising,
  measures: { ...raising.measures, [raising.step]: metres },
});

/** Why the current measure cannot be taken, or null. */
export const lacking = ({ step, measures }: Raising): Told | null =>
  measures[step] >= LEAST
    ? null
    : sentence`Draw it further ${step === "height" ? "up" : "out"}: at least ${shortMetres(LEAST)}.`;

/** The next step, or the finished block's measures once the last one stands. */
export function advance(raising: Raising): Raising | Omit<Block, "id" | "name"> {
  const next = STEPS[STEPS.indexOf(raising.step) + 1];
  if (next) return { ...raising, step: next };
  const {
    foot: { at },
    left,
    measures,
  } = raising;
  return newBlock({
    origin: { x: at[0], y: at[1], z: at[2] },
    heading: left,
    length: measures.left,
    width: measures.right,
    height: measures.height,
  });
}

/** The edges of what stands so far, as world segments. */
export function edges({ foot, left, right, measures }: Raising): (readonly [Vec3, Vec3])[] {
  const [l, r] = [scale(headingDirection(left), measures.left), scale(headingDirection(right), measures.right)];
  const base = [foot.at, add(foot.at, l), add(add(foot.at, l), r), add(foot.at, r)];
  const top = base.map((p): Vec3 => [p[0], p[1], p[2] + measures.height]);
  const round = [0, 1, 2, 3];
  return round.flatMap(
    (i) =>
      [
        [base[i], base[(i + 1) % 4]],
        [top[i], top[(i + 1) % 4]],
        [base[i], top[i]],
      ] as const,
  );
}

/** The current measure on paper, in mm. */
export function onPaper(view: View, raising: Raising): number | null {
  const { foot, step, measures } = raising;
  return paperLength(view, foot.at, add(foot.at, scale(axis(raising), measures[step])));
}
