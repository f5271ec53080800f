import { Along, Metres, named, strict, Type } from "../../../fields";
import type { Vec2 } from "../../../geometry";
import { sideOf } from "../../polygon";
import { nearestSide } from "./foot";

/** A place by the wall that it is nearest to. */
export interface AlongWall {
  /** The number of the wall, from one on, in the order of the footprint's corners. */
  readonly wall: number;
  /** How far from the wall's left corner, as it is seen from outside, and how far in from it, m. */
  readonly along: number;
  readonly inwards: number;
}

/** How a place along a wall is typed. */
export const AlongWallSchema = strict({
  wall: named("Wall", Type.Integer({ minimum: 1 })),
  along: named("Along the wall", Along),
  inwards: named("In from the wall", Metres),
});

/** Where a place is along the wall that it is nearest to. @param corners of the footprint, counter-clockwise */
export function alongWall(corners: readonly Vec2[], { x, y }: { readonly x: number; readonly y: number }): AlongWall {
  const { side } = nearestSide(corners, [x, y]);
  const { p, u } = sideOf(corners, side);
  const [dx, dy] = [x - p[0], y - p[1]];
  return { wall: side + 1, along: dx * u[0] + dy * u[1], inwards: dy * u[0] - dx * u[1] };
}

/** The place along a wall; beyond its end, at its end. */
export function placeAtWall(
  corners: readonly Vec2[],
  { wall, along, inwards }: AlongWall,
): { readonly x: number; readonly y: number } {
  const { p, u, long } = sideOf(corners, Math.min(corners.length, Math.max(1, wall)) - 1);
  const s = Math.min(long, Math.max(0, along));
  return { x: p[0] + s * u[0] - inwards * u[1], y: p[1] + s * u[1] + inwards * u[0] };
}
