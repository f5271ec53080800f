import type { Curves } from "../shot";

/** How far a cubic may be off the vertices it passes over, mm: well inside what a chord may. */
const FIT = 0.01;
/** A cubic passes over at most this many steps. */
const MOST_STEPS = 16;

/** One curve as cubics: where it starts, and two handles and an end (six numbers) for each cubic, in mm. */
export interface Cubics {
  readonly from: readonly [number, number];
  readonly parts: readonly (readonly [number, number, number, number, number, number])[];
}

/**
 * A curve as few cubics: each takes place and velocity from two of its vertices (Hermite) and passes all between them
 * within a hundredth of a mm at their own parameter.
 */
export function cubicsOf({ xy, velocity, t, starts }: Curves, i: number): Cubics {
  const [first, last] = [starts[i], starts[i + 1] - 1];
  const parts: [number, number, number, number, number, number][] = [];
  for (let a = first; a < last;) {
    let b = Math.min(last, a + MOST_STEPS);
    while (b > a + 1 && !passes(a, b)) b = a + Math.max(1, (b - a) >> 1);
    parts.push(handles(a, b));
    a = b;
  }
  return { from: [xy[2 * first], xy[2 * first + 1]], parts };

  function handles(a: number, b: number): [number, number, number, number, number, number] {
    const third = (t[b] - t[a]) / 3;
    return [
      xy[2 * a] + velocity[2 * a] * third,
      xy[2 * a + 1] + velocity[2 * a + 1] * third,
      xy[2 * b] - velocity[2 * b] * third,
      xy[2 * b + 1] - velocity[2 * b + 1] * third,
      xy[2 * b],
      xy[2 * b + 1],
    ];
  }

  function passes(a: number, b: number): boolean {
    const [x1, y1, x2, y2, x3, y3] = handles(a, b);
    for (let k = a + 1; k < b; k++) {
      const s = (t[k] - t[a]) / (t[b] - t[a]);
      const [p, q, r, w] = [(1 - s) ** 3, 3 * s * (1 - s) ** 2, 3 * s * s * (1 - s), s ** 3];
      if (
        Math.hypot(
          p * xy[2 * a] + q * x1 + r * x2 + w * x3 - xy[2 * k],
          p * xy[2 * a + 1] + q * y1 + r * y2 + w * y3 - xy[2 * k + 1],
        ) > FIT
      )
        return false;
    }
    return true;
  }
}

/** How many curves there are. */
export const curveCount = ({ starts }: Curves): number => Math.max(0, starts.length - 1);
