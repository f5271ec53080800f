const time = (job: () => void): number => {
  const start = performance.now();
  job();
  return performance.now() - start;
};
const middle = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];

/**
 * The median time in ms of each of several jobs, taken in turn so that a slow moment of the machine meets all of
 * them.
 */
export function medians(jobs: readonly (() => void)[], runs = 15): number[] {
  for (let warm = 0; warm < 4; warm++) for (const job of jobs) job();
  const times: number[][] = jobs.map(() => []);
  for (let run = 0; run < runs; run++) jobs.forEach((job, i) => times[i].push(time(job)));
  return times.map(middle);
}

export const row = (what: string, measured: string, target: string): void => {
  console.log(`${what.padEnd(58)} ${measured.padEnd(46)} ${target}`);
};

/** Evenly spread numbers in [0, 1) from a seed: mulberry32 (public domain, from memory). */
export function seeded(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
