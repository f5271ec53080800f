import { clipToRect, contains, corners, distance2, radians, type Rect, type Vec2 } from "../geometry";
import type { VanishingPoint } from "../vanishing";
import { halvings, LEAST_GAP } from "./thinning";

/** Lines stop at least this far from their pin, in mm. */
const CLEAR = 4;
/** Lines are thinned by halves at most this often on the way to the pin. */
const HALVINGS = 4;

/**
 * A loose bundle: lines that all run to one vanishing point, evenly turned, clipped to the panel. They are `spacing` mm
 * apart or less at the panel's farthest corner. Towards the pin every second line ends wherever neighbours would come
 * nearer than `LEAST_GAP`, then every second of the rest, and all end short of the pin. The line through `through` (the
 * horizon, for level sets) is always one of them.
 * @returns x1 y1 x2 y2 of each line, in sheet mm
 */
export function bundle(point: VanishingPoint, frame: Rect, spacing: number, through: Vec2): Float64Array {
  return point.at ? fan(point.at, frame, spacing, through) : parallels(point.angle, frame, spacing, through);
}

/** How many lines a full turn about a pin has: a number that can be halved as often as lines are thinned. */
function turnCount(pin: Vec2, frame: Rect, spacing: number): number {
  const far = Math.max(...corners(frame).map((corner) => distance2(pin, corner)));
  const whole = 2 ** HALVINGS;
  return whole * Math.ceil((2 * Math.PI * far) / spacing / whole);
}

/** How far from its pin a bundle is thinned, in mm: within, its lines would come nearer than `LEAST_GAP`. */
export const thinnedWithin = (pin: Vec2, frame: Rect, spacing: number): number => (LEAST_GAP * turnCount(pin, frame, spacing)) / (2 * Math.PI);

function fan(pin: Vec2, frame: Rect, spacing: number, through: Vec2): Float64Array {
  const count = turnCount(pin, frame, spacing);
  const step = (2 * Math.PI) / count;
  const base = Math.atan2(through[1] - pin[1], through[0] - pin[0]);
  const [from, to] = span(pin, frame, base, step, count);
  const ends = Array.from({ length: HALVINGS + 1 }, (_, level) => Math.max(CLEAR, LEAST_GAP / (step * 2 ** level)));
  const lines: number[] = [];
  for (let k = from; k <= to; k++) {
    const angle = base + k * step;
    const way: Vec2 = [Math.cos(angle), Math.sin(angle)];
    const range = clipToRect(pin, way, frame, [ends[halvings(k, HALVINGS)], Infinity]);
    // From the outer end inwards, so that the dashes of neighbours do not line up in rings around the pin.
    if (range) for (const t of range.reverse()) lines.push(pin[0] + t * way[0], pin[1] + t * way[1]);
  }
  return Float64Array.from(lines);
}

/** The first and last step whose line can meet the panel: all of them from inside it. */
function span(pin: Vec2, frame: Rect, base: number, step: number, count: number): readonly [number, number] {
  if (contains(frame, pin)) return [0, count - 1];
  const to = Math.atan2(frame.y + frame.height / 2 - pin[1], frame.x + frame.width / 2 - pin[0]);
  const turns = corners(frame).map(([x, y]) => {
    const turn = Math.atan2(y - pin[1], x - pin[0]) - to;
    return Math.atan2(Math.sin(turn), Math.cos(turn));
  });
  const offset = Math.atan2(Math.sin(to - base), Math.cos(to - base));
  return [Math.ceil((offset + Math.min(...turns)) / step), Math.floor((offset + Math.max(...turns)) / step)];
}

function parallels(angle: number, frame: Rect, spacing: number, through: Vec2): Float64Array {
  const a = radians(angle);
  const way: Vec2 = [Math.abs(angle - 90) < 1e-9 ? 0 : Math.cos(a), Math.sin(a)];
  const across: Vec2 = [-way[1], way[0]];
  const offsets = corners(frame).map(([x, y]) => ((x - through[0]) * across[0] + (y - through[1]) * across[1]) / spacing);
  const lines: number[] = [];
  for (let k = Math.ceil(Math.min(...offsets)); k <= Math.max(...offsets); k++) {
    const p: Vec2 = [through[0] + k * spacing * across[0], through[1] + k * spacing * across[1]];
    const range = clipToRect(p, way, frame);
    if (range) for (const t of range) lines.push(p[0] + t * way[0], p[1] + t * way[1]);
  }
  return Float64Array.from(lines);
}
