import { ClipType } from "clipper2-ts";
import { gaps, onCubic, union, type Interval, type Vec2, type Vec3 } from "../geometry";
import { CurveBook, type Curves } from "../shot";
import type { Areas, Shapes } from "./layer";
import { areasFrom, combined, ringsOf, type Ring } from "./regions";

/** Where a drawing is kept: within one polygon, where there is one, and outside of others. */
export interface Cut {
  readonly within?: Ring;
  readonly outside: readonly Ring[];
}

/** Parts shorter than this share of a line are none. */
const SHORT = 1e-9;

/** The parts of a straight line that lie within a polygon, by the even-odd rule, as shares of it. */
function partsWithin(ring: Ring, [ax, ay]: Vec2, [bx, by]: Vec2): Interval[] {
  const [dx, dy] = [bx - ax, by - ay];
  const side = ([x, y]: Vec2) => (x - ax) * dy - (y - ay) * dx;
  const crossed: number[] = [];
  ring.forEach((p, i) => {
    const q = ring[(i + 1) % ring.length];
    const [sp, sq] = [side(p), side(q)];
    // Lower ends count to a side and upper ones do not, so that corners count once.
    if (sp < 0 === sq < 0) return;
    const t = sp / (sp - sq);
    const [x, y] = [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])];
    crossed.push(((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy));
  });
  crossed.sort((a, b) => a - b);
  return Array.from({ length: crossed.length >> 1 }, (_, i): Interval => [
    Math.max(0, crossed[2 * i]),
    Math.min(1, crossed[2 * i + 1]),
  ]).filter(([from, to]) => to > from);
}

/** The parts of a straight line that are kept. */
function kept({ within, outside }: Cut, a: Vec2, b: Vec2): readonly Interval[] {
  if (a[0] === b[0] && a[1] === b[1]) return [];
  const beyond = within ? gaps(union(partsWithin(within, a, b)), 0) : [];
  return gaps(union([...beyond, ...outside.flatMap((ring) => partsWithin(ring, a, b))]), SHORT);
}

function cutLines(lines: Float64Array, cut: Cut): Float64Array {
  const out: number[] = [];
  for (let i = 0; i < lines.length; i += 4) {
    const [ax, ay, bx, by] = lines.subarray(i, i + 4);
    for (const part of kept(cut, [ax, ay], [bx, by]))
      for (const t of part) out.push(ax + t * (bx - ax), ay + t * (by - ay));
  }
  return Float64Array.from(out);
}

/** Curves are cut where their chords are, and stay exactly on themselves there. */
function cutCurves(curves: Curves, cut: Cut): Curves {
  const { xy, velocity, t, starts } = curves;
  const book = new CurveBook();
  const place = (k: number): Vec3 => [xy[2 * k], xy[2 * k + 1], 0];
  for (let i = 0; i + 1 < starts.length; i++) {
    let isOpen = false;
    for (let k = starts[i]; k + 1 < starts[i + 1]; k++) {
      const span = t[k + 1] - t[k];
      const way = (n: number): Vec3 => [velocity[2 * n] * span, velocity[2 * n + 1] * span, 0];
      const add = (share: number) => {
        const { at, way: along } = onCubic(place(k), place(k + 1), way(k), way(k + 1), share);
        book.add(at[0], at[1], along[0] / span, along[1] / span, t[k] + share * span);
      };
      const parts = kept(cut, [xy[2 * k], xy[2 * k + 1]], [xy[2 * k + 2], xy[2 * k + 3]]);
      if (parts.length === 0) isOpen = false;
      for (const [from, to] of parts) {
        if (!isOpen || from > 0) {
          book.begin();
          add(from);
        }
        add(to);
        isOpen = to === 1;
      }
    }
  }
  return book.curves();
}

function cutAreas(areas: Areas, { within, outside }: Cut): Areas {
  let rings: readonly Ring[] = ringsOf(areas);
  if (within) rings = combined(ClipType.Intersection, rings, [within]);
  for (const ring of outside) rings = combined(ClipType.Difference, rings, [ring]);
  return areasFrom(rings);
}

/** Lines, curves and areas, as far as they lie where a drawing is kept. */
export function cutTo({ lines, curves, areas }: Shapes, cut: Cut): Shapes {
  if (!cut.within && cut.outside.length === 0) return { lines, curves, areas };
  return {
    lines: cutLines(lines, cut),
    ...(curves ? { curves: cutCurves(curves, cut) } : {}),
    ...(areas ? { areas: cutAreas(areas, cut) } : {}),
  };
}
