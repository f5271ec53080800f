import { distance2, fromStretch, type Vec2 } from "../geometry";
import { crossingOf } from "./snap";

type Ends = readonly [Vec2, Vec2];

/** A line as it is drawn, from place to place: of two where it is straight, of more where a lens bends it. */
type Drawn = readonly Vec2[];

/** Crossings nearer to an end of a line than this (share of a chord) are the end itself. */
const AT_END = 1e-6;

const between = (a: Vec2, b: Vec2, t: number): Vec2 => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];

/** The place at a parameter of a drawn line: its whole part counts chords. */
function at(drawn: Drawn, t: number): Vec2 {
  const i = Math.min(drawn.length - 2, Math.max(0, Math.floor(t)));
  return between(drawn[i], drawn[i + 1], t - i);
}

/** The share of a chord at the foot of a place on it. */
function shareAt([a, b]: Ends, [x, y]: Vec2): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  return ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1);
}

const chordsOf = (drawn: Drawn): Ends[] => drawn.slice(1).map((b, i) => [drawn[i], b]);

/** Where others cross a drawn line, by its parameter. */
const crossed = (drawn: Drawn, others: readonly Ends[]): number[] =>
  chordsOf(drawn).flatMap((chord, i) =>
    others.flatMap((other) => {
      const cross = crossingOf(chord, other);
      return cross ? [i + shareAt(chord, cross)] : [];
    }),
  );

/** The parameter of the place of a drawn line that is nearest to another. */
function nearest(drawn: Drawn, place: Vec2): number {
  const chords = chordsOf(drawn);
  const off = chords.map(([a, b]) => fromStretch(place, a, b));
  const i = off.indexOf(Math.min(...off));
  return i + Math.min(1, Math.max(0, shareAt(chords[i], place)));
}

/**
 * What is left of a drawn line once the part of it at a place is cut out between the nearest lines that cross it, by
 * the ends of each part.
 * @returns null where none crosses it
 */
export function trimmed(drawn: Drawn, others: readonly Ends[], place: Vec2): Ends[] | null {
  const end = drawn.length - 1;
  const cuts = crossed(drawn, others).filter((t) => t > AT_END && t < end - AT_END);
  if (cuts.length === 0) return null;
  const t = nearest(drawn, place);
  const before = Math.max(0, ...cuts.filter((cut) => cut <= t));
  const after = Math.min(end, ...cuts.filter((cut) => cut > t));
  return [
    ...(before > 0 ? [[drawn[0], at(drawn, before)] as const] : []),
    ...(after < end ? [[at(drawn, after), drawn[end]] as const] : []),
  ];
}

/**
 * The place where a line that goes on meets the next one before it.
 * @param onward the line as it goes on, from its end
 * @returns null where there is none
 */
export function metBy(onward: Drawn, others: readonly Ends[]): Vec2 | null {
  const next = crossed(onward, others).filter((t) => t > AT_END);
  return next.length > 0 ? at(onward, Math.min(...next)) : null;
}

/** Whether a stretch lies on a drawn line, within some mm: what is drawn there may be the line itself. */
export const liesOn = (drawn: Drawn, [p, q]: Ends, within: number): boolean =>
  [p, q].every((end) => chordsOf(drawn).some(([a, b]) => fromStretch(end, a, b) < within)) || distance2(p, q) === 0;
