import { inverse, Matrix, solve } from "ml-matrix";

/** What a fit came to. */
export interface Fit {
  readonly at: readonly number[];
  /** Sum of squares of the residuals. */
  readonly cost: number;
  /** Inverse of J^T J at the end; null where some parameter is not told by the residuals at all. */
  readonly covariance: readonly (readonly number[])[] | null;
}

/** Condition beyond which an information matrix tells nothing in some direction. */
const BLIND = 1e-13;

const square = (values: Float64Array): number => values.reduce((sum, value) => sum + value * value, 0);

/**
 * Levenberg and Marquardt's method with derivatives by central differences (Marquardt, SIAM J. Appl. Math. 11, 1963
 * (from memory)): parameters for which the sum of squares of `residuals` is least, from a start.
 * @param residuals writes all residuals for parameters into an array of fixed length
 * @param count how many residuals there are
 */
export function fit(
  residuals: (at: readonly number[], out: Float64Array) => void,
  count: number,
  start: readonly number[],
  rounds = 40,
): Fit {
  const n = start.length;
  const of = (at: readonly number[]) => {
    const out = new Float64Array(count);
    residuals(at, out);
    return out;
  };
  let at = [...start];
  let now = of(at);
  let cost = square(now);
  let damping = 1e-4;
  for (let round = 0; round < rounds; round++) {
    const { information, slope } = normal(of, at, now);
    let moved = false;
    for (let attempt = 0; attempt < 12 && !moved; attempt++) {
      const damped = information.map((row, i) =>
        row.map((value, k) => (i === k ? value * (1 + damping) + 1e-300 : value)),
      );
      const step = solve(new Matrix(damped), Matrix.columnVector(slope), true).to1DArray();
      const next = at.map((value, i) => value - step[i]);
      const trial = next.every(Number.isFinite) ? of(next) : null;
      const better = trial ? square(trial) : Infinity;
      if (trial && better <= cost) {
        const small = cost - better <= 1e-9 * cost || Math.max(...step.map(Math.abs)) < 1e-12;
        [at, now, cost, damping, moved] = [next, trial, better, damping / 6, true];
        if (small) round = rounds;
      } else damping *= 6;
    }
    if (!moved) break;
  }
  return { at, cost, covariance: inverted(normal(of, at, now).information, n) };
}

/** J^T J and J^T r, by central differences. */
function normal(
  of: (at: readonly number[]) => Float64Array,
  at: readonly number[],
  now: Float64Array,
): { readonly information: number[][]; readonly slope: number[] } {
  const step = 1e-6;
  const columns = at.map((value, k) => {
    const h = step * Math.max(1, Math.abs(value));
    const ahead = of(at.map((v, j) => (j === k ? v + h : v)));
    const behind = of(at.map((v, j) => (j === k ? v - h : v)));
    return ahead.map((v, i) => (v - behind[i]) / (2 * h));
  });
  const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, value, i) => sum + value * b[i], 0);
  return { information: columns.map((a) => columns.map((b) => dot(a, b))), slope: columns.map((a) => dot(a, now)) };
}

/** The inverse of an information matrix, scaled so that parameters of different sizes count alike. */
function inverted(information: readonly (readonly number[])[], n: number): number[][] | null {
  const scale = information.map((row, i) => Math.sqrt(row[i]));
  if (!scale.every((s) => s > 0 && Number.isFinite(s))) return null;
  const even = new Matrix(information.map((row, i) => row.map((value, k) => value / (scale[i] * scale[k]))));
  try {
    const inv = inverse(even, true);
    const worst = Math.max(...Array.from({ length: n }, (_, i) => inv.get(i, i)));
    if (!(worst > 0 && worst < 1 / BLIND)) return null;
    return information.map((row, i) => row.map((_, k) => inv.get(i, k) / (scale[i] * scale[k])));
  } catch {
    return null;
  }
}
