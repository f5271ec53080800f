import { dice, type Vec2 } from "../geometry";
import type { Building, Row } from "./schemas";

/** What a row is built by where nothing else is said: a quarter's plain houses (common practice). */
export const DEFAULT_ROW: Omit<Row, "id" | "name" | "from" | "to" | "seed"> = {
  fronts: { least: 6, most: 12 }, depth: 11, storeys: { least: 2, most: 5 }, storey: 3, alleys: 15, roofs: ["gable", "gable", "flat", "hip", "mansard"],
};

/** An alley is so wide, m. */
const ALLEY = 2.5;
/** A row never holds more houses than this. */
const MOST = 2000;

/** The line that a row stands on: its way and the way into its lots, both of length 1, and how long it is. */
function lineOf({ from, to }: Row) {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / length, dy / length];
  return { length, at: (s: number, t: number): Vec2 => [from.x + s * ux + t * uy, from.y + s * uy - t * ux], along: ({ x, y }: { readonly x: number; readonly y: number }) => (x - from.x) * ux + (y - from.y) * uy };
}

/** The free stretches of a row between what is kept of it. */
function free(length: number, taken: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const out: (readonly [number, number])[] = [];
  let at = 0;
  for (const [from, to] of [...taken].sort((a, b) => a[0] - b[0])) {
    if (from > at) out.push([at, from]);
    at = Math.max(at, to);
  }
  if (at < length) out.push([at, length]);
  return out;
}

/**
 * The houses of a row, from its seed: fronts along its line, wall to wall but for alleys, around those that are kept.
 * @param kept houses of the row that stay as they are
 * @param id a fresh name for each house
 */
export function fillRow(row: Row, kept: readonly Building[], id: (at: number) => string): Building[] {
  const { fronts, depth, storeys, storey, alleys, roofs } = row;
  const roll = dice(row.seed);
  const between = (least: number, most: number) => least + (roll(1001) / 1000) * (most - least);
  const { length, at, along } = lineOf(row);
  const [least, most] = [Math.min(fronts.least, fronts.most), Math.max(fronts.least, fronts.most)];
  const taken = kept.map(({ footprint }) => {
    const places = footprint.map(along);
    return [Math.min(...places), Math.max(...places)] as const;
  });
  const houses: Building[] = [];
  for (const [start, end] of free(length, taken)) {
    for (let s = start; end - s >= least && houses.length < MOST;) {
      // The last front takes what is left, rather than leaving a gap too narrow for a house.
      const rest = end - s;
      const width = rest < least + most ? Math.min(rest, most) : between(least, most);
      const floors = Math.min(storeys.least, storeys.most) + roll(Math.abs(storeys.most - storeys.least) + 1);
      const deep = depth * between(0.9, 1);
      const kind = roofs[roll(roofs.length)];
      const corners = [at(s, 0), at(s + width, 0), at(s + width, deep), at(s, deep)];
      houses.push({
        id: id(houses.length), kind: "building", name: `${row.name}, house ${houses.length + 1}`.slice(0, 200), row: row.id,
        footprint: corners.map(([x, y]) => ({ x, y })), base: 0, height: floors * storey, storeys: floors,
        roof: kind === "flat" ? { kind, rise: 0.8 } : { kind, rise: Math.min(width, deep) * between(0.25, 0.4) },
      });
      s += width + (roll(100) < alleys ? ALLEY : 0);
    }
  }
  return houses;
}
