import { along, headingDirection, type Vec2, type Vec3 } from "../../../geometry";
import type { StairPlan, Steps } from "./schema";
import type { Tread } from "./terrace";

/** The two flights of a half turn leave so much between them, m (common practice). */
const WELL = 0.1;

/** A straight run of steps, from its left foot up along a heading; `over` is how high that is over the foot of all. */
export interface Flight {
  readonly corner: Vec3;
  readonly heading: number;
  readonly count: number;
  readonly over: number;
}

/** A landing: its near left corner at its top, as deep as that along a heading, and which sides of it are free. */
export interface Landing {
  readonly corner: Vec3;
  readonly heading: number;
  readonly width: number;
  readonly depth: number;
  readonly over: number;
  readonly free: readonly ("left" | "far" | "right")[];
  /** Its sides from the riser up to it to the riser up from it. */
  readonly tread: Tread;
}

/** The flights and landings of stairs that are no spiral, from the foot up. */
export interface Course {
  readonly flights: readonly Flight[];
  readonly landings: readonly Landing[];
}

/** The left corner of the foot of stairs. */
export function cornerOf({ foot, heading, width }: Pick<Steps, "foot" | "heading" | "width">): Vec3 {
  return along([foot.x, foot.y, foot.z], headingDirection(heading + 90), -width / 2);
}

/** After how many risers the landing of stairs comes; null where they have none. */
export function landingAt({ plan = "straight", landing, count }: Steps): number | null {
  if (plan === "spiral") return null;
  if (landing !== undefined) return landing;
  return plan === "straight" ? null : Math.max(1, Math.floor(count / 2));
}

/** Where the upper flight of stairs begins, by which way it turns, and the landing before it. */
interface Turned {
  readonly upper: { readonly s: number; readonly t: number; readonly by: number };
  readonly landing: { readonly t: number; readonly width: number; readonly free: Landing["free"] };
  /** The sides of the landing: the one around which the stairs turn to the right, and the other one. */
  readonly inner: readonly Vec2[];
  readonly outer: readonly Vec2[];
}

/** What each plan does at a landing of a width, `run` ahead of the foot: s ahead and t to the right of it, m. */
const TURNS: Readonly<Record<Exclude<StairPlan, "spiral">, (run: number, width: number, left: boolean) => Turned>> = {
  straight: (run, width) => ({
    upper: { s: run + width, t: 0, by: 0 },
    landing: { t: 0, width, free: ["left", "right"] },
    inner: [
      [run, width],
      [run + width, width],
    ],
    outer: [
      [run, 0],
      [run + width, 0],
    ],
  }),
  quarter: (run, width, left) => ({
    // Seen along itself, the left foot of a flight to the right lies ahead; of one to the left, behind.
    upper: left ? { s: run, t: 0, by: -90 } : { s: run + width, t: width, by: 90 },
    landing: { t: 0, width, free: ["far", left ? "right" : "left"] },
    inner: [[run, width]],
    outer: [
      [run, 0],
      [run + width, 0],
      [run + width, width],
    ],
  }),
  half: (run, width, left) => {
    const wide = 2 * width + WELL;
    return {
      upper: { s: run, t: left ? -WELL : wide, by: 180 },
      landing: { t: left ? -width - WELL : 0, width: wide, free: ["left", "far", "right"] },
      inner: [
        [run, width],
        [run, width + WELL],
      ],
      outer: [
        [run, 0],
        [run + width, 0],
        [run + width, wide],
        [run, wide],
      ],
    };
  },
};

/** The course of stairs that are no spiral. */
export function courseOf(steps: Steps): Course {
  const { heading, width, count, riser, tread, plan = "straight", left = false } = steps;
  const first = landingAt(steps);
  const corner = cornerOf(steps);
  if (first === null || plan === "spiral") return { flights: [{ corner, heading, count, over: 0 }], landings: [] };
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const over = first * riser;
  const place = (s: number, t: number): Vec3 => along(along(along(corner, ahead, s), right, t), [0, 0, 1], over);
  const run = (first - 1) * tread;
  const { upper, landing, inner, outer } = TURNS[plan](run, width, left);
  // To the left, sides are mirrored about the middle of the lower flight.
  const side = (places: readonly Vec2[]) => places.map(([s, t]) => onPlan(place(s, left ? width - t : t)));
  const flights: readonly Flight[] = [
    { corner, heading, count: first - 1, over: 0 },
    { corner: place(upper.s, upper.t), heading: heading + upper.by, count: count - first, over },
  ];
  return {
    flights: flights.filter((flight) => flight.count > 0),
    landings: [
      {
        corner: place(run, landing.t),
        heading,
        width: landing.width,
        depth: width,
        over,
        free: landing.free,
        tread: left ? { right: side(outer), left: side(inner) } : { right: side(inner), left: side(outer) },
      },
    ],
  };
}

/** A place on the plan. */
export const onPlan = ([x, y]: Vec3): Vec2 => [x, y];

/** The corners of a flight or a landing on the plan, counter-clockwise. */
export function ringOf(corner: Vec3, heading: number, width: number, depth: number): readonly Vec2[] {
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  return [
    [0, 0],
    [0, 1],
    [1, 1],
    [1, 0],
  ].map(([s, t]) => onPlan(along(along(corner, ahead, s * depth), right, t * width)));
}
