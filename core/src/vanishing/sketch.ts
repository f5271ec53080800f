import { distance2, middle, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Orientation, Shot, Sketch } from "../scene";
import { nearestAcute, solvePins, viewOf } from "../shot";
import { turned } from "./drag";
import { footOn, horizon } from "./horizon";
import { pinsOf } from "./pins";

const pair = ({ x, y }: { readonly x: number; readonly y: number }): Vec2 => [x, y];
const place = ([x, y]: Vec2) => ({ x, y });

/** The points of an orientation as they stand now, to be laid over those of a sketch. Null where one has none. */
export function sketchFrom(orientation: Orientation, shot: Shot): Sketch | null {
  const [left, right, third] = pinsOf([orientation], shot).map((pin) => pin.point.at);
  return left && right ? { left: place(left), right: place(right), ...(third ? { third: place(third) } : {}) } : null;
}

/** How far the right point of a sketch lies below the level of the left one, in mm, across the roll of its shot. */
export function offLevel({ left, right }: Sketch, shot: Shot): number {
  const line = horizon(viewOf(shot));
  const [a, b] = line ? [line.a, line.b] : [0, 1];
  const down = b < 0 || (b === 0 && a < 0) ? -1 : 1;
  return down * (a * (right.x - left.x) + b * (right.y - left.y));
}

/** The sketch with both points brought to the level midway between them, each by the shortest way. */
export function levelledSketch(sketch: Sketch, shot: Shot): Sketch {
  const { left, right } = sketch;
  const line = horizon(viewOf(shot)) ?? { a: 0, b: 1, c: 0 };
  const at = { x: (left.x + right.x) / 2, y: (left.y + right.y) / 2 };
  const level = { ...line, c: -line.a * at.x - line.b * at.y };
  return { ...sketch, left: place(footOn(level, pair(left))), right: place(footOn(level, pair(right))) };
}

/**
 * The nearest third point that makes the three of a sketch the points of right angles; none while the first two are
 * one.
 */
export const nearestThird = ({ left, right, third }: Sketch): Vec2 | null =>
  third && distance2(pair(left), pair(right)) > 2 ? nearestAcute(pair(left), pair(right), pair(third)) : null;

/** Whether the three points of a sketch can be those of right angles, or why not. */
export function impossible({ left, right, third }: Sketch): string | null {
  if (!third) return null;
  try {
    solvePins([pair(left), pair(right), pair(third)]);
    return null;
  } catch (wrong) {
    if (wrong instanceof NoAnswer) return wrong.message;
    throw wrong;
  }
}

/**
 * The shot seen as a sketch has its points: its left point that of the orientation's left set. With two points the
 * centre of vision is taken level with them, before the panel's middle where that lies between them, else midway.
 * @throws NoAnswer when no eye sees such points at right angles, with the reason
 */
export function viewOfSketch(orientation: Orientation, shot: Shot, { left, right, third }: Sketch): Shot {
  const [l, r] = [pair(left), pair(right)];
  if (third) return turned(shot, orientation, solvePins([l, r, pair(third)]));
  const [dx, dy] = [r[0] - l[0], r[1] - l[1]];
  const [mx, my] = middle(shot.frame);
  const t = ((mx - l[0]) * dx + (my - l[1]) * dy) / (dx * dx + dy * dy);
  const k = t > 0.02 && t < 0.98 ? t : 0.5;
  return turned(shot, orientation, solvePins([l, r], [l[0] + k * dx, l[1] + k * dy]));
}
