import type { Shot } from "@zanvo/core/scene";

/** How the lines of a shot are inked. */
export type Finish = Pick<Shot, "pens" | "profile" | "depth" | "hand">;

/** No more than what is said of a shot's lines. */
export const finishOf = ({ pens, profile, depth, hand }: Shot): Finish => ({ pens, profile, depth, hand });

/** How lines change with depth where that is first wished. */
export const FIRST_DEPTH = { near: 10, far: 200, thin: 0.35, faint: 0.4 } as const;

/** A loose hand where one is first wished. */
export const FIRST_HAND = { seed: 1, wobble: 0.25, overshoot: 1, breaks: 0.2 } as const;

const PLAIN: Finish = { pens: undefined, profile: undefined, depth: undefined, hand: undefined };

/**
 * Ways to ink a whole drawing: fine lines throughout, as is usual, and bold profile lines over quiet details that fade
 * with depth.
 */
export const FINISHES: readonly { readonly label: string; readonly finish: Finish }[] = [
  {
    label: "Fine",
    finish: { ...PLAIN, pens: { buildings: 0.25, meetings: 0.25, creases: 0.18, details: 0.13, frame: 0.5 } },
  },
  { label: "Usual", finish: PLAIN },
  {
    label: "Bold",
    finish: {
      ...PLAIN,
      pens: { buildings: 0.5, meetings: 0.5, creases: 0.35, details: 0.18, frame: 0.7 },
      profile: 0.7,
      depth: FIRST_DEPTH,
    },
  },
];

const isNumbers = (value: unknown): boolean =>
  typeof value === "object" && value !== null && Object.values(value).every((one) => typeof one === "number");

/** A finish that was kept; null where it cannot be read. */
export function readFinish(value: unknown): Finish | null {
  if (typeof value !== "object" || value === null) return null;
  const { pens, profile, depth, hand } = value as Finish;
  const groups = [pens, depth, hand].filter((one) => one !== undefined);
  if (!groups.every(isNumbers) || (profile !== undefined && typeof profile !== "number")) return null;
  return { pens, profile, depth, hand };
}
