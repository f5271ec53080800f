/** A stretch of a parameter, start before end. */
export type Interval = readonly [start: number, end: number];

/** The intervals joined where they overlap or touch, in order. */
export function union(intervals: readonly Interval[]): Interval[] {
  const joined: [number, number][] = [];
  for (const [start, end] of [...intervals].sort((a, b) => a[0] - b[0])) {
    const last = joined.at(-1);
    if (last && start <= last[1]) last[1] = Math.max(last[1], end);
    else joined.push([start, end]);
  }
  return joined;
}

/** What joined, ordered intervals leave free of [0, 1]; slivers shorter than `least` are dropped. */
export function gaps(joined: readonly Interval[], least: number): Interval[] {
  const free: Interval[] = [];
  let from = 0;
  for (const [start, end] of joined) {
    if (start - from > least) free.push([from, start]);
    from = Math.max(from, end);
  }
  if (1 - from > least) free.push([from, 1]);
  return free;
}
