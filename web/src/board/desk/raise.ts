import { heightOver, measureAlong, paperLength, topAt, type Foot } from "@zanvo/core/construct";
import { add, headingDirection, scale, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { unprojectToGround, type View } from "@zanvo/core/shot";
import { sentence, shortMetres, type Told } from "@zanvo/core/units";
import { handed } from "@zanvo/core/vanishing";
import { newBlock, type Block } from "@zanvo/core/world";

/** The measures a building takes, in the order in which a hand draws them: from its foot, or from its top. */
const FROM_FOOT = ["height", "left", "right"] as const;
const FROM_TOP = ["distance", "left", "right"] as const;
export type StepId = (typeof FROM_FOOT)[number] | (typeof FROM_TOP)[number];

/** What a building is raised along: headings of its two sets, degrees, and what they are those of. */
export interface Along {
  readonly left: number;
  readonly right: number;
  readonly name: string;
}

/** A building that is being raised from the foot, or from the top, of its near corner. */
export interface Raising extends Along {
  readonly foot: Foot;
  readonly step: StepId;
  /** Metres; of the steps to come, nothing yet. `distance` is that from the eye's own foot. */
  readonly measures: Readonly<Record<StepId, number>>;
  /** Where it was begun at its top, mm on the desk. */
  readonly top: Vec2 | null;
}

/** The least a wall may measure, in m. */
export const LEAST = 0.1;
/** How far away a corner stands that is begun at its top, m, until its distance is drawn or typed. */
export const FIRST_DISTANCE = 20;

/** The steps of a raising. */
export const stepsOf = ({ top }: Pick<Raising, "top">): readonly StepId[] => (top ? FROM_TOP : FROM_FOOT);

/**
 * What a building is raised along: what its foot was drawn to, or else the pair of streets that is given.
 * @param gaze its heading, degrees
 */
export const alongOf = (
  { on }: Foot,
  given: { readonly heading: number; readonly name: string },
  gaze: number,
): Along => ({
  ...handed(on ? on.block.heading : given.heading, gaze),
  name: on ? on.block.name : given.name,
});

/** A building begun at a foot. */
export const begin = (foot: Foot, along: Along): Raising => ({
  foot,
  ...along,
  step: "height",
  measures: { distance: 0, height: 0, left: 0, right: 0 },
  top: null,
});

const levelDistance = (view: View, [x, y]: Vec3): number => Math.hypot(x - view.eye[0], y - view.eye[1]);

/** A building begun at its top, so many metres away, or where it catches what stands; null below the eye's level. */
export function beginAtTop(
  view: View,
  blocks: readonly Block[],
  point: Vec2,
  reachMm: number,
  along: (foot: Foot) => Along,
): Raising | null {
  const top = topAt(view, blocks, point, reachMm, FIRST_DISTANCE);
  if (!top) return null;
  const { foot, height } = top;
  return {
    foot,
    ...along(foot),
    step: "distance",
    measures: { distance: levelDistance(view, foot.at), height, left: 0, right: 0 },
    top: point,
  };
}

/** A raising from its top, its foot so many metres from the eye's own. */
function atDistance(view: View, raising: Raising, distance: number): Raising {
  const found = raising.top && topAt(view, [], raising.top, 0, distance);
  if (!found) return raising;
  return { ...raising, foot: found.foot, measures: { ...raising.measures, distance, height: found.height } };
}

/** The line the current step is measured along. */
const axis = ({ step, left, right }: Raising): Vec3 =>
  step === "left" || step === "right" ? headingDirection(step === "left" ? left : right) : [0, 0, 1];

/** The raising with the current measure drawn out to a picture point. */
export function reach(view: View, raising: Raising, point: Vec2): Raising {
  const { foot, step, measures } = raising;
  if (step === "distance") {
    const ground = unprojectToGround(view, point);
    return ground ? atDistance(view, raising, levelDistance(view, ground)) : raising;
  }
  const far = step === "height" ? heightOver(view, foot.at, point) : measureAlong(view, foot.at, axis(raising), point);
  return far === null ? raising : { ...raising, measures: { ...measures, [step]: Math.min(Math.max(0, far), 1e4) } };
}

/** The raising with the current measure given in metres. */
export const typed = (view: View, raising: Raising, metres: number): Raising =>
  raising.step === "distance"
    ? atDistance(view, raising, metres)
    : { ...raising, measures: { ...raising.measures, [raising.step]: metres } };

/** Why the current measure cannot be taken, or null. */
export const lacking = ({ step, measures }: Raising): Told | null =>
  measures[step] >= LEAST
    ? null
    : sentence`Draw it further ${step === "height" ? "up" : "out"}: at least ${shortMetres(LEAST)}.`;

/** The next step, or the finished block's measures once the last one stands. */
export function advance(raising: Raising): Raising | Omit<Block, "id" | "name"> {
  const steps = stepsOf(raising);
  const next = steps[steps.indexOf(raising.step) + 1];
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

/** The current measure on paper, in mm; of a distance, the height over the foot. */
export function onPaper(view: View, raising: Raising): number | null {
  const { foot, step, measures } = raising;
  const far = measures[step === "distance" ? "height" : step];
  return paperLength(view, foot.at, add(foot.at, scale(axis(raising), far)));
}
