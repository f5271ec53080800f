import { BadInput } from "@zanvo/core/problem";

/** How far flat faces may leave round ones in a file of masses, mm. */
export const TOLERANCE = { minimum: 0.1, maximum: 1000, default: 10 } as const;

/** A tolerance that is asked for, m. @throws BadInput */
export function toleranceIn(tolerance: number = TOLERANCE.default): number {
  const { minimum, maximum } = TOLERANCE;
  if (!(tolerance >= minimum && tolerance <= maximum))
    throw new BadInput([{ path: "tolerance", message: `must be from ${minimum} to ${maximum} mm.` }]);
  return tolerance / 1000;
}
