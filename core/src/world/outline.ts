import type { Vec2 } from "../geometry";
import { tidy } from "./polygon";

/** The corners of a footprint, counter-clockwise, as it is built on. */
export const cornersOf = ({
  footprint,
}: {
  readonly footprint: readonly { readonly x: number; readonly y: number }[];
}): readonly Vec2[] => tidy(footprint.map(({ x, y }) => [x, y] as const));
