import { cross, dot, radians, scale, sub, unit, type Vec3 } from "../geometry";
import type { Caster, Light, Sun } from "./schema";

/** Rays that run side by side towards a light far away, or that all come from one place. */
export type Rays =
  | { readonly kind: "parallel"; /** Unit vector to the light. */ readonly towards: Vec3 }
  | { readonly kind: "point"; readonly at: Vec3 };

/** The unit vector from anywhere to a sun. */
export function towardsSun({ heading, height }: Pick<Sun, "heading" | "height">): Vec3 {
  const [turn, up] = [radians(heading), radians(height)];
  return [Math.sin(turn) * Math.cos(up), Math.cos(turn) * Math.cos(up), Math.sin(up)];
}

/** Whether a light casts shadows. */
export const isCaster = (light: Light): light is Caster => light.kind !== "overcast";

export const raysOf = (light: Caster): Rays =>
  light.kind === "sun"
    ? { kind: "parallel", towards: towardsSun(light) }
    : { kind: "point", at: [light.at.x, light.at.y, light.at.z] };

/** The unit vector from a place to the light. */
export const towardsLight = (rays: Rays, from: Vec3): Vec3 =>
  rays.kind === "parallel" ? rays.towards : unit(sub(rays.at, from));

/** Two unit vectors across parallel rays, at right angles to each other. */
export function acrossRays(towards: Vec3): readonly [Vec3, Vec3] {
  const side = unit(cross(Math.abs(towards[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0], towards));
  return [side, scale(cross(side, towards), -1)];
}

/**
 * How squarely light falls on a plane, from 0, where none does, to 1: of rays the cosine of the angle between its
 * normal and the way to the light; of a covered sky the share of it that the plane looks at, (1 + nz) / 2.
 */
export function squareness(light: Light, normal: Vec3, at: Vec3): number {
  if (!isCaster(light)) return (1 + normal[2]) / 2;
  return Math.max(0, dot(normal, towardsLight(raysOf(light), at)));
}
