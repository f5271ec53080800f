import { projectMany, type View } from "../shot";

/** Things that are drawn whole or not at all. */
export interface DrawnItems {
  /** Ax ay az bx by bz of every line (m), item after item. */
  readonly ends: Float64Array;
  /** Where the lines of each item begin, counted in lines, and at last where the last one ends. */
  readonly starts: Uint32Array;
  /** The item without which each is not drawn either; -1 for those that stand by themselves. */
  readonly needs: Int32Array;
  /** How often the place of each in a row of its like can be halved. */
  readonly rank: Uint8Array;
  /** 1 for those whose own lines may lie nearer to each other than the gap, such as letters, else 0. */
  readonly dense: Uint8Array;
}

/** What is dense is drawn where its longest line is so many gaps long: smaller, it would be a blot. */
const LEGIBLE = 4;

/** Cells of a sheet are numbered in columns of so many. */
const CELLS = 4_194_304;

/** Lines that are kept, to be found by where their middles lie; the last ones can be taken back. */
class Kept {
  /** The line that was added last in a cell; each line knows the one before it there. */
  private readonly heads = new Map<number, number>();
  private readonly before: number[] = [];
  private readonly cells: number[] = [];
  private readonly places: number[] = [];

  constructor(private readonly gap: number) {}

  get count(): number {
    return this.before.length;
  }

  private cellOf(lines: Float64Array, o: number): number {
    const column = Math.floor((lines[o] + lines[o + 2]) / 2 / this.gap);
    return column * CELLS + Math.floor((lines[o + 1] + lines[o + 3]) / 2 / this.gap);
  }

  add(lines: Float64Array, o: number): void {
    const cell = this.cellOf(lines, o);
    this.before.push(this.heads.get(cell) ?? -1);
    this.heads.set(cell, this.cells.push(cell) - 1);
    this.places.push(lines[o], lines[o + 1], lines[o + 2], lines[o + 3]);
  }

  /** Takes all lines back but the first so many. */
  takeBack(count: number): void {
    while (this.cells.length > count) {
      const [cell, before] = [this.cells.pop()!, this.before.pop()!];
      if (before < 0) this.heads.delete(cell);
      else this.heads.set(cell, before);
    }
    this.places.length = 4 * count;
  }

  /** Whether a line is drawn nearer than the gap, at both its ends and its middle, to one that is kept. */
  crowds(lines: Float64Array, o: number): boolean {
    const cell = this.cellOf(lines, o);
    for (let n = -1; n <= 1; n++)
      for (let m = -1; m <= 1; m++)
        for (let k = this.heads.get(cell + n * CELLS + m) ?? -1; k >= 0; k = this.before[k])
          if (this.isNear(lines, o, 4 * k)) return true;
    return false;
  }

  /** Whether a line's ends are nearer than the gap to those of one that is kept, whichever way each runs. */
  private isNear(lines: Float64Array, o: number, k: number): boolean {
    const { places, gap } = this;
    const near = (i: number, j: number) => Math.hypot(lines[i] - places[j], lines[i + 1] - places[j + 1]) < gap;
    return (near(o, k) && near(o + 2, k + 2)) || (near(o, k + 2) && near(o + 2, k));
  }
}

/**
 * What is drawn on surfaces, thinned: each thing with all of its lines or with none. None has a line nearer than a gap,
 * mm, to one of another that is kept, or, but where it is dense, to another of its own. Of a row, the first, then every
 * half of what is left between has its turn, so that an even share is kept: every second, fourth ... Far away, where
 * they would clot, fewer are left, and none that is smaller than the gap. Those that need another have their turn after
 * all that do not.
 * @param wanted whether an item is to be drawn at all
 * @returns 1 for each item that is kept, else 0
 */
export function thinned(view: View, items: DrawnItems, gap: number, wanted: (item: number) => boolean): Uint8Array {
  const { ends, starts, rank, needs, dense } = items;
  const lines = projectMany(view, ends);
  const kept = new Kept(gap);
  const longestOf = (own: Float64Array): number => {
    let longest = 0;
    for (let o = 0; o < own.length; o += 4)
      longest = Math.max(longest, Math.hypot(own[o + 2] - own[o], own[o + 3] - own[o + 1]));
    return longest;
  };
  const fits = (item: number): boolean => {
    const own = lines.subarray(4 * starts[item], 4 * starts[item + 1]);
    // What is seen in part only is near, or at the panel's edge.
    if (own.some(Number.isNaN)) return true;
    const before = kept.count;
    const isDense = dense[item] === 1;
    if (isDense && longestOf(own) < LEGIBLE * gap) return false;
    for (let o = 0; o < own.length; o += 4) {
      const long = Math.hypot(own[o + 2] - own[o], own[o + 3] - own[o + 1]);
      if (long < gap) continue;
      if (!isDense && kept.crowds(own, o)) {
        kept.takeBack(before);
        return false;
      }
      kept.add(own, o);
    }
    return longestOf(own) >= gap;
  };
  const later = (item: number) => (needs[item] < 0 ? 0 : 1);
  const turns = Uint32Array.from(rank.keys()).sort((i, k) => later(i) - later(k) || rank[k] - rank[i] || i - k);
  const drawn = new Uint8Array(rank.length);
  for (const item of turns) if (wanted(item) && (needs[item] < 0 || drawn[needs[item]]) && fits(item)) drawn[item] = 1;
  return drawn;
}
