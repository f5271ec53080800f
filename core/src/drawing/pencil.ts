import { add, cross, distance2, dot, norm, scale, sub, unit, wrap, corners, type Vec2, type Vec3 } from "../geometry";
import { CurveBook, drawGreatCircle, toEye, unproject, type View } from "../shot";
import { vanishingPoint } from "../vanishing";
import { hatchLines } from "./hatched";
import { ringCount, type Areas, type Shapes } from "./layer";

/** Lines that all run to one point: a place lies on one of them by its turn about the point, and so far along it. */
interface Pencil {
  /** The turn of a place, radians, and how far along its line it lies. */
  at(place: Vec2): readonly [turn: number, along: number];
  /** How far along the line of a turn it meets the stretch between two places, which lies at a share of that. */
  meet(p: Vec2, q: Vec2, turn: number, share: number): number;
  /** From where to where along a line its neighbours are at least so far away, mm for each radian between them. */
  apart(least: number): readonly [from: number, to: number] | null;
  /** Where a line ends, beyond all areas. */
  readonly end: number;
  /** The largest distance between lines in the panel, mm for each radian. */
  readonly widest: number;
  /** Draws a line from one place along it to another. */
  draw(turn: number, from: number, to: number, out: HatchBook): void;
}

/** Gathers hatching. */
export class HatchBook {
  readonly lines: number[] = [];
  readonly book = new CurveBook();

  shapes(): Shapes {
    const curves = this.book.curves();
    return { lines: Float64Array.from(this.lines), ...(curves.t.length > 0 ? { curves } : {}) };
  }
}

/** The lines to a point on the desk, in a straight lens. */
function fanOf(point: Vec2, view: View): Pencil {
  return {
    at: ([x, y]) => [Math.atan2(y - point[1], x - point[0]), distance2([x, y], point)],
    meet: (p, q, turn) => {
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      const off = ([x, y]: Vec2) => c * (y - point[1]) - s * (x - point[0]);
      const along = ([x, y]: Vec2) => c * (x - point[0]) + s * (y - point[1]);
      const [a, b] = [off(p), off(q)];
      const t = a === b ? 0 : a / (a - b);
      return along(p) + t * (along(q) - along(p));
    },
    apart: (least) => [least, Infinity],
    end: Infinity,
    widest: Math.max(...corners(view.frame).map((corner) => distance2(corner, point))),
    draw: (turn, from, to, { lines }) => {
      for (const r of [from, to]) lines.push(point[0] + r * Math.cos(turn), point[1] + r * Math.sin(turn));
    },
  };
}

/** The half great circles from a direction to its opposite, in a curved lens. */
function meridiansOf(direction: Vec3, view: View): Pencil {
  const w = unit(toEye(view, direction));
  const aside: Vec3 = Math.abs(w[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
  const first = unit(sub(aside, scale(w, dot(aside, w))));
  const second = cross(w, first);
  return {
    at: (place) => {
      const seen = toEye(view, unproject(view, place));
      return [Math.atan2(dot(seen, second), dot(seen, first)), Math.atan2(norm(cross(w, seen)), dot(w, seen))];
    },
    // Sides of areas are short chords there.
    meet(p, q, _turn, share) {
      const [a, b] = [this.at(p)[1], this.at(q)[1]];
      return a + share * (b - a);
    },
    apart: (least) => {
      const share = least / view.distance;
      return share < 1 ? [Math.asin(share), Math.PI - Math.asin(share)] : null;
    },
    end: Math.PI,
    widest: view.distance,
    draw: (turn, from, to, { book }) => {
      const v = add(scale(first, Math.cos(turn)), scale(second, Math.sin(turn)));
      drawGreatCircle(view, { u: w, v }, from, to, book);
    },
  };
}

/** Lines are left out by halves on the way to their point at most so often. */
const HALVINGS = 12;
const TURN = 2 * Math.PI;

/** Lines end up to so many times as far from their point as they must, each at another place: no ring of ends shows. */
const STAGGER = 1.7;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** How much farther from its point than it must a line ends, by its number. */
const stagger = (n: number): number => 1 + (STAGGER - 1) * ((n * GOLDEN) % 1);

/** How often a number can be halved, up to the most. */
function halved(n: number): number {
  let k = 0;
  while (k < HALVINGS && n % 2 ** (k + 1) === 0) k++;
  return k;
}

/** Where lines of a pencil, by number, enter and leave areas. */
function crossingsOf(areas: Areas, pencil: Pencil, count: number): ReadonlyMap<number, number[]> {
  const step = TURN / count;
  const met = new Map<number, number[]>();
  const place = (k: number): Vec2 => [areas.xy[2 * k], areas.xy[2 * k + 1]];
  for (let i = 0; i < ringCount(areas); i++) {
    const [first, last] = [areas.starts[i], areas.starts[i + 1]];
    for (let k = first; k < last; k++) {
      const [p, q] = [place(k), place(k + 1 < last ? k + 1 : first)];
      const from = pencil.at(p)[0];
      const by = wrap(pencil.at(q)[0] - from, -Math.PI, TURN);
      const [low, high] = [Math.min(from, from + by), Math.max(from, from + by)];
      // Upper ends count to a line and lower ones do not, so that corners count once.
      for (let n = Math.floor(low / step) + 1; n <= Math.floor(high / step); n++) {
        const along = pencil.meet(p, q, n * step, (n * step - from) / by);
        const own = ((n % count) + count) % count;
        const before = met.get(own);
        if (before) before.push(along);
        else met.set(own, [along]);
      }
    }
  }
  return met;
}

/**
 * Areas hatched by lines that run to a vanishing point, whose ends lie on their edges, by the even-odd rule. Towards
 * the point every second line ends wherever its neighbours would come nearer than the spacing, then every second of the
 * rest; so lines lie one spacing apart to two. The same point has the same lines whatever the areas, so that neighbours
 * go on into each other.
 * @param direction of the lines in the world
 * @param spacing the least from line to line, mm
 */
export function hatchTowards(areas: Areas, view: View, direction: Vec3, spacing: number, out: HatchBook): void {
  const point = view.law.straight ? vanishingPoint(view, direction) : null;
  if (point && !point.at) {
    for (const value of hatchLines(areas, -(point.angle ?? 0), spacing)) out.lines.push(value);
    return;
  }
  const pencil = point?.at ? fanOf(point.at, view) : meridiansOf(direction, view);
  const whole = 2 ** HALVINGS;
  const count = whole * Math.ceil((TURN * pencil.widest) / spacing / whole);
  for (const [n, places] of crossingsOf(areas, pencil, count)) {
    const apart = pencil.apart((spacing * count * stagger(n)) / (TURN * 2 ** halved(n)));
    if (!apart) continue;
    places.sort((a, b) => a - b);
    // The point itself lies in an area where a line leaves more often than it enters.
    if (places.length % 2 === 1) {
      if (places[0] <= pencil.end - places[places.length - 1]) places.unshift(0);
      else places.push(pencil.end);
    }
    for (let i = 0; i + 1 < places.length; i += 2) {
      const [from, to] = [Math.max(places[i], apart[0]), Math.min(places[i + 1], apart[1])];
      if (to > from) pencil.draw((n * TURN) / count, from, to, out);
    }
  }
}
