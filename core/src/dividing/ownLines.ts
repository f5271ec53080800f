import { distance2, type Vec2 } from "../geometry";
import type { DividedQuad, OwnLine, School, SheetLine, WorldLine } from "../lines";
import { orNothing } from "../problem";
import type { View } from "../shot";
import type { Pin } from "../vanishing";
import { divideQuad, type Divided, type Stretch } from "./quad";
import { partsOf } from "../rhythm";
import { byDiagonals, byMarks, type Constructed } from "./schools";
import { sharesOf } from "../rhythm";
import { evenError, spacedTowards } from "./spacing";

type Of<L extends OwnLine, K extends OwnLine["kind"]> = Extract<L, { readonly kind: K }>;
type SheetSpacing = Of<SheetLine, "spacing">;
type WorldSpacing = Of<WorldLine, "spacing">;

/** Where the parts of a spacing begin and end. */
export interface Spaced {
  readonly shares: readonly number[];
  /** Mm on the sheet, or m on the plane. */
  readonly places: readonly Vec2[];
}

const evenly = ([ax, ay]: Vec2, [bx, by]: Vec2, shares: readonly number[]): Vec2[] =>
  shares.map((share) => [ax + share * (bx - ax), ay + share * (by - ay)]);

/**
 * Steps along a line of a plane: in true measure, m.
 * @throws BadInput for parts that cannot be read; NoAnswer where there is no room for the first
 */
export function spacedOnPlane({ from, to, parts, fit, length }: WorldSpacing): Spaced {
  const shares = sharesOf(partsOf(parts), fit, length ?? distance2(from, to));
  return { shares, places: evenly(from, to, shares) };
}

/**
 * Steps along a line of a sheet, towards the pin that it runs to; evenly where it runs to none.
 * @throws BadInput for parts that cannot be read; NoAnswer where the pin lies between its ends, or there is no room
 */
export function spacedOnSheet(
  view: View,
  pins: readonly Pin[],
  { from, to, parts, fit, length, towards }: SheetSpacing,
): Spaced {
  const shares = sharesOf(partsOf(parts), fit, length);
  const pin = pins.find(({ id }) => id === towards);
  const places = pin ? spacedTowards(view, [from, to], pin.direction, shares) : evenly(from, to, shares);
  return { shares, places };
}

/** How far even spacing on paper would have been off at the worst place, mm; 0 where the ends are not all there is. */
export const evenlyOff = ({ places, shares }: Spaced): number => (places.length > 2 ? evenError(places, shares) : 0);

/** A quadrilateral of a sheet or a photo as it is divided. @throws BadInput, NoAnswer */
export const dividedOwn = ({ corners, columns, rows, before, after }: DividedQuad): Divided =>
  divideQuad(corners, {
    columns: partsOf(columns, "columns"),
    rows: rows === undefined ? undefined : partsOf(rows, "rows"),
    before,
    after,
  });

/**
 * How the columns of a quadrilateral are drawn by hand; nothing where they are worked out.
 * @throws BadInput, NoAnswer: crossing diagonals give equal parts only
 */
export function constructedOwn({ corners, columns, school }: DividedQuad): Constructed | null {
  const parts = partsOf(columns, "columns");
  const by: Readonly<Record<School, () => Constructed | null>> = {
    arithmetic: () => null,
    marks: () => byMarks(corners, sharesOf(parts)),
    diagonals: () => byDiagonals(corners, parts),
  };
  return by[school ?? "arithmetic"]();
}

/** The lines that a divided quadrilateral is drawn with. */
export interface QuadLines {
  readonly outline: readonly Vec2[];
  /** Columns and rows; none where it cannot be divided. */
  readonly divisions: readonly Stretch[];
  /** The light lines by which it is divided by hand; none where it is worked out. */
  readonly light: readonly (readonly Vec2[])[];
}

/** A quadrilateral of a sheet or a photo as it is drawn, as far as it can be divided. */
export const linesOfQuad = (quad: DividedQuad): QuadLines => ({
  outline: [...quad.corners, quad.corners[0]],
  divisions: orNothing(() => {
    const { columns, rows } = dividedOwn(quad);
    return [...columns, ...rows];
  }),
  light: orNothing(() => constructedOwn(quad)?.drawn.flatMap(({ lines }) => [...lines]) ?? []),
});
