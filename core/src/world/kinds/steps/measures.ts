import type { Steps } from "./schema";

/**
 * A comfortable flight: 2 risers and a tread are 0.60 to 0.65 m (Blondel, 1675 (from memory)), risers 0.15 to 0.19 m.
 */
export const DEFAULT_STEPS: Pick<Steps, "riser" | "tread" | "width"> = { riser: 0.165, tread: 0.3, width: 3 };

/** How long straight steps are on the plan, and how high stairs lead, m. */
export const sizeOf = ({
  count,
  riser,
  tread,
  width = 0,
  landing,
}: Pick<Steps, "count" | "riser" | "tread"> & Partial<Steps>): {
  readonly length: number;
  readonly height: number;
} => ({
  length: landing === undefined ? count * tread : (count - 1) * tread + width,
  height: count * riser,
});
