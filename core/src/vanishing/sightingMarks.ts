import { degrees, radians, type Vec2 } from "../geometry";
import type { Sightings } from "../scene";
import { partWidths, sightedSides } from "./sightings";

export type SightedSide = "left" | "right";
export type SightedEdge = "upper" | "lower";

/** A sighted edge as it is drawn: from the near corner on, at its tilt towards the eye's level. */
export interface SightLine {
  readonly side: SightedSide;
  readonly edge: SightedEdge;
  readonly tilt: number;
  readonly from: Vec2;
  /** A place on it by which it is turned, like the tip of a clock's hand, mm. */
  readonly tip: Vec2;
  /** Where it meets the eye's level; null for one that runs level. */
  readonly meets: Vec2 | null;
  /** The tilt that the upper edge asks for, where a lower one contradicts it, degrees. */
  readonly asked: number | null;
}

/** A pencil with two marks: from the left end of what is seen to the right one, past the near corner. */
export interface Pencil {
  readonly left: Vec2;
  readonly corner: Vec2;
  readonly right: Vec2;
}

/** How long the hand of a tilt is drawn, and how far the pencil lies under the corner's foot, mm. */
const HAND = 55;
const UNDER = 12;
/** An edge tilts less than upright, degrees. */
const STEEPEST = 89;
/** A part of what is seen is at least so wide, mm. */
const LEAST_PART = 0.5;

const outward = (side: SightedSide): number => (side === "left" ? -1 : 1);
const startOf = (s: Sightings, edge: SightedEdge): Vec2 => [s.x, edge === "upper" ? s.top : s.bottom];

/** What the lower edges of a side should tilt by, where they contradict the upper one by more than so much, degrees. */
function askedBy(s: Sightings, side: SightedSide, horizonY: number, tolerance: number): number | null {
  const told = sightedSides(s, horizonY).find((one) => one.side === side);
  if (!told || told.disagreement <= tolerance) return null;
  return degrees(Math.atan2(Math.abs(s.bottom - horizonY), Math.abs(told.each[0] - s.x)));
}

/** A place so far along an edge that starts at the near corner and tilts towards the eye's level. */
export function alongEdge(from: Vec2, side: SightedSide, tilt: number, horizonY: number, length: number): Vec2 {
  const towards = Math.sign(horizonY - from[1]) || 1;
  const a = radians(tilt);
  return [from[0] + outward(side) * length * Math.cos(a), from[1] + towards * length * Math.sin(a)];
}

/**
 * The sighted edges as they are drawn on the sheet.
 * @param horizonY the height of the eye's level, mm
 * @param tolerance what a tilt may be off, degrees, before it contradicts another
 */
export function sightLines(s: Sightings, horizonY: number, tolerance: number): SightLine[] {
  return (["left", "right"] as const).flatMap((side) =>
    (["upper", "lower"] as const).flatMap((edge): SightLine[] => {
      const tilt = s[side][edge];
      if (tilt === undefined) return [];
      const from = startOf(s, edge);
      const away = Math.abs(from[1] - horizonY) / Math.tan(radians(tilt));
      return [
        {
          side,
          edge,
          tilt,
          from,
          tip: alongEdge(from, side, tilt, horizonY, HAND),
          meets: tilt > 0 && Number.isFinite(away) ? [from[0] + outward(side) * away, horizonY] : null,
          asked: edge === "lower" ? askedBy(s, side, horizonY, tolerance) : null,
        },
      ];
    }),
  );
}

/** Sightings with the hand of an edge turned so that it points to a place. */
export function tiltedTo(
  s: Sightings,
  side: SightedSide,
  edge: SightedEdge,
  horizonY: number,
  [px, py]: Vec2,
): Sightings {
  const [x, y] = startOf(s, edge);
  const towards = Math.sign(horizonY - y) || 1;
  const [across, along] = [Math.max(0, outward(side) * (px - x)), Math.max(0, towards * (py - y))];
  const tilt = Math.min(STEEPEST, across + along > 0 ? degrees(Math.atan2(along, across)) : 0);
  return { ...s, [side]: { ...s[side], [edge]: tilt } };
}

/** The pencil that compares the parts, a little under the corner's foot; null where they are not compared. */
export function pencilOf(s: Sightings): Pencil | null {
  const wide = partWidths(s);
  if (!wide) return null;
  const y = s.bottom + UNDER;
  return { left: [s.x - wide.left, y], corner: [s.x, y], right: [s.x + wide.right, y] };
}

/** Sightings with one of the pencil's outer marks moved to a place; the other part stays as wide as it was. */
export function pencilledTo(s: Sightings, side: SightedSide, x: number): Sightings {
  const wide = partWidths(s);
  if (!wide) return s;
  const part = Math.max(LEAST_PART, outward(side) * (x - s.x));
  const [left, right] = side === "left" ? [part, wide.right] : [wide.left, part];
  return { ...s, parts: { heightToWidth: Math.abs(s.bottom - s.top) / (left + right), leftToRight: left / right } };
}
