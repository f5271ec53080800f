const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** Up to which age one version is kept in every stretch of how long, in ms. */
const RULES: readonly (readonly [age: number, every: number])[] = [
  [HOUR, 0],
  [DAY, 10 * MINUTE],
  [30 * DAY, DAY],
  [Infinity, 30 * DAY],
];

/**
 * Which versions may go: all are kept for an hour, then one in ten minutes for a day, one a day for a month, one a month
 * for ever. Of each stretch the newest stays, and the newest of all always does.
 * @param versions newest first, `savedAt` in ms
 */
export function toThin<T extends { readonly savedAt: number }>(versions: readonly T[], now: number): T[] {
  const taken = new Set<string>();
  return versions.filter(({ savedAt }, i) => {
    const [, every] = RULES.find(([age]) => now - savedAt <= age)!;
    if (every === 0) return false;
    const stretch = `${every} ${Math.floor(savedAt / every)}`;
    const repeated = taken.has(stretch);
    taken.add(stretch);
    return repeated && i > 0;
  });
}
