import type { Rect, Vec2 } from "../geometry";
import { columnName } from "../print";
import type { Shot } from "../scene";
import type { DeskDrawing } from "./desk";
import { lettering } from "./lettering";
import { rectLines } from "./shapes";
import { STYLES } from "./style";

/** A panel has so many squares across where a shot does not say. */
const SQUARES = 8;

/** How many squares the enlargement grid of a shot has across its panel. */
export const squaresOf = ({ squares }: Pick<Shot, "squares">): number => squares ?? SQUARES;

/** Letters stand so far from the grid, as a share of their height. */
const OFF = 0.6;

/**
 * A grid of squares over a rectangle from its top left corner, the last row and column as far as they go, with letters
 * along its top and numbers down its left: the same square is copied from the one to the other at any size.
 * @param across how many squares it is wide
 * @param letter height of letters, mm
 */
export function enlargementGrid(rect: Rect, across: number, letter: number): Float64Array {
  const side = rect.width / across;
  const down = Math.ceil(rect.height / side - 1e-9);
  const [right, bottom] = [rect.x + rect.width, rect.y + rect.height];
  const inner = (count: number) => Array.from({ length: count - 1 }, (_, i) => (i + 1) * side);
  const at = (column: number, row: number): Vec2 => [rect.x + column * side, rect.y + row * side];
  // The last row may be lower than a square.
  const middle = (row: number) => (at(0, row)[1] + Math.min(at(0, row + 1)[1], bottom)) / 2;
  return Float64Array.from([
    ...rectLines(rect),
    ...inner(across).flatMap((s) => [rect.x + s, rect.y, rect.x + s, bottom]),
    ...inner(down).flatMap((s) => [rect.x, rect.y + s, right, rect.y + s]),
    ...Array.from({ length: across }, (_, column) =>
      lettering(columnName(column), [at(column + 0.5, 0)[0], rect.y - OFF * letter], letter, "middle"),
    ).flat(),
    ...Array.from({ length: down }, (_, row) =>
      lettering(String(row + 1), [rect.x - OFF * letter, middle(row) + letter / 2], letter, "end"),
    ).flat(),
  ]);
}

/** Letters on the large grid are so high as a share of a square, and no higher than this, mm. */
const [SHARE, HIGHEST] = [0.12, 20] as const;

/** The grid of a shot's panel alone, so many times as large, for the paper or the wall that it is drawn on again. */
export function drawEnlarged(shot: Shot, times: number): DeskDrawing {
  const rect = { x: 0, y: 0, width: times * shot.frame.width, height: times * shot.frame.height };
  const letter = Math.min(HIGHEST, (SHARE * rect.width) / squaresOf(shot));
  const room = 2 * letter;
  return {
    box: { x: -room, y: -room, width: rect.width + 2 * room, height: rect.height + 2 * room },
    layers: [
      {
        ...{ id: "enlarging", label: "Enlargement grid", style: STYLES.enlarging },
        lines: enlargementGrid(rect, squaresOf(shot), letter),
      },
    ],
  };
}
