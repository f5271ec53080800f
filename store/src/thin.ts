const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** Up to which age one version is kept in every stretch of how long, in ms. */
type Rules = readonly (readonly [age: number, every: number])[];

/**
 * Rules from the most generous one on: all are kept for an hour, then one in ten minutes for a day, one a day for a
 * month, one a month for ever. Where that comes to more than the budget, it begins to thin earlier.
 */
const LADDER: readonly Rules[] = [0, MINUTE, 5 * MINUTE, 15 * MINUTE, HOUR].map((first) => [
  [5 * MINUTE, first / 5],
  [HOUR, first],
  [DAY, Math.max(first, 10 * MINUTE)],
  [30 * DAY, DAY],
  [Infinity, 30 * DAY],
]);

/** What the versions of one scene may take, stored, in bytes; what the last rules keep stays, whatever it takes. */
const BUDGET = 64 * 2 ** 20;

interface Version {
  /** When it was saved, ms. */
  readonly savedAt: number;
  /** Its stored size. */
  readonly bytes: number;
}

/** Which versions some rules keep: of each stretch the newest, and the newest of all always. */
function kept<T extends Version>(versions: readonly T[], now: number, rules: Rules): ReadonlySet<T> {
  const taken = new Set<string>();
  return new Set(
    versions.filter(({ savedAt }, i) => {
      const [, every] = rules.find(([age]) => now - savedAt <= age)!;
      if (every === 0) return true;
      const stretch = `${every} ${Math.floor(savedAt / every)}`;
      const repeated = taken.has(stretch);
      taken.add(stretch);
      return !repeated || i === 0;
    }),
  );
}

/**
 * Which versions may go.
 * @param versions newest first
 * @param budget what the remaining ones may take in bytes, before they are thinned earlier
 */
export function toThin<T extends Version>(versions: readonly T[], now: number, budget = BUDGET): T[] {
  const steps = LADDER.map((rules) => kept(versions, now, rules));
  const fits = (stay: ReadonlySet<T>) => [...stay].reduce((sum, { bytes }) => sum + bytes, 0) <= budget;
  const stay = steps.find(fits) ?? steps[steps.length - 1];
  return versions.filter((version) => !stay.has(version));
}
