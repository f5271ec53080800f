import { along, headingDirection, type Vec2, type Vec3 } from "../../../geometry";
import { extrude, prism } from "../../shapes";
import type { Solid } from "../../solid";
import { courseOf, ringOf, type Flight, type Landing } from "./course";
import type { Steps } from "./schema";
import { openSpiral, solidSpiral } from "./spiral";
import { terrace } from "./terrace";
import { treadsOf } from "./treads";

/** Free treads and landings are so thick, stringers so wide and deep, posts so wide, m (common practice). */
const FREE = { tread: 0.05, landing: 0.15, board: 0.05, deep: 0.24, post: 0.1 } as const;
/** Walls beside steps are so thick, and rise so far over the edges of the treads, m (common practice). */
const CHEEK = { thick: 0.2, over: 0.12 } as const;

/** How long a flight is, and how high it leads, m. */
const runOf = ({ count }: Pick<Flight, "count">, { riser, tread }: Pick<Steps, "riser" | "tread">) =>
  [count * tread, count * riser] as const;

/** A profile along a flight, s along it and z up from its foot, extruded between two distances from its left side. */
function across(id: string, { corner, heading }: Flight, profile: readonly Vec2[], [from, to]: Vec2): Solid {
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  // Extruded from its left side to its right: seen from there, it rises to the right, and turns left.
  return extrude(id, profile, ([s, z], out) => {
    const [x, y, base] = along(along(corner, ahead, s), right, out ? to : from);
    return [x, y, base + z];
  });
}

/** The edge of a flight from its head down to its foot. */
function edgeOf({ count }: Flight, { riser, tread, ramp }: Steps): readonly Vec2[] {
  if (ramp) return [[count * tread, count * riser]];
  return Array.from({ length: count }, (_, i): Vec2[] => [
    [(count - i) * tread, (count - i) * riser],
    [(count - i - 1) * tread, (count - i) * riser],
  ]).flat();
}

/** A flight on a solid that reaches down to the ground. */
function solidFlight(flight: Flight, steps: Steps): Solid {
  const [long] = runOf(flight, steps);
  const foot = flight.over > 0 && steps.ramp ? [[0, 0] as const] : [];
  const profile: readonly Vec2[] = [[0, -flight.over], [long, -flight.over], ...edgeOf(flight, steps), ...foot];
  return across(steps.id, flight, profile, [0, steps.width]);
}

/** Free treads between two boards. */
function openFlight(flight: Flight, steps: Steps): Solid[] {
  const { id, width, riser, tread } = steps;
  const [long, high] = runOf(flight, steps);
  const board = Math.min(FREE.board, width / 6);
  const thick = Math.min(FREE.tread, riser / 2);
  const treads = Array.from({ length: flight.count }, (_step, i) => {
    const [s, z] = [i * tread, (i + 1) * riser];
    const profile: readonly Vec2[] = [
      [s, z - thick],
      [s + tread, z - thick],
      [s + tread, z],
      [s, z],
    ];
    return across(id, flight, profile, [board, width - board]);
  });
  const deep = Math.min(FREE.deep, high / 2);
  const profile: readonly Vec2[] = [
    [0, 0],
    [(deep * tread) / riser, 0],
    [long, high - deep],
    [long, high],
  ];
  return [...treads, across(id, flight, profile, [0, board]), across(id, flight, profile, [width - board, width])];
}

/** Walls beside a straight flight. */
function cheeksOf(flight: Flight, steps: Steps): Solid[] {
  const { id, width, riser, tread } = steps;
  const [long, high] = runOf(flight, steps);
  const { thick, over } = CHEEK;
  const profile: readonly Vec2[] = [
    [0, -flight.over],
    [long, -flight.over],
    [long, high + over],
    [long - tread, high + over],
    [0, riser + over],
  ];
  // One step alone has a level wall: the two upper corners are one.
  const kept = profile.filter(([s, z], i) => i < 4 || s !== profile[3][0] || z !== profile[3][1]);
  return [across(id, flight, kept, [-thick, 0]), across(id, flight, kept, [width, width + thick])];
}

/** Walls beside a landing. */
function cheeksOfLanding({ corner, heading, width, depth, over }: Landing, { id }: Steps): Solid[] {
  const right = headingDirection(heading + 90);
  return [-CHEEK.thick, width].map((t) => {
    const ring = ringOf(along(corner, right, t), heading, CHEEK.thick, depth);
    return prism(id, ring, [], [corner[2] - over, corner[2] + CHEEK.over]);
  });
}

/** A landing, down to the ground or on posts. */
function landingSolids({ corner, heading, width, depth, over }: Landing, { id, open }: Steps): Solid[] {
  const top = corner[2];
  const ring = (at: Vec3, wide: number, deep: number) => ringOf(at, heading, wide, deep);
  if (!open) return [prism(id, ring(corner, width, depth), [], [top - over, top])];
  const thick = Math.min(FREE.landing, over / 2);
  const post = Math.min(FREE.post, depth / 4);
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const posts = [0, width - post].map((t) => {
    const at = along(along(corner, ahead, depth - post), right, t);
    return prism(id, ring(at, post, post), [], [top - over, top - thick]);
  });
  return [prism(id, ring(corner, width, depth), [], [top - thick, top]), ...posts];
}

/** The solids of stairs. */
export function buildSteps(steps: Steps): Solid[] {
  const { id, foot, plan, open, cheeks, ramp, riser } = steps;
  if (plan === "spiral") return open ? openSpiral(steps) : [solidSpiral(steps)];
  const { flights, landings } = courseOf(steps);
  const beside = cheeks
    ? [
        ...flights.flatMap((flight) => cheeksOf(flight, steps)),
        ...landings.flatMap((landing) => cheeksOfLanding(landing, steps)),
      ]
    : [];
  // Steps on a solid are one, so that no joint is seen where they turn.
  if (!open && !ramp && landings.length > 0)
    return [terrace({ id, treads: treadsOf(steps), foot: foot.z, riser, round: false }), ...beside];
  return [
    ...flights.flatMap((flight) => (open && !ramp ? openFlight(flight, steps) : [solidFlight(flight, steps)])),
    ...landings.flatMap((landing) => landingSolids(landing, steps)),
    ...beside,
  ];
}
