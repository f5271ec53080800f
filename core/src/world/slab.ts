import type { Vec2 } from "../geometry";
import { alongPath, areasOf } from "./areas";
import { curvesOf } from "./curves";
import { prism } from "./shapes";
import type { Solid } from "./solid";

/** Upright solids along a path, so far to each side of it, between two heights, m: however sharply it bends. */
export const slabAlong = (id: string, path: readonly Vec2[], half: number, heights: Vec2): Solid[] =>
  areasOf(alongPath(path, half)).map(({ outer, holes }) =>
    prism(
      id,
      outer,
      holes.map((hole) => [...hole].reverse()),
      heights,
      curvesOf,
    ),
  );
