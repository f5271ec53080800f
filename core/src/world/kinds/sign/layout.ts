import { headingDirection, type Vec2, type Vec3 } from "../../../geometry";
import { contoursOf, isOutline, UNIT } from "../../../glyphs";
import type { Sign } from "./schema";

/** Stacked letters stand so far apart, as parts of a capital's height. */
const PITCH = 1.3;

/** A letter as it stands on its sign: m to the right of its middle as one reads it, and up from its lower edge. */
export interface SetLetter {
  readonly contours: readonly (readonly Vec2[])[];
  /** The box around it. */
  readonly low: Vec2;
  readonly high: Vec2;
  /** Its base line, m up. */
  readonly base: number;
}

/** The height of the letters of a sign in all, m. */
const heightOf = ({ letters, capital, stacked }: Sign): number =>
  stacked ? capital * (1 + PITCH * Math.max(0, letters.length - 1)) : capital;

const boxOf = (contours: readonly (readonly Vec2[])[]): readonly [Vec2, Vec2] => {
  const all = contours.flat();
  const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
  return [
    [Math.min(...xs), Math.min(...ys)],
    [Math.max(...xs), Math.max(...ys)],
  ];
};

/** The letters of a sign as one reads them. */
export function setLetters(sign: Sign): readonly SetLetter[] {
  const { letters, line, capital, board, stacked, mirrored } = sign;
  const size = capital / UNIT;
  const high = heightOf(sign);
  const foot = board ? (board.height - high) / 2 : 0;
  return letters.flatMap((outline, i): SetLetter[] => {
    const drawn = isOutline(outline) ? contoursOf(outline) : [];
    if (drawn.length === 0) return [];
    const [[left], [right]] = boxOf(drawn);
    const middle = stacked ? (left + right) / 2 : line / 2;
    const base = foot + (stacked ? high - capital * (1 + PITCH * i) : 0);
    const turn = mirrored ? -1 : 1;
    const contours = drawn.map((ring) => {
      const placed = ring.map(([x, y]): Vec2 => [turn * size * (x - middle), base + size * y]);
      return mirrored ? placed.reverse() : placed;
    });
    const [low, top] = boxOf(contours);
    return [{ contours, low, high: top, base }];
  });
}

/** The rectangle that a sign fills on its wall: m to the right of its middle, and up from its lower edge. */
export function extentOf(sign: Sign): { readonly from: Vec2; readonly to: Vec2 } {
  const { board, capital } = sign;
  const letters = setLetters(sign);
  const [xs, ys] = [0, 1].map((k) => letters.flatMap(({ low, high }) => [low[k], high[k]]));
  const half = board ? board.width / 2 : capital / 2;
  return {
    from: [Math.min(-half, ...xs), Math.min(0, ...ys)],
    to: [Math.max(half, ...xs), Math.max(board?.height ?? capital, ...ys)],
  };
}

/** How deep a sign is from its back to the front of its letters, and of its board, m. */
export function depthsOf({ board, raised, both }: Sign): {
  readonly board: number;
  readonly out: number;
  readonly back: number;
} {
  const deep = board?.depth ?? 0;
  return { board: deep, out: deep + (raised ?? PAINT), back: both && board && raised ? raised : 0 };
}

/** Paint lies so far before what it is on, m. */
export const PAINT = 0.002;

/** Where a place of a sign is in the world: m to the right of its middle, up from its foot, and out from its back. */
export function placesOn({ at, heading }: Pick<Sign, "at" | "heading">): (place: Vec3) => Vec3 {
  const [out, right] = [headingDirection(heading), headingDirection(heading - 90)];
  return ([x, y, z]) => [at.x + x * right[0] + z * out[0], at.y + x * right[1] + z * out[1], at.z + y];
}
