import type { Interval, Vec2 } from "../geometry";
import { clearBeside } from "./bends";
import type { Detail, DetailItem, DetailKind } from "./details";
import { beside, placeAlong } from "./path";

/** No way has more marks in one row than this. */
export const MAX_MARKS = 4000;

/** A way that is marked along its path. */
export interface Marked {
  readonly path: readonly Vec2[];
  readonly length: number;
  /** Whether it bends so sharply that lines beside it cross themselves. */
  readonly tangled: boolean;
}

/** Lines on the level ground, as they are added. */
export function marker(): { readonly details: Detail[]; readonly add: Mark } {
  const details: Detail[] = [];
  const add: Mark = (kind, a, b, item) => {
    if (a && b) details.push({ kind, a: [...a, 0], b: [...b, 0], item });
  };
  return { details, add };
}

/** Adds a line; none where one of its ends is none. */
export type Mark = (kind: DetailKind, a: Vec2 | null, b: Vec2 | null, item?: DetailItem) => void;

/** A line beside the middle of a way, m to its right. */
export function line({ tangled, path }: Marked, add: Mark, kind: DetailKind, by: number): void {
  for (const part of tangled ? clearBeside(path, by) : [beside(path, by)])
    part.slice(1).forEach((p, i) => add(kind, part[i], p));
}

/** A rectangle on a way, so many m along it and aside. @param index its place in a row of its like */
export function rectangle(
  { path }: Marked,
  add: Mark,
  kind: DetailKind,
  [from, to]: Interval,
  [left, right]: Interval,
  index = 0,
): void {
  const item = { index };
  const corners = [
    [from, left],
    [to, left],
    [to, right],
    [from, right],
  ].map(([s, aside]) => placeAlong(path, s, aside));
  corners.forEach((p, i) => add(kind, p, corners[(i + 1) % 4], item));
}
