import type { Vec2 } from "../geometry";
import { tidy } from "./polygon";

type Ring = readonly { readonly x: number; readonly y: number }[];

/** The corners of each courtyard, counter-clockwise, as it is built around. */
export const yardsOf = ({ courtyards = [] }: { readonly courtyards?: readonly Ring[] }): readonly (readonly Vec2[])[] =>
  courtyards.map((footprint) => cornersOf({ footprint }));

/** The corners of a footprint, counter-clockwise, as it is built on. */
export const cornersOf = ({ footprint }: { readonly footprint: Ring }): readonly Vec2[] =>
  tidy(footprint.map(({ x, y }) => [x, y] as const));
