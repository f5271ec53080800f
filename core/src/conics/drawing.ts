import { degrees, radians } from "../geometry";
import type { Ellipse } from "./ellipse";

/** Ellipse templates are made for circles that are seen at these angles, degrees (common practice). */
export const TEMPLATES = [15, 20, 25, 30, 35, 40, 45, 50, 55, 60] as const;

/** Templates that are so far apart serve circles up to half of that beside them, degrees. */
const APART = 5;

/** How an ellipse is drawn by hand: lengths in the unit of its axes. */
export interface ByHand {
  /** The angle at which a circle is seen that looks so: its sine is the short axis over the long one, degrees. */
  readonly seenAt: number;
  /** The template that comes nearest, degrees, and by how much of the short semi-axis it is off. */
  readonly template: { readonly angle: number; readonly off: number };
  /** The long axis, by which templates are named. */
  readonly size: number;
  /** Two pins so far to either side of the centre, on the long axis, and a loop of string so long around them. */
  readonly string: { readonly pins: number; readonly loop: number };
  /** A strip with three marks: the tip draws, the other two, so far from it, run on the long and on the short axis. */
  readonly trammel: { readonly onLong: number; readonly onShort: number };
}

/** How an ellipse is drawn with a template, with pins and string, or with a trammel. */
export function byHand({ semiAxes: [long, short] }: Pick<Ellipse, "semiAxes">): ByHand {
  const seenAt = degrees(Math.asin(Math.min(1, short / long)));
  const angle = TEMPLATES.reduce((best, one) => (Math.abs(one - seenAt) < Math.abs(best - seenAt) ? one : best));
  const pins = Math.sqrt(Math.max(0, long * long - short * short));
  return {
    seenAt,
    template: { angle, off: long * Math.sin(radians(angle)) - short },
    size: 2 * long,
    string: { pins, loop: 2 * long + 2 * pins },
    // What runs on the long axis is as far from the tip as the short semi-axis, and the other way round.
    trammel: { onLong: short, onShort: long },
  };
}

/** How far a direction is searched for at a time, and how often the search is made finer. */
const [STEPS, FINER] = [180, 4] as const;

/**
 * How far the short cut is off that lays the long axis level: the ellipse's own lean, degrees, and the most that the
 * two outlines are apart, in the unit of its axes. Of two convex outlines that is the greatest difference of their
 * support functions, here sqrt(a^2 cos^2 + b^2 sin^2) about the axes (Schneider, Convex Bodies, section 1.8 (from
 * memory)).
 */
export function levelError({ semiAxes: [a, b], tilt }: Ellipse): { readonly lean: number; readonly apart: number } {
  const support = (turn: number) => Math.hypot(a * Math.cos(turn), b * Math.sin(turn));
  const lean = radians(tilt);
  const gap = (turn: number) => Math.abs(support(turn - lean) - support(turn));
  let [at, step, span]: number[] = [0, Math.PI / STEPS, STEPS];
  for (let round = 0; round <= FINER; round++) {
    const from = at - (span / 2) * step;
    const all = Array.from({ length: span + 1 }, (_, i) => from + i * step);
    at = all.reduce((best, one) => (gap(one) > gap(best) ? one : best));
    [span, step] = [20, step / 10];
  }
  return { lean: Math.abs(tilt), apart: gap(at) };
}

/** How an ellipse lies, in words, by the tilt of its long axis, degrees clockwise from right. */
export function howItLies(tilt: number): string {
  const lean = Math.abs(tilt);
  if (lean < 0.05) return "level";
  return lean > 89.95 ? "upright" : `leaning by ${lean.toFixed(1)}°, its right end ${tilt > 0 ? "lower" : "higher"}`;
}

/** Whether some template draws an ellipse: it is neither flatter nor rounder than all. */
export const hasTemplate = ({ seenAt, template }: ByHand): boolean => Math.abs(seenAt - template.angle) <= APART / 2;

/** Which template draws an ellipse, in words: where it is flatter or rounder than all, none does. */
export function templateFor(hand: ByHand): string {
  const { seenAt, template } = hand;
  if (hasTemplate(hand)) return `template ${template.angle}°`;
  return `seen at ${seenAt.toFixed(1)}°, ${seenAt < template.angle ? "flatter" : "rounder"} than any template`;
}
