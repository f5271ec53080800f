import { dot, norm, scale, sub, unit, type Rect, type Vec2, type Vec3 } from "../geometry";
import { drawArc } from "./arc";
import type { CurveBook } from "./book";
import { crossings, direction, turned, type GreatCircle } from "./circle";
import { Pen, type Spot } from "./pen";
import { toEye, type View } from "./view";

/** How far a chord may depart from its curve on paper, mm. */
export const TOLERANCE = 0.05;
/**
 * No arc has more vertices than this, wherever it runs: near a pole or the antipode the picture of a direction leaps.
 */
export const MOST_VERTICES = 4000;
/** Stretches are halved until they are straight but for this many mm, and go on in even steps from there. */
const COARSE = 2;
/** Steps shorter than this (radians) lie on top of each other. */
const LEAST_STEP = 1e-6;
/** The longest step (radians): chords of a quarter turn say nothing about their curve. */
const LONGEST_STEP = Math.PI / 8;

/** A place of a great circle: its parameter with cosine and sine, and its picture. */
interface CircleSpot extends Spot {
  readonly cos: number;
  readonly sin: number;
}

/** Where a great circle leaves what the law shows, or crosses the seam behind the eye: it is cut there. */
function cuts({ law }: View, { u, v }: GreatCircle, from: number, to: number): number[] {
  const found: number[] = [];
  if (law.shape === "round") crossings(u[2], v[2], Math.cos(law.limit), from, to, found);
  else {
    const [axis, across] = law.shape === "drum" ? [1, 0] : [0, 1];
    for (const side of [1, -1]) crossings(u[axis], v[axis], side * Math.sin(law.limit), from, to, found);
    const ahead: number[] = [];
    crossings(u[across], v[across], 0, from, to, ahead);
    for (const t of ahead) if (direction({ u, v }, t)[2] < 0) found.push(t);
  }
  return found.sort((a, b) => a - b);
}

/**
 * Pieces keep this far inside their ends (radians), so that one which begins at the seam or the limit knows its side.
 */
const ASIDE = 1e-9;

/**
 * Draws the stretch of a great circle from `from` to `to` (radians), cut at what the lens shows, at the seam of an
 * unrolled one, and at the panel. A chord over a step h departs from its curve by at most h^2 / 8 times the bound on
 * the second derivative, which the law gives for the farthest place of the step (no farther off than the farther end
 * plus h / 2): stretches are halved until that is small or the stretch cannot touch the panel, and then divided evenly
 * so that it is within the tolerance.
 */
export function drawGreatCircle(
  view: View,
  circle: GreatCircle,
  from: number,
  to: number,
  book: CurveBook,
  tolerance = TOLERANCE,
): void {
  const ends = [from, ...cuts(view, circle, from, to), to];
  for (let i = 0; i + 1 < ends.length; i++) {
    const [a, b] = [ends[i] + ASIDE, ends[i + 1] - ASIDE];
    if (b - a <= LEAST_STEP || view.law.off(direction(circle, (a + b) / 2)) > view.law.limit) continue;
    if (view.law.id === "stereographic") drawArc(view, circle, a, b, book, tolerance, MOST_VERTICES);
    else drawPiece(view, circle, a, b, book, tolerance);
  }
}

/** Whether a step from `a` to `b` that departs from its chord by at most `off` mm may touch the panel. */
function mayTouch(a: Vec2, b: Vec2, off: number, { x, y, width, height }: Rect): boolean {
  return (
    Math.max(a[0], b[0]) + off >= x &&
    Math.min(a[0], b[0]) - off <= x + width &&
    Math.max(a[1], b[1]) + off >= y &&
    Math.min(a[1], b[1]) - off <= y + height
  );
}

function drawPiece(
  view: View,
  circle: GreatCircle,
  from: number,
  to: number,
  book: CurveBook,
  tolerance: number,
): void {
  const { law, distance, frame } = view;
  const line = new Line(view, circle, book);
  const stop = (t: number): CircleSpot => line.spot(t, Math.cos(t), Math.sin(t));
  const offOf = ({ cos, sin }: CircleSpot): number => law.off(turned(circle, cos, sin));
  let here = stop(from);
  let spent = 0;
  const stack = [stop(to)];
  while (stack.length) {
    const next = stack[stack.length - 1];
    const h = next.t - here.t;
    const off =
      h > LONGEST_STEP
        ? Infinity
        : (distance * h * h * law.curvatureBound(Math.max(offOf(here), offOf(next)) + h / 2)) / 8;
    const away = off < Infinity && here.place && next.place && !mayTouch(here.place, next.place, off, frame);
    if (!away && off > COARSE && h > LEAST_STEP && spent < MOST_VERTICES) {
      stack.push(stop((here.t + next.t) / 2));
      continue;
    }
    const steps =
      away || h <= LEAST_STEP ? 1 : Math.min(Math.ceil(Math.sqrt(off / tolerance)), Math.max(1, MOST_VERTICES - spent));
    line.run(here, next, steps);
    spent += steps;
    here = next;
    stack.pop();
  }
}

/** A great circle on its way into a book, in even steps. */
class Line {
  private readonly pen: Pen<CircleSpot>;

  constructor(
    private readonly view: View,
    private readonly circle: GreatCircle,
    book: CurveBook,
  ) {
    const { law, distance, frame } = view;
    this.pen = new Pen<CircleSpot>(
      frame,
      book,
      (from, to, share) => {
        const t = from.t + share * (to.t - from.t);
        return this.spot(t, Math.cos(t), Math.sin(t));
      },
      ({ cos, sin }) => {
        const w = law.velocity(turned(circle, cos, sin), turned(circle, -sin, cos));
        return [distance * w[0], -distance * w[1]];
      },
    );
  }

  /** A place of the circle. */
  spot(t: number, cos: number, sin: number): CircleSpot {
    const { law, distance, centre } = this.view;
    const p = law.project(turned(this.circle, cos, sin));
    return { t, cos, sin, place: p && [centre[0] + distance * p[0], centre[1] - distance * p[1]] };
  }

  /** Goes on from one spot to the next in even steps. */
  run(from: CircleSpot, to: CircleSpot, steps: number): void {
    const step = (to.t - from.t) / steps;
    const [c, s] = [Math.cos(step), Math.sin(step)];
    let here = from;
    for (let i = 1; i <= steps; i++) {
      const next =
        i === steps ? to : this.spot(from.t + i * step, here.cos * c - here.sin * s, here.sin * c + here.cos * s);
      this.pen.chord(here, next);
      here = next;
    }
  }
}

/**
 * The great circle from one direction towards another, and how far apart they are (radians). Null for one and its
 * opposite.
 */
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
