import { clipToRect, corners, distance2, radians, type Rect, type Vec2 } from "../geometry";
import { DEFAULT_LINE_SPACING, type LineSpacing } from "../scene";
import type { VanishingPoint } from "../vanishing";
import { edgeRays, turnBetween, turnedRays, type Rays } from "./rays";
import { halvings } from "./thinning";

/** Lines are thinned by halves at most this often on the way to the pin. */
const HALVINGS = 4;

/** How a loose bundle is spread, and the room it leaves. */
export interface Spread {
  /** mm between lines at the panel's far corner (even in angle), or along its far side (even at the edge). */
  readonly spacing: number;
  readonly even?: "angle" | "edge";
}

/**
 * A loose bundle: lines that all run to one vanishing point, clipped to the panel, evenly turned or evenly spaced at
 * the panel's edge. Towards the pin every second line ends wherever neighbours would come nearer than the least gap,
 * then every second of the rest, and all end short of the pin. The line through `through` (the horizon, for level sets)
 * is always one of them.
 * @returns x1 y1 x2 y2 of each line, in sheet mm
 */
export function bundle(
  point: VanishingPoint,
  frame: Rect,
  spread: Spread,
  through: Vec2,
  room: LineSpacing = DEFAULT_LINE_SPACING,
): Float64Array {
  return point.at
    ? fan(point.at, raysOf(point.at, frame, spread, through), frame, room)
    : parallels(point.angle ?? 0, frame, spread.spacing, through);
}

function raysOf(pin: Vec2, frame: Rect, { spacing, even }: Spread, through: Vec2): Rays {
  const whole = 2 ** HALVINGS;
  if (even === "edge") return edgeRays(pin, frame, spacing, through, whole);
  const far = Math.max(...corners(frame).map((corner) => distance2(pin, corner)));
  return turnedRays(pin, frame, whole * Math.ceil((2 * Math.PI * far) / spacing / whole), through);
}

/** How far from its pin a bundle is thinned, in mm: within, its closest lines would come nearer than the least gap. */
export function thinnedWithin(pin: Vec2, frame: Rect, spread: Spread, { gap }: LineSpacing): number {
  const rays = raysOf(pin, frame, spread, [frame.x + frame.width / 2, pin[1]]);
  let closest = Infinity;
  for (let k = rays.from; k < rays.to; k++) closest = Math.min(closest, turnBetween(rays, k, k + 1));
  return gap / closest;
}

function fan(pin: Vec2, rays: Rays, frame: Rect, { gap, clear }: LineSpacing): Float64Array {
  const lines: number[] = [];
  for (let k = rays.from; k <= rays.to; k++) {
    const whole = 2 ** halvings(k, HALVINGS);
    const least = Math.min(turnBetween(rays, k, k + whole), turnBetween(rays, k, k - whole));
    const angle = rays.angle(k);
    const way: Vec2 = [Math.cos(angle), Math.sin(angle)];
    const range = clipToRect(pin, way, frame, [Math.max(clear, gap / least), Infinity]);
    // From the outer end inwards, so that the dashes of neighbours do not line up in rings around the pin.
    if (range) for (const t of range.reverse()) lines.push(pin[0] + t * way[0], pin[1] + t * way[1]);
  }
  return Float64Array.from(lines);
}

function parallels(angle: number, frame: Rect, spacing: number, through: Vec2): Float64Array {
  const a = radians(angle);
  const way: Vec2 = [Math.abs(angle - 90) < 1e-9 ? 0 : Math.cos(a), Math.sin(a)];
  const across: Vec2 = [-way[1], way[0]];
  const offsets = corners(frame).map(
    ([x, y]) => ((x - through[0]) * across[0] + (y - through[1]) * across[1]) / spacing,
  );
  const lines: number[] = [];
  for (let k = Math.ceil(Math.min(...offsets)); k <= Math.max(...offsets); k++) {
    const p: Vec2 = [through[0] + k * spacing * across[0], through[1] + k * spacing * across[1]];
    const range = clipToRect(p, way, frame);
    if (range) for (const t of range) lines.push(p[0] + t * way[0], p[1] + t * way[1]);
  }
  return Float64Array.from(lines);
}
