/**
 * Evenly spread whole numbers below n from a seed: a linear congruential generator (Numerical Recipes, 1992 (from
 * memory)).
 */
export function seededRandom(seed: number): (n: number) => number {
  let state = seed >>> 0;
  return (n) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 4294967296) * n);
  };
}
