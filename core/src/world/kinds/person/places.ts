import type { Ball } from "../../round";
import { hullsOf } from "./body";
import type { Person } from "./schema";

/** How far a figure reaches from its place to its sides, behind and ahead, m. */
export function reachAround(person: Pick<Person, "pose" | "wear" | "age" | "height">) {
  const balls = hullsOf(person).flatMap((hull): readonly Ball[] => hull.balls);
  return {
    aside: Math.max(...balls.map(([x, , , r]) => Math.abs(x) + r)),
    back: Math.max(...balls.map(([, y, , r]) => r - y)),
    ahead: Math.max(...balls.map(([, y, , r]) => r + y)),
  };
}
