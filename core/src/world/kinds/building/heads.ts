import { distance2, type Vec2 } from "../../../geometry";
import type { Head } from "./frontSchema";

/** The rectangle around an opening: m along the wall, and up. */
export interface Extent {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
}

/** An arch is drawn in so many straight pieces; a round window, in twice as many. */
const PIECES = 12;
/** Nearer than this two corners are one, m. */
const SAME = 1e-9;
/** The rise of a segmental arch, a sixth of its span, and that of a basket arch, a third (common practice). */
const [SEGMENTAL, BASKET] = [1 / 6, 1 / 3] as const;

const arc = (centre: Vec2, radius: number, from: number, to: number, pieces: number, tall = 1): Vec2[] =>
  Array.from({ length: pieces + 1 }, (_, i): Vec2 => {
    const turn = from + (i / pieces) * (to - from);
    return [centre[0] + radius * Math.cos(turn), centre[1] + tall * radius * Math.sin(turn)];
  });

/** How far the head of an opening rises over where it springs, m: no more than the opening is high. */
export function riseOf(head: Head, { from, to, low, high }: Extent): number {
  const span = to - from;
  const free: Readonly<Record<Head, number>> = {
    flat: 0,
    segmental: SEGMENTAL * span,
    round: span / 2,
    basket: BASKET * span,
    // An equilateral arch: each side is struck from the foot of the other.
    pointed: (Math.sqrt(3) / 2) * span,
    circle: 0,
  };
  return Math.min(free[head], high - low);
}

/**
 * An arch of three centres over a half span, each struck over 60 degrees. The outer ones, whose radius is r, lie at its
 * springing; the middle one lies under it where the arcs meet with one tangent. Half span a and rise b give
 * r = (b - (2 - sqrt 3) a) / (sqrt 3 - 1), by plain trigonometry. A lower one is that of a third of the span,
 * flattened.
 */
function basket([x, y]: Vec2, half: number, rise: number): Vec2[] {
  const usual = 2 * BASKET * half;
  const r = (usual - (2 - Math.sqrt(3)) * half) / (Math.sqrt(3) - 1);
  const off = half - r;
  const sixty = Math.PI / 3;
  const pieces = PIECES / 3;
  const right = arc([x + off, 0], r, 0, sixty, pieces);
  const top = arc([x, -Math.sqrt(3) * off], r + 2 * off, sixty, 2 * sixty, pieces);
  const left = arc([x - off, 0], r, 2 * sixty, Math.PI, pieces);
  return [...right, ...top.slice(1), ...left.slice(1)].map(([s, up]): Vec2 => [s, y + (up * rise) / usual]);
}

/** The head of an opening from its right springing to its left one; both ends included. */
export function headOf(head: Head, extent: Extent): Vec2[] {
  const { from, to, high } = extent;
  const [half, middle] = [(to - from) / 2, (from + to) / 2];
  const rise = riseOf(head, extent);
  const springs = high - rise;
  if (head === "round") return arc([middle, springs], half, 0, Math.PI, PIECES, rise / half);
  if (head === "segmental" && rise > 0) {
    const radius = (half * half + rise * rise) / (2 * rise);
    const open = Math.asin(Math.min(1, half / radius));
    return arc([middle, high - radius], radius, Math.PI / 2 - open, Math.PI / 2 + open, PIECES);
  }
  if (head === "basket" && rise > 0) return basket([middle, springs], half, rise);
  if (head === "pointed") {
    const tall = rise / (Math.sqrt(3) * half);
    const right = arc([from, springs], 2 * half, 0, Math.PI / 3, PIECES / 2, tall);
    const left = right.map(([s, up]): Vec2 => [2 * middle - s, up]).reverse();
    return [...right, ...left.slice(1)];
  }
  return [
    [to, high],
    [from, high],
  ];
}

/** The outline of an opening, counter-clockwise as it is seen from outside; that of a round window is a circle. */
export function outlineOfOpening(head: Head, extent: Extent): readonly Vec2[] {
  const { from, to, low, high } = extent;
  if (head !== "circle") {
    const ring: readonly Vec2[] = [[from, low], [to, low], ...headOf(head, extent)];
    return ring.filter((at, i) => distance2(at, ring[(i + 1) % ring.length]) > SAME);
  }
  const radius = Math.min(to - from, high - low) / 2;
  return arc([(from + to) / 2, (low + high) / 2], radius, -Math.PI / 2, 1.5 * Math.PI, 2 * PIECES).slice(1);
}

/** Corners whose sides turn by more than this are seen as corners, radians. */
const CORNER = 0.35;

/** The corners of a convex outline at which it turns sharply. */
export const cornersIn = (outline: readonly Vec2[]): readonly Vec2[] =>
  outline.filter((at, i) => {
    const [before, after] = [outline.at(i - 1)!, outline[(i + 1) % outline.length]];
    const [a, b] = [Math.atan2(at[1] - before[1], at[0] - before[0]), Math.atan2(after[1] - at[1], after[0] - at[0])];
    return Math.abs(Math.atan2(Math.sin(b - a), Math.cos(b - a))) > CORNER;
  });
