import { clipToRect, dot, norm, scale, sub, unit, type Rect, type Vec2, type Vec3 } from "../geometry";
import { drawArc } from "./arc";
import type { CurveBook } from "./book";
import { crossings, direction, type GreatCircle } from "./circle";
import { toEye, type View } from "./view";

/** How far a chord may depart from its curve on paper, mm. */
export const TOLERANCE = 0.05;
/** No arc has more vertices than this, wherever it runs: near a pole or the antipode the picture of a direction leaps. */
export const MOST_VERTICES = 4000;
/** Steps shorter than this (radians) lie on top of each other. */
const LEAST_STEP = 1e-6;
/** The longest step (radians): chords of a quarter turn say nothing about their curve. */
const LONGEST_STEP = Math.PI / 8;

/** A place at which a great circle is looked at: how far it is off there, and its picture, sheet mm. */
interface Stop {
  readonly t: number;
  readonly off: number;
  readonly place: Vec2 | null;
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

/** Pieces keep this far inside their ends (radians), so that one which begins at the seam or the limit knows its side. */
const ASIDE = 1e-9;

/**
 * Draws the stretch of a great circle from `from` to `to` (radians), cut at what the lens shows, at the seam of an
 * unrolled one, and at the panel. A chord over a step h departs from its curve by at most h^2 / 8 times the bound on the
 * second derivative, which the law gives for the farthest place of the step (no farther off than the farther end plus
 * h / 2): steps are halved until that is within the tolerance, or until the step cannot touch the panel.
 */
export function drawGreatCircle(view: View, circle: GreatCircle, from: number, to: number, book: CurveBook, tolerance = TOLERANCE): void {
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
  return Math.max(a[0], b[0]) + off >= x && Math.min(a[0], b[0]) - off <= x + width && Math.max(a[1], b[1]) + off >= y && Math.min(a[1], b[1]) - off <= y + height;
}

function drawPiece(view: View, circle: GreatCircle, from: number, to: number, book: CurveBook, tolerance: number): void {
  const { law, distance, centre, frame } = view;
  const at = (d: Vec3): Vec2 | null => {
    const p = law.picture(d);
    return p && [centre[0] + distance * p[0], centre[1] - distance * p[1]];
  };
  const stop = (t: number): Stop => {
    const d = direction(circle, t);
    return { t, off: law.off(d), place: at(d) };
  };
  const stops = [stop(from)];
  const stack = [stop(to)];
  while (stack.length) {
    const [here, next] = [stops[stops.length - 1], stack[stack.length - 1]];
    const h = next.t - here.t;
    const halve = () => {
      if (h > LONGEST_STEP) return true;
      const off = (distance * h * h * law.bend(Math.max(here.off, next.off) + h / 2)) / 8;
      return off > tolerance && (!here.place || !next.place || mayTouch(here.place, next.place, off, frame));
    };
    if (stops.length < MOST_VERTICES && h > LEAST_STEP && halve()) stack.push(stop((here.t + next.t) / 2));
    else stops.push(stack.pop() as Stop);
  }
  const put = (t: number, [x, y]: Vec2) => {
    const w = law.velocity(direction(circle, t), direction({ u: circle.v, v: scale(circle.u, -1) }, t));
    book.add(x, y, distance * w[0], -distance * w[1], t);
  };
  let open = false;
  for (let i = 1; i < stops.length; i++) {
    const [a, b] = [stops[i - 1], stops[i]];
    const range = a.place && b.place && clipToRect(a.place, [b.place[0] - a.place[0], b.place[1] - a.place[1]], frame, [0, 1]);
    if (range && a.place && b.place) {
      const cut = (k: number, end: Vec2): [number, Vec2] => {
        const t = a.t + k * (b.t - a.t);
        return k === 0 || k === 1 ? [t, end] : [t, at(direction(circle, t)) ?? end];
      };
      if (!open || range[0] > 0) {
        book.begin();
        put(...cut(range[0], a.place));
      }
      put(...cut(range[1], b.place));
      open = range[1] === 1;
    } else open = false;
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

