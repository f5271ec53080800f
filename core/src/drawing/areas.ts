import { chordsOf, ringCount, type Areas, type Shapes } from "./layer";

/** How far apart the spans of an area are taken, mm: far less than any printed tile is wide. */
const STEP = 10;

/** Level spans across areas, every few mm: x1 y1 x2 y2 of each, by the even-odd rule. */
function spans(areas: Areas): number[] {
  const sides: (readonly [number, number, number, number])[] = [];
  for (let i = 0; i < ringCount(areas); i++) {
    const [from, to] = [areas.starts[i], areas.starts[i + 1]];
    for (let k = from; k < to; k++) {
      const next = k + 1 < to ? k + 1 : from;
      sides.push([areas.xy[2 * k], areas.xy[2 * k + 1], areas.xy[2 * next], areas.xy[2 * next + 1]]);
    }
  }
  const levels = sides.flatMap(([, y1, , y2]) => [y1, y2]);
  const found: number[] = [];
  for (let y = Math.min(...levels) + 1e-6; y < Math.max(...levels); y += STEP) {
    const crossed = sides
      .filter(([, y1, , y2]) => y1 > y !== y2 > y)
      .map(([x1, y1, x2, y2]) => x1 + ((y - y1) / (y2 - y1)) * (x2 - x1))
      .sort((a, b) => a - b);
    for (let n = 0; n + 1 < crossed.length; n += 2) found.push(crossed[n], y, crossed[n + 1], y);
  }
  return found;
}

/** Straight lines, x1 y1 x2 y2 of each in sheet mm, that pass wherever a layer leaves ink: what a blank tile lacks. */
export const inkOf = ({ areas, ...lines }: Shapes): Float64Array =>
  areas ? Float64Array.from([...chordsOf(lines), ...spans(areas)]) : chordsOf(lines);
