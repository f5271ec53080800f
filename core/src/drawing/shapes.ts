import { clipToRect, corners, type Rect, type Vec2 } from "../geometry";

/** The sides of a closed polygon: x1 y1 x2 y2 of each. */
export const ringLines = (ring: readonly Vec2[]): number[] =>
  ring.flatMap((at, i) => [...at, ...ring[(i + 1) % ring.length]]);

/** The sides of an upright rectangle: x1 y1 x2 y2 of each. */
export const rectLines = (rect: Rect): number[] => ringLines(corners(rect));

/** Straight lines, x1 y1 x2 y2 of each, as far as they lie in a rectangle. */
export function clippedLines(lines: ArrayLike<number>, within: Rect): number[] {
  const kept: number[] = [];
  for (let i = 0; i < lines.length; i += 4) {
    const [at, along]: [Vec2, Vec2] = [
      [lines[i], lines[i + 1]],
      [lines[i + 2] - lines[i], lines[i + 3] - lines[i + 1]],
    ];
    const range = clipToRect(at, along, within, [0, 1]);
    if (range) for (const t of range) kept.push(at[0] + t * along[0], at[1] + t * along[1]);
  }
  return kept;
}
