import { distance2, headingDirection, type Vec2, type Vec3 } from "../geometry";
import { project, type View } from "../shot";

/** A stretch in the world. */
export type Stretch3 = readonly [Vec3, Vec3];

/** A ruler that stands on the ground: itself with its ticks, and where heads of given heights fall near and far. */
export interface GroundRuler {
  readonly upright: Stretch3;
  readonly ticks: readonly Stretch3[];
  /** The line of feet and one of heads for each height, along a heading, from near the eye into the distance. */
  readonly guides: readonly { readonly height: number; readonly line: Stretch3 }[];
  /** How tall it is drawn, mm; null where its foot or its top is not seen. */
  readonly drawn: number | null;
}

/** Ticks stand half a metre apart, and reach so far to each side; those at whole metres twice as far, m. */
const [APART, TICK] = [0.5, 0.06] as const;
/** Guides run so far before the ruler and beyond it, m. */
const [BEFORE, BEYOND] = [40, 2000] as const;
/** They begin no nearer to the eye than this, m. */
const NEAREST = 0.1;

/**
 * A ruler at a place of the ground: heads of one height lie on a line that runs to the same point as the line of their
 * feet, so that a figure fits between both at any depth.
 * @param ground the height of the ground there, m
 * @param heading which way the guides run, degrees
 */
export function groundRuler(
  view: View,
  at: Vec2,
  ground: number,
  { height, heads, heading }: { readonly height: number; readonly heads: readonly number[]; readonly heading: number },
): GroundRuler {
  const [fx, fy] = headingDirection(heading);
  const place = (along: number, up: number): Vec3 => [at[0] + along * fx, at[1] + along * fy, ground + up];
  const aside = (side: number, up: number): Vec3 => [at[0] + side * fy, at[1] - side * fx, ground + up];
  // As far towards the eye as the eye is, and a little less.
  const off = (view.eye[0] - at[0]) * fx + (view.eye[1] - at[1]) * fy;
  const from = Math.max(-BEFORE, Math.min(0, off + NEAREST));
  const count = Math.floor(height / APART + 1e-9);
  const ticks = Array.from({ length: count }, (_, i): Stretch3 => {
    const up = (i + 1) * APART;
    const half = Number.isInteger(up) ? 2 * TICK : TICK;
    return [aside(-half, up), aside(half, up)];
  });
  const [foot, top] = [project(view, place(0, 0)), project(view, place(0, height))];
  return {
    upright: [place(0, 0), place(0, height)],
    ticks: [...ticks, [aside(-3 * TICK, height), aside(3 * TICK, height)]],
    guides: [0, ...heads].map((up) => ({ height: up, line: [place(from, up), place(BEYOND, up)] })),
    drawn: foot && top && distance2(foot, top),
  };
}
