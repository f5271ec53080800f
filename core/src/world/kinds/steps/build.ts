import { along, headingDirection, type Vec2, type Vec3 } from "../../../geometry";
import type { Steps } from "./schema";
import { extrude } from "../../shapes";
import type { Solid } from "../../solid";

/**
 * A comfortable flight: 2 risers and a tread are 0.60 to 0.65 m (Blondel, 1675 (from memory)), risers 0.15 to 0.19 m.
 */
export const DEFAULT_STEPS: Pick<Steps, "riser" | "tread" | "width"> = { riser: 0.165, tread: 0.3, width: 3 };

/** The solid of a flight: its profile of risers and treads, drawn out across its width. */
export function buildSteps(steps: Steps): Solid[] {
  const { count, riser, tread, width, heading, ramp } = steps;
  const { length, height } = sizeOf(steps);
  const edge = ramp
    ? ([[length, height]] as const)
    : Array.from({ length: count }, (_, i): Vec2[] => [
        [(count - i) * tread, (count - i) * riser],
        [(count - i - 1) * tread, (count - i) * riser],
      ]).flat();
  const profile: Vec2[] = [[0, 0], [length, 0], ...edge];
  const [up, across, corner] = [headingDirection(heading), headingDirection(heading + 90), cornerOf(steps)];
  // Drawn out from its left side to its right: seen from there, it rises to the right, and turns left.
  return [
    extrude(steps.id, profile, ([s, z], out) => {
      const [x, y, base] = along(along(corner, up, s), across, out * width);
      return [x, y, base + z];
    }),
  ];
}

/** How long a flight is on the plan, and how high it leads, m. */
export const sizeOf = ({
  count,
  riser,
  tread,
}: Pick<Steps, "count" | "riser" | "tread">): { readonly length: number; readonly height: number } => ({
  length: count * tread,
  height: count * riser,
});

/** The left corner of a flight's foot. */
export function cornerOf({ foot, heading, width }: Steps): Vec3 {
  return along([foot.x, foot.y, foot.z], headingDirection(heading + 90), -width / 2);
}
