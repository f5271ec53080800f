import type { Reference, TracedSet } from "../scene";
import { NoAnswer } from "../problem";
import { viewOfReference } from "./reference";
import type { Misfit } from "./view";

/** What could be changed in what is taken for granted of a picture, so that a view explains its edges. */
export interface Suggestion {
  /** What may be so, as a sentence that can stand on a button. */
  readonly what: string;
  readonly change: (reference: Reference) => Reference;
  /** The sum of squares that is left then. */
  readonly chiSquare: number;
}

/** How well the view of a reference explains its edges, and what would help where it does not. */
export interface Judgement {
  readonly misfit: Misfit;
  /** Whether the edges miss the view by more than the hand can be off. */
  readonly poor: boolean;
  /** What would explain the edges, the likeliest first; edges of three sets may be explained in several ways. */
  readonly suggestions: readonly Suggestion[];
}

/**
 * The edges miss their view where their sum of squares is this many standard deviations of the chi-square distribution
 * (the square root of twice its degrees of freedom) over what is to be expected, and so many times that at least.
 */
const DEVIATIONS = 5;
const TIMES = 2.5;
/** A change is suggested where no more than this share of the sum of squares is left. */
const HELPS = 0.4;
/** No more changes than these are suggested. */
const MOST_SUGGESTED = 3;

/** Whether a view does not explain the edges that it was fitted to. */
export const isPoor = ({ chiSquare, freedom }: Misfit): boolean =>
  freedom > 0 && chiSquare > TIMES * freedom && chiSquare > freedom + DEVIATIONS * Math.sqrt(2 * freedom);

/** What can be changed in a reference, each by itself: first what a person said of it, last what leaves out a set. */
function changes(reference: Reference): Omit<Suggestion, "chiSquare">[] {
  const { cropped, centre, oblique, lens35, horizon, level, sets } = reference;
  const whole: readonly (readonly [possible: boolean, what: string, change: Partial<Reference>])[] = [
    [lens35 !== undefined, "The lens is another", { lens35: undefined }],
    [horizon !== undefined, "The horizon is another", { horizon: undefined }],
    [level === true, "The camera was not level", { level: undefined }],
    [!cropped && !centre, "The photo was cropped", { cropped: true }],
    [centre !== undefined, "The centre of vision is another", { centre: undefined, cropped: true }],
    [!oblique, "Left and right are not square", { oblique: true }],
  ];
  const without = (set: TracedSet): Omit<Suggestion, "chiSquare"> => ({
    what: `The set ${set.name} runs another way`,
    change: (before) => ({
      ...before,
      sets: before.sets.map((one) => (one.id === set.id ? { ...one, role: "free" } : one)),
    }),
  });
  return [
    ...whole.flatMap(([possible, what, change]) =>
      possible ? [{ what, change: (before: Reference) => ({ ...before, ...change }) }] : [],
    ),
    ...sets.filter(({ role, edges }) => role !== "free" && edges.length >= 2).map(without),
  ];
}

/** The misfit that is left after a change, where a view with a lens follows from it. */
function misfitAfter(reference: Reference): Misfit | null {
  try {
    const { misfit, focalLength } = viewOfReference(reference);
    return misfit && focalLength && misfit.freedom > 0 ? misfit : null;
  } catch (error) {
    if (error instanceof NoAnswer) return null;
    throw error;
  }
}

/**
 * How well a reference's edges agree with the view that they tell; and where they do not, which single changes of what
 * is taken for granted would explain them, or the one that explains most.
 * @returns null while there is no view
 */
export function judged(reference: Reference, misfit: Misfit | null): Judgement | null {
  if (!misfit) return null;
  if (!isPoor(misfit)) return { misfit, poor: false, suggestions: [] };
  const helpful = changes(reference).flatMap((one) => {
    const left = misfitAfter(one.change(reference));
    return left && left.chiSquare < HELPS * misfit.chiSquare
      ? [{ ...one, chiSquare: left.chiSquare, explains: !isPoor(left) }]
      : [];
  });
  const explaining = helpful.filter(({ explains }) => explains);
  const [least] = [...helpful].sort((a, b) => a.chiSquare - b.chiSquare);
  return {
    misfit,
    poor: true,
    suggestions: explaining.length ? explaining.slice(0, MOST_SUGGESTED) : least ? [least] : [],
  };
}
