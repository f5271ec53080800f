import { radians, type Vec2 } from "../geometry";
import type { OwnLine } from "./schema";

/** A whole circle is drawn by so many chords: of 200 mm radius they are 0.03 mm off it at the most. */
const CHORDS = 180;

/** Lines from place to place, in the units of the line: mm on a sheet, m on a plane. */
export type Run = readonly Vec2[];

function circleRun({ centre: [cx, cy], radius, arc }: Extract<OwnLine, { kind: "circle" }>): Run {
  const { from, over } = arc ?? { from: 0, over: 360 };
  const chords = Math.max(2, Math.ceil((CHORDS * Math.abs(over)) / 360));
  return Array.from({ length: chords + 1 }, (_, i): Vec2 => {
    const at = radians(from + (over * i) / chords);
    return [cx + radius * Math.cos(at), cy + radius * Math.sin(at)];
  });
}

/** The places of a stroke's samples. */
export const placesOf = (samples: readonly number[]): Vec2[] =>
  Array.from({ length: Math.floor(samples.length / 3) }, (_, i) => [samples[3 * i], samples[3 * i + 1]]);

/** An own line as runs from place to place; of what is divided, its own edges. */
export function runsOf(line: OwnLine): Run[] {
  switch (line.kind) {
    case "ruled":
    case "spacing":
      return [[line.from, line.to]];
    case "polyline":
      return [line.closed ? [...line.points, line.points[0]] : line.points];
    case "circle":
      return [circleRun(line)];
    case "stroke":
      return [placesOf(line.samples)];
    case "quad":
      return [[...line.corners, line.corners[0]]];
  }
}
