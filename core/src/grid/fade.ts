import { dot, type Vec3 } from "../geometry";
import { unproject, type View } from "../shot";
import type { MeasuredLines } from "./measured";

/** Strength of each step of a fading grid, from the eye on. */
export const FADES = [1, 0.72, 0.46, 0.22] as const;

/**
 * A plane's lines cut where the plane is a quarter, a half, three quarters and all of `reach` metres before the eye,
 * one group for each step; what lies farther is left out. The inverse of the depth changes evenly along a drawn line,
 * which is what makes the cuts exact (straight lens).
 */
export function fadeSteps(
  view: View,
  { normal, offset }: { readonly normal: Vec3; readonly offset: number },
  { lines, numbers }: MeasuredLines,
  reach: number,
): MeasuredLines[] {
  const room = offset - dot(normal, view.eye);
  const nearness = (x: number, y: number): number => {
    const ray = unproject(view, [x, y]);
    return dot(normal, ray) / (room * dot(ray, view.forward));
  };
  const steps = FADES.map((): { lines: number[]; numbers: number[] } => ({ lines: [], numbers: [] }));
  for (let i = 0; i < numbers.length; i++) {
    const [x1, y1, x2, y2] = lines.subarray(4 * i, 4 * i + 4);
    const [near1, near2] = [nearness(x1, y1), nearness(x2, y2)];
    steps.forEach((step, s) => {
      const nearest = s === 0 ? Infinity : FADES.length / (reach * s);
      const range = within(near1, near2, FADES.length / (reach * (s + 1)), nearest);
      if (!range) return;
      step.lines.push(...range.flatMap((t) => [x1 + t * (x2 - x1), y1 + t * (y2 - y1)]));
      step.numbers.push(numbers[i]);
    });
  }
  return steps.map((step) => ({ lines: Float64Array.from(step.lines), numbers: Int32Array.from(step.numbers) }));
}

/** The part of [0, 1] over which a value that runs evenly from a to b lies between two limits, or null. */
function within(a: number, b: number, least: number, most: number): [number, number] | null {
  const at = (value: number) => (value - a) / (b - a);
  if (Math.abs(b - a) < 1e-15) return a >= least && a <= most ? [0, 1] : null;
  const [from, to] =
    b > a ? [at(least), most === Infinity ? 1 : at(most)] : [most === Infinity ? 0 : at(most), at(least)];
  const [t0, t1] = [Math.max(0, from), Math.min(1, to)];
  return t0 < t1 ? [t0, t1] : null;
}
