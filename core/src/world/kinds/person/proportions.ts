/** Grown people are so many heads high: seven to eight (common practice). */
export const GROWN_HEADS = 7.5;
/** Eyes lie so far under the crown of a grown person, m (common practice). */
export const EYES_UNDER = 0.11;

/** Heights of children by their age in years, m (mean of both sexes, growth charts, from memory), and their heads. */
const GROWTH = [
  [1, 0.75, 4],
  [3, 0.95, 5],
  [6, 1.16, 5.75],
  [10, 1.38, 6.5],
  [13, 1.56, 7],
  [17, 1.7, GROWN_HEADS],
] as const;

/** A column of that table at an age, between its rows in proportion. */
function grown(age: number, column: 1 | 2): number {
  const next = GROWTH.findIndex(([years]) => years >= age);
  if (next < 0) return GROWTH[GROWTH.length - 1][column];
  if (next === 0) return GROWTH[0][column];
  const [before, after] = [GROWTH[next - 1], GROWTH[next]];
  const share = (age - before[0]) / (after[0] - before[0]);
  return before[column] + share * (after[column] - before[column]);
}

/** How many heads a figure is high; grown where no age is said. */
export const headsAt = (age?: number): number => (age === undefined ? GROWN_HEADS : grown(age, 2));

/** How high a child of an age is in the mean, m. */
export const heightAt = (age: number): number => grown(age, 1);
