import { along, headingDirection, type Vec3 } from "../../../geometry";
import type { Detail } from "../../details";
import { courseOf, type Flight, type Landing } from "./course";
import type { Steps } from "./schema";
import { turningOf } from "./turning";

/** A handrail is so high over the edges of the treads, and so far in from the side, m (common practice). */
const [HIGH, IN] = [0.9, 0.06] as const;
/** Between posts of a landing's rail, m (common practice). */
const POSTS = 0.3;

/** A rail through places, with posts down from some. */
function railOf(rail: readonly Vec3[], posts: readonly (readonly [foot: Vec3, top: Vec3])[], id: string): Detail[] {
  const hand = { index: 0 };
  return [
    ...rail.slice(1).map((b, i): Detail => ({ kind: "bar", a: rail[i], b, item: hand, of: id })),
    ...posts.map(([a, b], index): Detail => ({ kind: "bar", a, b, item: { index }, of: id })),
  ];
}

const raised = ([x, y, z]: Vec3, by: number): Vec3 => [x, y, z + by];

/** The rails on both sides of a flight: a post on each tread. */
function ofFlight({ corner, heading, count }: Flight, { id, width, riser, tread, ramp }: Steps): Detail[] {
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const inset = Math.min(IN, width / 4);
  return [inset, width - inset].flatMap((t) => {
    const at = (s: number, z: number) => raised(along(along(corner, ahead, s), right, t), z);
    const posts = Array.from({ length: count }, (_, i) => {
      const s = (i + 0.5) * tread;
      const foot = ramp ? (s / tread) * riser : (i + 1) * riser;
      return [at(s, foot), at(s, (s / tread) * riser + riser / 2 + HIGH)] as const;
    });
    const rail = [at(0, riser / 2 + HIGH), at(count * tread, (count + 0.5) * riser + HIGH)];
    return railOf(rail, posts, id);
  });
}

/** The rails along the free sides of a landing. */
function ofLanding({ corner, heading, width, depth, free }: Landing, { id }: Steps): Detail[] {
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const inset = Math.min(IN, width / 4);
  const at = (s: number, t: number) => along(along(corner, ahead, s), right, t);
  const ends = {
    left: [at(0, inset), at(depth - inset, inset)],
    far: [at(depth - inset, inset), at(depth - inset, width - inset)],
    right: [at(depth - inset, width - inset), at(0, width - inset)],
  } as const;
  return free.flatMap((side) => {
    const [a, b] = ends[side];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const n = Math.max(1, Math.round(long / POSTS));
    const posts = Array.from({ length: n + 1 }, (_, i) => {
      const foot: Vec3 = [a[0] + (i / n) * (b[0] - a[0]), a[1] + (i / n) * (b[1] - a[1]), a[2]];
      return [foot, raised(foot, HIGH)] as const;
    });
    return railOf([raised(a, HIGH), raised(b, HIGH)], posts, id);
  });
}

/** The rail along the outside of a spiral, bent at each tread. */
function ofSpiral(steps: Steps): Detail[] {
  const { id, count, riser, foot } = steps;
  const { each, outer, at } = turningOf(steps);
  const radius = outer - Math.min(IN, outer / 4);
  const place = (tread: number, z: number): Vec3 => [...at(radius, tread * each), foot.z + z];
  const rail = Array.from({ length: count + 1 }, (_, i) => place(i, (i + 0.5) * riser + HIGH));
  const posts = Array.from(
    { length: count },
    (_, i) => [place(i + 0.5, (i + 1) * riser), place(i + 0.5, (i + 1) * riser + HIGH)] as const,
  );
  return railOf(rail, posts, id);
}

/** The rails of stairs: along both sides of flights, free sides of landings, the outside of a spiral. */
export function railsOfSteps(steps: Steps): Detail[] {
  if (!steps.rails) return [];
  if (steps.plan === "spiral") return ofSpiral(steps);
  const { flights, landings } = courseOf(steps);
  return [
    ...flights.flatMap((flight) => ofFlight(flight, steps)),
    ...landings.flatMap((landing) => ofLanding(landing, steps)),
  ];
}
