import { along, headingDirection } from "../../../geometry";
import { courseOf, onPlan, type Flight } from "./course";
import type { Steps } from "./schema";
import type { Tread } from "./terrace";

/** The treads of a flight. */
const treadsOfFlight = ({ corner, heading, count }: Flight, { width, tread }: Steps): readonly Tread[] => {
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const at = (s: number, t: number) => onPlan(along(along(corner, ahead, s), right, t));
  return Array.from({ length: count }, (_, i) => {
    const [from, to] = [i * tread, (i + 1) * tread];
    return { right: [at(from, width), at(to, width)], left: [at(from, 0), at(to, 0)] };
  });
};

/** All treads of stairs with a landing from the foot up, the landing among them. */
export function treadsOf(steps: Steps): readonly Tread[] {
  const { flights, landings } = courseOf(steps);
  const [lower, upper] = [flights.filter(({ over }) => over === 0), flights.filter(({ over }) => over > 0)];
  return [
    ...lower.flatMap((flight) => treadsOfFlight(flight, steps)),
    ...landings.map(({ tread }) => tread),
    ...upper.flatMap((flight) => treadsOfFlight(flight, steps)),
  ];
}
