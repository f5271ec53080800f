import Flatbush from "flatbush";
import { chordsOf, type Layer } from "../drawing";
import { distance2, fromStretch, type Vec2 } from "../geometry";

/** What an end of a line can be drawn to. */
export type SnapKind = "corner" | "crossing" | "line";

export interface Snap {
  readonly at: Vec2;
  readonly kind: SnapKind;
  /** What it is a place of: the label of the layer. */
  readonly of: string;
}

interface Chord {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly of: string;
}

/** Lines that are looked at around one place at the most. */
const MAX_NEAR = 60;

/** Finds what is drawn near a place. */
export interface SnapIndex {
  /** The corner, crossing or line nearest to a place within a reach, mm, in that order of preference; or null. */
  readonly at: (place: Vec2, reach: number) => Snap | null;
  /** Where a line from one place towards another is crossed by what is drawn, nearest to the other, within a reach. */
  readonly across: (from: Vec2, to: Vec2, reach: number) => Snap | null;
  /** All lines that a box around two places touches. */
  readonly near: (from: Vec2, to: Vec2, reach: number) => readonly (readonly [Vec2, Vec2])[];
}

/** Where two stretches cross, or null. */
export function crossingOf([a, b]: readonly [Vec2, Vec2], [c, d]: readonly [Vec2, Vec2]): Vec2 | null {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const turn = ux * vy - uy * vx;
  if (Math.abs(turn) < 1e-9 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) return null;
  const s = ((c[0] - a[0]) * vy - (c[1] - a[1]) * vx) / turn;
  const t = ((c[0] - a[0]) * uy - (c[1] - a[1]) * ux) / turn;
  return s >= -1e-9 && s <= 1 + 1e-9 && t >= -1e-9 && t <= 1 + 1e-9 ? [a[0] + s * ux, a[1] + s * uy] : null;
}

/** The foot of a place on a stretch. */
function footOf([a, b]: readonly [Vec2, Vec2], [x, y]: Vec2): Vec2 {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const t = Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1)));
  return [a[0] + t * dx, a[1] + t * dy];
}

const nearest = <T extends { readonly at: Vec2 }>(found: readonly T[], place: Vec2): T | null =>
  found.reduce<T | null>(
    (best, one) => (!best || distance2(one.at, place) < distance2(best.at, place) ? one : best),
    null,
  );

/** An index of all that is drawn on some layers, by which ends of lines are drawn to it. */
export function snapIndexOf(layers: readonly Layer[]): SnapIndex {
  const chords = layers.flatMap((layer): Chord[] => {
    const lines = chordsOf(layer);
    return Array.from({ length: lines.length / 4 }, (_, i) => ({
      a: [lines[4 * i], lines[4 * i + 1]],
      b: [lines[4 * i + 2], lines[4 * i + 3]],
      of: layer.label,
    }));
  });
  const index = chords.length > 0 ? new Flatbush(chords.length) : null;
  for (const { a, b } of chords)
    index?.add(Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1]));
  index?.finish();
  const inBox = ([ax, ay]: Vec2, [bx, by]: Vec2, pad: number): Chord[] =>
    index
      ? index
          .search(Math.min(ax, bx) - pad, Math.min(ay, by) - pad, Math.max(ax, bx) + pad, Math.max(ay, by) + pad)
          .map((n) => chords[n])
      : [];
  const at = (place: Vec2, reach: number): Snap | null => {
    const near = inBox(place, place, reach)
      .filter(({ a, b }) => fromStretch(place, a, b) <= reach)
      .slice(0, MAX_NEAR);
    const ends = near.flatMap<Snap>(({ a, b, of }) => [a, b].map((end) => ({ at: end, kind: "corner", of })));
    const crossings = near.flatMap<Snap>(({ a, b, of }, i) =>
      near.slice(i + 1).flatMap((other) => {
        const cross = crossingOf([a, b], [other.a, other.b]);
        return cross ? [{ at: cross, kind: "crossing", of }] : [];
      }),
    );
    const feet = near.map(({ a, b, of }): Snap => ({ at: footOf([a, b], place), kind: "line", of }));
    for (const found of [ends, crossings, feet]) {
      const best = nearest(found, place);
      if (best && distance2(best.at, place) <= reach) return best;
    }
    return null;
  };
  const across = (from: Vec2, to: Vec2, reach: number): Snap | null => {
    const long = distance2(from, to);
    if (long < 1e-9) return null;
    const k = (long + reach) / long;
    const beyond: Vec2 = [from[0] + k * (to[0] - from[0]), from[1] + k * (to[1] - from[1])];
    const found = inBox(to, to, reach)
      .slice(0, MAX_NEAR)
      .flatMap(({ a, b, of }): Snap[] => {
        const cross = crossingOf([from, beyond], [a, b]);
        return cross && distance2(cross, to) <= reach ? [{ at: cross, kind: "crossing", of }] : [];
      });
    return nearest(found, to);
  };
  return { at, across, near: (from, to, reach) => inBox(from, to, reach).map(({ a, b }) => [a, b] as const) };
}
