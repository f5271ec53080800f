import { cross, radians, scale, sub, unit, type Vec3 } from "../geometry";
import type { Light, Sun } from "./schema";

/** Rays that run side by side towards a light far away, or that all come from one place. */
export type Rays =
  | { readonly kind: "parallel"; /** Unit vector to the light. */ readonly towards: Vec3 }
  | { readonly kind: "point"; readonly at: Vec3 };

/** The unit vector from anywhere to a sun. */
export function towardsSun({ heading, height }: Pick<Sun, "heading" | "height">): Vec3 {
  const [turn, up] = [radians(heading), radians(height)];
  return [Math.sin(turn) * Math.cos(up), Math.cos(turn) * Math.cos(up), Math.sin(up)];
}

export const raysOf = (light: Light): Rays =>
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
