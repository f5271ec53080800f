import type { Vec2 } from "../geometry";
import { ringCount, type Areas } from "./layer";

/**
 * Areas hatched by straight lines at an angle, whose ends lie on their edges, by the even-odd rule: x1 y1 x2 y2 of
 * each, mm. Lines of all areas lie on one grid, so that neighbours go on into each other.
 * @param angle of the lines, degrees counter-clockwise from level
 * @param spacing from line to line, mm
 */
export function hatchLines(areas: Areas, angle: number, spacing: number): Float64Array {
  const turn = (-angle * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  // Into axes in which the lines are level.
  const level = (k: number): Vec2 => [
    c * areas.xy[2 * k] + s * areas.xy[2 * k + 1],
    c * areas.xy[2 * k + 1] - s * areas.xy[2 * k],
  ];
  const crossed = new Map<number, number[]>();
  for (let i = 0; i < ringCount(areas); i++) {
    const [from, to] = [areas.starts[i], areas.starts[i + 1]];
    for (let k = from; k < to; k++) {
      const [[x1, y1], [x2, y2]] = [level(k), level(k + 1 < to ? k + 1 : from)];
      if (y1 === y2) continue;
      const [low, high] = [Math.min(y1, y2), Math.max(y1, y2)];
      // Upper ends count to a line and lower ones do not, so that corners count once.
      for (let n = Math.floor(low / spacing) + 1; n <= Math.floor(high / spacing); n++) {
        const at = x1 + ((n * spacing - y1) / (y2 - y1)) * (x2 - x1);
        const before = crossed.get(n);
        if (before) before.push(at);
        else crossed.set(n, [at]);
      }
    }
  }
  const out: number[] = [];
  for (const [n, places] of crossed) {
    places.sort((a, b) => a - b);
    const y = n * spacing;
    for (let i = 0; i + 1 < places.length; i += 2)
      for (const x of [places[i], places[i + 1]]) out.push(c * x - s * y, s * x + c * y);
  }
  return Float64Array.from(out);
}
