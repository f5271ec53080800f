import Flatbush from "flatbush";
import { fromStretch, type Vec2 } from "../geometry";
import type { Ring } from "./regions";

/** Sides nearer to each other than this lie on one another, mm. */
const NEAR = 0.01;
/** Areas touch where they share a side for at least so long, mm. */
const SHARED = 0.05;

interface Side {
  readonly of: number;
  readonly a: Vec2;
  readonly b: Vec2;
}

/** How much of one side lies along another, mm. */
function sharedLength({ a, b }: Side, { a: c, b: d }: Side): number {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (long === 0) return 0;
  const along = (p: Vec2) => ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / long;
  const [s, t] = [along(c), along(d)];
  const [from, to] = [Math.max(0, Math.min(s, t)), Math.min(long, Math.max(s, t))];
  if (to - from < SHARED) return 0;
  // Where both overlap, the ends of the overlap lie on both.
  const place = (k: number): Vec2 => [a[0] + (k / long) * (b[0] - a[0]), a[1] + (k / long) * (b[1] - a[1])];
  return [from, to].every((k) => fromStretch(place(k), c, d) < NEAR) ? to - from : 0;
}

/** Which areas touch each other along a side, by number. @param areas the rings of each, mm */
export function neighbours(areas: readonly (readonly Ring[])[]): readonly ReadonlySet<number>[] {
  const sides = areas.flatMap((rings, of) =>
    rings.flatMap((ring) => ring.map((a, i): Side => ({ of, a, b: ring[(i + 1) % ring.length] }))),
  );
  const beside = areas.map(() => new Set<number>());
  if (sides.length === 0) return beside;
  const box = ({ a, b }: Side) =>
    [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1])] as const;
  const index = new Flatbush(sides.length);
  for (const side of sides) index.add(...box(side));
  index.finish();
  sides.forEach((side, n) => {
    const [x0, y0, x1, y1] = box(side);
    for (const m of index.search(x0 - NEAR, y0 - NEAR, x1 + NEAR, y1 + NEAR)) {
      const other = sides[m];
      if (m <= n || other.of === side.of || beside[side.of].has(other.of)) continue;
      if (sharedLength(side, other) === 0) continue;
      beside[side.of].add(other.of);
      beside[other.of].add(side.of);
    }
  });
  return beside;
}

/**
 * A tint for each area, by number from 0, so that none has that of one that it touches: the one with the fewest others
 * is set aside again and again, and they are given the first free tint in the opposite order (Matula and Beck, 1983
 * (from memory)); areas of one piece each need no more than six.
 */
export function tintsOf(beside: readonly ReadonlySet<number>[]): readonly number[] {
  const left = beside.map((others) => others.size);
  const open = new Set(beside.keys());
  const byCount: Set<number>[] = [];
  const at = (count: number) => (byCount[count] ??= new Set());
  left.forEach((count, area) => at(count).add(area));
  const order: number[] = [];
  for (let count = 0; order.length < beside.length;) {
    const [area] = byCount[count] ?? [];
    if (area === undefined) {
      count++;
      continue;
    }
    byCount[count].delete(area);
    open.delete(area);
    order.push(area);
    for (const other of beside[area])
      if (open.has(other)) {
        at(left[other]).delete(other);
        at(--left[other]).add(other);
      }
    count = Math.max(0, count - 1);
  }
  const tints = new Map<number, number>();
  for (const area of order.reverse()) {
    const taken = new Set([...beside[area]].map((other) => tints.get(other)));
    let tint = 0;
    while (taken.has(tint)) tint++;
    tints.set(area, tint);
  }
  return beside.map((_, area) => tints.get(area)!);
}
