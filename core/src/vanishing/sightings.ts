import { radians, degrees, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Orientation, Shot, Sightings } from "../scene";
import { levelled, unprojectToGround, viewOf } from "../shot";
import { newBlock, type Block } from "../world";
import { handed } from "./pins";
import { viewOfSketch } from "./sketch";

/** An edge as it was sighted runs at this tilt or more (degrees) to meet the horizon anywhere. */
const LEAST_TILT = 0.2;
/** A tilt read off a pencil at arm's length is sure to about this, degrees (common practice). */
export const TILT_HAND = 2;

type Side = "left" | "right";

/** Where the sighted edges of one side meet the horizon: each by itself, and together, mm of the sheet. */
export interface Sighted {
  readonly side: Side;
  /** From the upper edge, and from the lower one where it was sighted. */
  readonly each: readonly number[];
  readonly x: number;
  /** How much the two tilts contradict each other, degrees at the lower edge; 0 for one alone. */
  readonly disagreement: number;
}

/**
 * The point of one side: an edge of tilt a that starts dy from the horizon meets it dy / tan a away. Two edges are
 * weighed by how sure each is: an error of the tilt moves its point by dy / sin^2 a times as much.
 * @throws NoAnswer for an edge that runs level, or a corner whose end stands on the horizon
 */
function sightedSide(side: Side, s: Sightings, horizonY: number): Sighted {
  const away = side === "left" ? -1 : 1;
  const edges = [
    [s.top, s[side].upper],
    [s.bottom, s[side].lower],
  ] as const;
  const found = edges.flatMap(([y, tilt]) => {
    if (tilt === undefined) return [];
    const dy = Math.abs(y - horizonY);
    if (Math.abs(tilt) < LEAST_TILT || dy < 0.5)
      throw new NoAnswer(
        `The ${side} side: an edge that runs level, or starts on the horizon, meets it nowhere. Sight another one.`,
      );
    const sure = Math.sin(radians(tilt)) ** 2 / dy;
    return [{ x: s.x + (away * dy) / Math.tan(radians(Math.abs(tilt))), weight: sure * sure }];
  });
  if (found.length === 0) throw new NoAnswer(`The ${side} side: sight the tilt of one edge at least.`);
  const weight = found.reduce((sum, one) => sum + one.weight, 0);
  const x = found.reduce((sum, one) => sum + one.x * one.weight, 0) / weight;
  const lower = s[side].lower;
  const disagreement =
    found.length < 2 || lower === undefined
      ? 0
      : Math.abs(degrees(Math.atan2(Math.abs(s.bottom - horizonY), Math.abs(found[0].x - s.x))) - Math.abs(lower));
  return { side, each: found.map((one) => one.x), x, disagreement };
}

/** Both points of some sightings, on the level of a shot's eye. @throws NoAnswer as one side does */
export const sightedPoints = (s: Sightings, horizonY: number): readonly [Sighted, Sighted] => [
  sightedSide("left", s, horizonY),
  sightedSide("right", s, horizonY),
];

/** The sides that have a point: each is told by itself, whatever is wrong with the other. */
export const sightedSides = (s: Sightings, horizonY: number): readonly Sighted[] =>
  (["left", "right"] as const).flatMap((side) => {
    try {
      return [sightedSide(side, s, horizonY)];
    } catch (error) {
      if (error instanceof NoAnswer) return [];
      throw error;
    }
  });

/** A wall that reaches so much of the way to its own point cannot be built. */
const NEARLY_THERE = 0.98;

/** How wide the parts to both sides of the near corner are seen, mm; null where they are not compared. */
export function partWidths({ top, bottom, parts }: Sightings): Readonly<Record<Side, number>> | null {
  if (!parts) return null;
  const width = Math.abs(bottom - top) / parts.heightToWidth;
  const share = parts.leftToRight / (1 + parts.leftToRight);
  return { left: width * share, right: width * (1 - share) };
}

/** The sides whose walls would reach their own points: there, parts and tilts contradict each other. */
export function overreaching(s: Sightings, horizonY: number): readonly Side[] {
  const wide = partWidths(s);
  if (!wide) return [];
  return sightedSides(s, horizonY)
    .filter(({ side, x }) => wide[side] >= NEARLY_THERE * Math.abs(x - s.x))
    .map(({ side }) => side);
}

/** The height of the horizon that sightings are taken against: that of the level view. */
export const sightedLevel = (shot: Shot): number => levelled(shot).lens.centre.y;

/**
 * The shot seen as it was sighted from life: level, both points where the tilted edges meet the eye's level.
 * @throws NoAnswer where the edges meet it nowhere, or no eye sees such points
 */
export function viewOfSightings(orientation: Orientation, shot: Shot, s: Sightings): Shot {
  const level = levelled(shot);
  const y = level.lens.centre.y;
  const [left, right] = sightedPoints(s, y);
  return viewOfSketch(orientation, level, { left: { x: left.x, y }, right: { x: right.x, y } });
}

/**
 * The building that was sighted, standing in the view of its sightings: its near corner's foot on the ground, its
 * height against that of the eye, and its two walls as wide as the parts were seen.
 * @throws NoAnswer where the corner's foot is not on the ground, or no parts were compared
 */
export function buildingOfSightings(
  { heading }: Pick<Orientation, "heading">,
  shot: Shot,
  s: Sightings,
): Omit<Block, "id" | "name"> {
  const view = viewOf(shot);
  const y = view.centre[1];
  if (s.bottom <= y) throw new NoAnswer("The near corner’s foot stands above the horizon: it is not on the ground.");
  const wide = partWidths(s);
  if (!wide)
    throw new NoAnswer(
      "Compare height with width and the left part with the right one first: they tell how wide the walls are.",
    );
  const hands = handed(heading, shot.gaze.heading);
  const foot = unprojectToGround(view, [s.x, s.bottom]);
  const [left, right] = sightedPoints(s, y);
  const over = overreaching(s, y);
  const length = (side: Sighted): number => {
    const far = s.x + (side.side === "left" ? -1 : 1) * wide[side.side];
    // Along the base line, which runs from the foot to the point.
    const t = (far - s.x) / (side.x - s.x);
    const end = !over.includes(side.side)
      ? unprojectToGround(view, [far, s.bottom + t * (y - s.bottom)] as Vec2)
      : null;
    if (!foot || !end)
      throw new NoAnswer(
        `The ${side.side} wall would reach its own point: the parts and the tilts contradict each other.`,
      );
    return Math.hypot(end[0] - foot[0], end[1] - foot[1]);
  };
  const [l, r] = [length(left), length(right)];
  const [fx, fy] = foot ?? [0, 0];
  return newBlock({
    origin: { x: fx, y: fy, z: 0 },
    heading: hands.left,
    length: l,
    width: r,
    height: ((s.bottom - s.top) / (s.bottom - y)) * shot.eye.z,
  });
}
