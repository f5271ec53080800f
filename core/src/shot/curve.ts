import { clipToRect, dot, norm, scale, sub, unit, type Vec2, type Vec3 } from "../geometry";
import { toEye, type View } from "./view";

/**
 * Curves on the sheet. Curve i has its vertices from `starts[i]` to the next start: places (x y, mm), each exactly on the
 * curve, the velocity of the curve there, and its parameter; the chords between are within the tolerance of it.
 */
export interface Curves {
  readonly xy: Float64Array;
  readonly velocity: Float64Array;
  readonly t: Float64Array;
  /** One more than there are curves: the last is the number of vertices. */
  readonly starts: Uint32Array;
}

/** How far a chord may depart from its curve on paper, mm. */
export const TOLERANCE = 0.05;
/** No arc has more vertices than this, wherever it runs: near a pole or the antipode the picture of a direction leaps. */
export const MOST_VERTICES = 4000;
/** Steps shorter than this (radians) lie on top of each other. */
const LEAST_STEP = 1e-6;
/** The longest step (radians): chords of a quarter turn say nothing about their curve. */
const LONGEST_STEP = Math.PI / 8;

/** Gathers curves. */
export class CurveBook {
  private readonly xy: number[] = [];
  private readonly velocity: number[] = [];
  private readonly t: number[] = [];
  private readonly starts: number[] = [];

  begin(): void {
    this.starts.push(this.t.length);
  }

  add(x: number, y: number, vx: number, vy: number, t: number): void {
    this.xy.push(x, y);
    this.velocity.push(vx, vy);
    this.t.push(t);
  }

  curves(): Curves {
    return {
      xy: Float64Array.from(this.xy), velocity: Float64Array.from(this.velocity), t: Float64Array.from(this.t),
      starts: Uint32Array.from([...this.starts, this.t.length]),
    };
  }
}

/** A great circle run at unit speed: directions cos t u + sin t v in eye axes, u and v at right angles. */
interface GreatCircle {
  readonly u: Vec3;
  readonly v: Vec3;
}

const direction = ({ u, v }: GreatCircle, t: number): Vec3 => {
  const [c, s] = [Math.cos(t), Math.sin(t)];
  return [c * u[0] + s * v[0], c * u[1] + s * v[1], c * u[2] + s * v[2]];
};

/** Where A cos t + B sin t = k, within (from, to). */
function crossings(a: number, b: number, k: number, from: number, to: number): number[] {
  const r = Math.hypot(a, b);
  if (r < 1e-15 || Math.abs(k) > r) return [];
  const [middle, half] = [Math.atan2(b, a), Math.acos(k / r)];
  const found: number[] = [];
  for (const at of [middle - half, middle + half]) {
    for (let t = at + 2 * Math.PI * Math.ceil((from - at) / (2 * Math.PI)); t < to; t += 2 * Math.PI) if (t > from) found.push(t);
  }
  return found;
}

/** Where a great circle leaves what the law shows, or crosses the seam behind the eye: it is cut there. */
function cuts({ law }: View, { u, v }: GreatCircle, from: number, to: number): number[] {
  const found: number[] = [];
  if (law.shape === "round") found.push(...crossings(u[2], v[2], Math.cos(law.limit), from, to));
  else {
    const [axis, across] = law.shape === "drum" ? [1, 0] : [0, 1];
    for (const side of [1, -1]) found.push(...crossings(u[axis], v[axis], side * Math.sin(law.limit), from, to));
    for (const t of crossings(u[across], v[across], 0, from, to)) if (direction({ u, v }, t)[2] < 0) found.push(t);
  }
  return found.sort((a, b) => a - b);
}

/** Pieces keep this far inside their ends (radians), so that one which begins at the seam or the limit knows its side. */
const ASIDE = 1e-9;

/**
 * Draws the stretch of a great circle from `from` to `to` (radians), cut at what the lens shows, at the seam of an
 * unrolled one, and at the panel. A chord over a step h departs from its curve by at most h^2 / 8 times the bound on the
 * second derivative, which the law gives for the farthest place of the step (no farther off than the farther end plus
 * h / 2): steps are halved until that is within the tolerance.
 */
export function drawGreatCircle(view: View, circle: GreatCircle, from: number, to: number, book: CurveBook, tolerance = TOLERANCE): void {
  const ends = [from, ...cuts(view, circle, from, to), to];
  for (let i = 0; i + 1 < ends.length; i++) {
    const [a, b] = [ends[i] + ASIDE, ends[i + 1] - ASIDE];
    if (b - a > LEAST_STEP && view.law.off(direction(circle, (a + b) / 2)) <= view.law.limit) drawPiece(view, circle, a, b, book, tolerance);
  }
}

function drawPiece(view: View, circle: GreatCircle, from: number, to: number, book: CurveBook, tolerance: number): void {
  const { law, distance, centre, frame } = view;
  const least = (8 * tolerance) / distance;
  const ts = [from];
  const stack = [to];
  let t = from;
  let offT = law.off(direction(circle, t));
  while (stack.length) {
    const next = stack[stack.length - 1];
    const h = next - t;
    const offNext = law.off(direction(circle, next));
    if (ts.length < MOST_VERTICES && h > LEAST_STEP && (h > LONGEST_STEP || h * h * law.bend(Math.max(offT, offNext) + h / 2) > least)) {
      stack.push((t + next) / 2);
    } else {
      ts.push(next);
      [t, offT] = [next, offNext];
      stack.pop();
    }
  }
  const at = (time: number): Vec2 | null => {
    const p = law.picture(direction(circle, time));
    return p && [centre[0] + distance * p[0], centre[1] - distance * p[1]];
  };
  const put = (time: number, [x, y]: Vec2) => {
    const d = direction(circle, time);
    const w = law.velocity(d, direction({ u: circle.v, v: scale(circle.u, -1) }, time));
    book.add(x, y, distance * w[0], -distance * w[1], time);
  };
  let last = at(from);
  let open = false;
  for (let i = 1; i < ts.length; i++) {
    const here = at(ts[i]);
    const range = last && here && clipToRect(last, [here[0] - last[0], here[1] - last[1]], frame, [0, 1]);
    if (range && last && here) {
      const when = (k: number) => ts[i - 1] + k * (ts[i] - ts[i - 1]);
      const exact = (k: number, end: Vec2): [number, Vec2] => (k === 0 || k === 1 ? [when(k), end] : [when(k), at(when(k)) ?? end]);
      if (!open || range[0] > 0) {
        book.begin();
        put(...exact(range[0], last));
      }
      put(...exact(range[1], here));
      open = range[1] === 1;
    } else open = false;
    last = here;
  }
}

/** The great circle from one direction towards another, and how far apart they are (radians). Null for one and its opposite. */
function between(u: Vec3, w: Vec3): { readonly circle: GreatCircle; readonly angle: number } | null {
  const across = sub(w, scale(u, dot(u, w)));
  const length = norm(across);
  return length < 1e-12 ? null : { circle: { u, v: scale(across, 1 / length) }, angle: Math.atan2(length, dot(u, w)) };
}

/** Draws the picture of a world segment. */
export function drawSegment(view: View, a: Vec3, b: Vec3, book: CurveBook, tolerance = TOLERANCE): void {
  const [pa, pb] = [toEye(view, sub(a, view.eye)), toEye(view, sub(b, view.eye))];
  if (norm(pa) < 1e-9 || norm(pb) < 1e-9) return;
  const arc = between(unit(pa), unit(pb));
  if (arc) drawGreatCircle(view, arc.circle, 0, arc.angle, book, tolerance);
}

/** Draws the picture of a level line, or of any plane through the eye with a world normal: the whole great circle. */
export function drawPlane(view: View, normal: Vec3, book: CurveBook, tolerance = TOLERANCE): void {
  const n = unit(toEye(view, normal));
  const u = unit(Math.abs(n[2]) < 0.9 ? [n[1], -n[0], 0] : [0, n[2], -n[1]]);
  const v: Vec3 = [n[1] * u[2] - n[2] * u[1], n[2] * u[0] - n[0] * u[2], n[0] * u[1] - n[1] * u[0]];
  drawGreatCircle(view, { u, v }, 0, 2 * Math.PI, book, tolerance);
}

