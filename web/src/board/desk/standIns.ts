import type { Vec2 } from "@zanvo/core/geometry";
import type { Size } from "../../canvas/camera";

/** How near to the window's edge the handle of a thing outside it waits, px. */
export const INSET = 14;
/** The height of a handle with its words, and the width of a letter of them, px. */
const ROW = 24;
const LETTER = 6.8;
const PADDING = 10;

/** Something that lies outside the window: where, in window px, and the words beside what stands in for it. */
export interface Away {
  readonly id: string;
  readonly at: Vec2;
  readonly text: string;
}

/** Where a stand-in waits, window px, and on which side of it its words are. */
export interface StandIn {
  readonly at: Vec2;
  readonly words: "left" | "right";
}

const clamped = ([x, y]: Vec2, { width, height }: Size): Vec2 => [
  Math.min(Math.max(x, INSET), width - INSET),
  Math.min(Math.max(y, INSET), height - INSET),
];

/** Whether a place lies so far outside the window that a stand-in waits for it. */
export const isAway = (at: Vec2, size: Size): boolean => {
  const [x, y] = clamped(at, size);
  return Math.hypot(at[0] - x, at[1] - y) > 1;
};

/** The place of a stand-in as far as nothing is in its way. */
export function standInAt(at: Vec2, size: Size, letters = 0): StandIn {
  const place = clamped(at, size);
  return { at: place, words: place[0] + wide(letters) > size.width ? "left" : "right" };
}

const wide = (letters: number): number => letters * LETTER + PADDING + ROW / 2;

interface Box {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

function boxOf({ at: [x, y], words }: StandIn, letters: number): Box {
  const far = wide(letters);
  const [before, after] = words === "left" ? [far, ROW / 2] : [ROW / 2, far];
  return { x0: x - before, x1: x + after, y0: y - ROW / 2, y1: y + ROW / 2 };
}

const overlap = (a: Box, b: Box): boolean => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1;

/** Ways to step aside, in rows: to one side and the other, ever farther. */
const STEPS = [0, ...Array.from({ length: 20 }, (_, i) => [i + 1, -i - 1]).flat()];

/**
 * Where the handles of what lies outside the window wait at its edge, none covering another or its words: what would
 * steps a row up or down, staying in the window.
 */
export function standIns(away: readonly Away[], size: Size): ReadonlyMap<string, StandIn> {
  const placed: Box[] = [];
  return new Map(
    away.map(({ id, at, text }) => {
      const wanted = standInAt(at, size, text.length);
      const rows = STEPS.map((step): StandIn => ({ ...wanted, at: [wanted.at[0], wanted.at[1] + step * ROW] }));
      const free = rows.find(({ at: [x, y], words }) => {
        const box = boxOf({ at: [x, y], words }, text.length);
        return y >= INSET && y <= size.height - INSET && !placed.some((other) => overlap(box, other));
      });
      const stand = free ?? wanted;
      placed.push(boxOf(stand, text.length));
      return [id, stand];
    }),
  );
}
