import { distance2, type Vec2 } from "../geometry";
import { crossingOf } from "./snap";

type Ends = readonly [Vec2, Vec2];

/** Crossings nearer to an end of a line than this (share of it) are the end itself. */
const AT_END = 1e-6;

const at = ([a, b]: Ends, t: number): Vec2 => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];

/** The share of a line at the foot of a place on it; beyond its ends below 0 or above 1. */
function shareAt([a, b]: Ends, [x, y]: Vec2): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  return ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1);
}

/** Where others cross a stretch, as shares of a line that it is part of. */
const crossed = (line: Ends, stretch: Ends, others: readonly Ends[]): number[] =>
  others.flatMap((other) => {
    const cross = crossingOf(stretch, other);
    return cross ? [shareAt(line, cross)] : [];
  });

/**
 * What is left of a line once the part of it at a place is cut out between the nearest lines that cross it.
 * @returns null where none crosses it
 */
export function trimmed(line: Ends, others: readonly Ends[], place: Vec2): Ends[] | null {
  const cuts = crossed(line, line, others).filter((t) => t > AT_END && t < 1 - AT_END);
  if (cuts.length === 0) return null;
  const t = shareAt(line, place);
  const before = Math.max(0, ...cuts.filter((cut) => cut <= t));
  const after = Math.min(1, ...cuts.filter((cut) => cut > t));
  return [
    ...(before > 0 ? [[line[0], at(line, before)] as const] : []),
    ...(after < 1 ? [[at(line, after), line[1]] as const] : []),
  ];
}

/**
 * A line whose end nearest to a place goes on to the next line before it.
 * @param most it goes on no farther than this, mm
 * @returns null where there is none
 */
export function extended(line: Ends, others: readonly Ends[], place: Vec2, most: number): Ends | null {
  const first = distance2(place, line[0]) < distance2(place, line[1]);
  const [from, end] = first ? [line[1], line[0]] : line;
  const long = distance2(from, end);
  if (long < 1e-9) return null;
  const onward: Ends = [from, at([from, end], 1 + most / long)];
  const next = crossed([from, end], onward, others).filter((t) => t > 1 + AT_END);
  if (next.length === 0) return null;
  const to = at([from, end], Math.min(...next));
  return first ? [to, line[1]] : [line[0], to];
}
