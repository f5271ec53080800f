import { differenceD, FillRule, type PathD } from "clipper2-ts";
import type { Vec2 } from "../geometry";
import { areaTwice, isWithin } from "./polygon";
import type { Area } from "./triangles";

/** Decimals of a metre to which areas are worked out: a hundredth of a micrometre. */
const DECIMALS = 8;

const pathOf = (ring: readonly Vec2[]): PathD => ring.map(([x, y]) => ({ x, y }));

/**
 * What is left of a polygon where others are taken out of it, however those overlap: areas, and islands within their
 * holes. Counter-clockwise rings in m.
 */
export function areaWithout(ring: readonly Vec2[], cut: readonly (readonly Vec2[])[]): Area[] {
  const rings = differenceD([pathOf(ring)], cut.map(pathOf), FillRule.NonZero, DECIMALS).map((path) =>
    path.map(({ x, y }): Vec2 => [x, y]),
  );
  const outers = rings.filter((one) => areaTwice(one) > 0).sort((a, b) => areaTwice(a) - areaTwice(b));
  const holes = rings.filter((one) => areaTwice(one) < 0);
  // A hole belongs to the smallest area around it.
  const around = holes.map((hole) => outers.findIndex((outer) => isWithin(hole[0], outer)));
  return outers.map((outer, n) => ({ outer, holes: holes.filter((_, i) => around[i] === n) }));
}
