import { radians, type Vec2 } from "../geometry";

/**
 * Full angles of the cones that are drawn, in degrees: 60 is comfortable, 90 the most (common practice; ISO 5456-4
 * (from memory)).
 */
export const CONES = [30, 60, 90] as const;

/**
 * Where a straight lens of picture distance d shows all that lies half the angle (degrees) off the gaze: a circle of
 * this radius, mm.
 */
export const coneRadius = (distance: number, angle: number): number => distance * Math.tan(radians(angle / 2));

/** A circle as short lines, x1 y1 x2 y2 of each, within 0.02 mm of it up to a radius of 2 m. */
export function circleLines([cx, cy]: Vec2, radius: number): Float64Array {
  const n = Math.max(24, Math.ceil(Math.PI / Math.acos(1 - Math.min(0.5, 0.02 / radius))));
  const at = (i: number): Vec2 => [
    cx + radius * Math.cos((2 * Math.PI * i) / n),
    cy + radius * Math.sin((2 * Math.PI * i) / n),
  ];
  return Float64Array.from(Array.from({ length: n }, (_, i) => [...at(i), ...at(i + 1)]).flat());
}
