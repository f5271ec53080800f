import { contains, corners, distance2, type Rect, type Vec2 } from "../geometry";

/** Directions about a pin, numbered evenly: line k runs at `angle(k)` radians. `from` to `to` can meet the panel. */
export interface Rays {
  readonly from: number;
  readonly to: number;
  angle(k: number): number;
}

const between = (from: number, to: number): number => Math.atan2(Math.sin(to - from), Math.cos(to - from));
const towards = ([px, py]: Vec2, [x, y]: Vec2): number => Math.atan2(y - py, x - px);

/** Evenly turned: a full turn in `count` steps, of which one goes through `through`. */
export function turnedRays(pin: Vec2, frame: Rect, count: number, through: Vec2): Rays {
  const step = (2 * Math.PI) / count;
  const base = towards(pin, through);
  const angle = (k: number) => base + k * step;
  if (contains(frame, pin)) return { from: 0, to: count - 1, angle };
  const middle = towards(pin, [frame.x + frame.width / 2, frame.y + frame.height / 2]);
  const turns = corners(frame).map((corner) => between(middle, towards(pin, corner)));
  const offset = between(base, middle);
  return {
    from: Math.ceil((offset + Math.min(...turns)) / step),
    to: Math.floor((offset + Math.max(...turns)) / step),
    angle,
  };
}

/**
 * Evenly spaced, `spacing` mm or a little less, along the panel's edge: along its far side from outside, all round
 * from inside.
 */
export const edgeRays = (pin: Vec2, frame: Rect, spacing: number, through: Vec2, whole: number): Rays =>
  contains(frame, pin) ? roundTheEdge(pin, frame, spacing, through, whole) : alongFarSide(pin, frame, spacing, through);

/** From a pin beyond one side, every line through the panel leaves it across the line of the opposite side. */
function alongFarSide([px, py]: Vec2, frame: Rect, spacing: number, [tx, ty]: Vec2): Rays {
  const beyond = (p: number, start: number, length: number) => Math.max(start - p, p - start - length);
  const sideways = beyond(px, frame.x, frame.width) >= beyond(py, frame.y, frame.height);
  // u runs across the panel, away from the pin; v along its far side.
  const [pu, pv, tu, tv] = sideways ? [px, py, tx, ty] : [py, px, ty, tx];
  const [start, length] = sideways ? [frame.x, frame.width] : [frame.y, frame.height];
  const far = pu < start ? start + length : start;
  const crossing = (u: number, v: number): number =>
    Math.abs(u - pu) < 1e-9 ? pv : pv + ((v - pv) * (far - pu)) / (u - pu);
  const base = crossing(tu, tv);
  const ends = corners(frame).map(([x, y]) => (sideways ? crossing(x, y) : crossing(y, x)));
  const angle = (k: number) => {
    const v = base + k * spacing;
    return sideways ? Math.atan2(v - pv, far - pu) : Math.atan2(far - pu, v - pv);
  };
  return {
    from: Math.ceil((Math.min(...ends) - base) / spacing),
    to: Math.floor((Math.max(...ends) - base) / spacing),
    angle,
  };
}

/** The edge walked clockwise from where the line through `through` leaves the panel, in a count that can be halved. */
function roundTheEdge(pin: Vec2, frame: Rect, spacing: number, through: Vec2, whole: number): Rays {
  const around = 2 * (frame.width + frame.height);
  const count = whole * Math.ceil(around / spacing / whole);
  const start = walked(frame, leaving(pin, towards(pin, through), frame));
  return { from: 0, to: count - 1, angle: (k) => towards(pin, onEdge(frame, start + (k * around) / count)) };
}

function leaving([px, py]: Vec2, angle: number, frame: Rect): Vec2 {
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  const t = Math.min(
    dx > 0 ? (frame.x + frame.width - px) / dx : dx < 0 ? (frame.x - px) / dx : Infinity,
    dy > 0 ? (frame.y + frame.height - py) / dy : dy < 0 ? (frame.y - py) / dy : Infinity,
  );
  return [px + t * dx, py + t * dy];
}

/** How far along the edge a place of it is, clockwise from the top left corner. */
function walked({ x, y, width, height }: Rect, [px, py]: Vec2): number {
  const sides = [
    { off: Math.abs(py - y), at: px - x },
    { off: Math.abs(px - x - width), at: width + py - y },
    { off: Math.abs(py - y - height), at: width + height + (x + width - px) },
    { off: Math.abs(px - x), at: 2 * width + height + (y + height - py) },
  ];
  return sides.reduce((best, side) => (side.off < best.off ? side : best)).at;
}

function onEdge(frame: Rect, along: number): Vec2 {
  const all = corners(frame);
  let rest = along % (2 * (frame.width + frame.height));
  for (let i = 0; ; i++) {
    const [a, b] = [all[i % 4], all[(i + 1) % 4]];
    const length = distance2(a, b);
    if (rest <= length) return [a[0] + ((b[0] - a[0]) * rest) / length, a[1] + ((b[1] - a[1]) * rest) / length];
    rest -= length;
  }
}

/** The angle between neighbours, in radians. */
export const turnBetween = (rays: Rays, k: number, next: number): number =>
  Math.abs(between(rays.angle(k), rays.angle(next)));
