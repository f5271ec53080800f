import Flatbush from "flatbush";
import { cross, dot, norm, scale, sub, type Vec3 } from "../geometry";
import type { Solid } from "../world";
import { TOUCH } from "./occluder";

/** A stretch of the line in which faces of two solids cut each other. */
export interface Intersection {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly of: readonly [
    { readonly solid: number; readonly face: number },
    { readonly solid: number; readonly face: number },
  ];
}

/** Shorter than this a stretch is rounding, m. */
const LEAST = 1e-5;

const bounds = ({ vertices }: Solid): readonly number[] =>
  [0, 1, 2]
    .map((k) => Math.min(...vertices.map((p) => p[k])))
    .concat([0, 1, 2].map((k) => Math.max(...vertices.map((p) => p[k]))));

/** The part of a line p + t d that lies in a convex piece of a face, as [t0, t1]; null where there is none. */
function within(
  solid: Solid,
  piece: readonly number[],
  normal: Vec3,
  p: Vec3,
  d: Vec3,
): readonly [number, number] | null {
  let [t0, t1] = [-Infinity, Infinity];
  for (let i = 0; i < piece.length; i++) {
    const [a, b] = [solid.vertices[piece[i]], solid.vertices[piece[(i + 1) % piece.length]]];
    const side = sub(b, a);
    // Inwards from the side, in the face's plane.
    const n = scale(cross(normal, side), 1 / norm(side));
    const [at, rate] = [dot(n, sub(p, a)), dot(n, d)];
    if (Math.abs(rate) < 1e-12) {
      if (at < 0) return null;
    } else if (rate > 0) t0 = Math.max(t0, -at / rate);
    else t1 = Math.min(t1, -at / rate);
    if (t1 - t0 < LEAST) return null;
  }
  return [t0, t1];
}

/** A stretch in which a face of one solid cuts a face of another. */
interface Cut {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly faces: readonly [number, number];
}

/** Cuts that were found before, by the two solids themselves: they depend on nothing else. */
const known = new WeakMap<Solid, WeakMap<Solid, readonly Cut[]>>();

function cutsOf(one: Solid, other: Solid): readonly Cut[] {
  let of = known.get(one);
  if (!of) known.set(one, (of = new WeakMap()));
  let cuts = of.get(other);
  if (!cuts) of.set(other, (cuts = between(one, other)));
  return cuts;
}

/**
 * The stretches in which faces of two solids cut each other; faces that only touch along an edge of either do not,
 * and of a sheet without edges one side stands for both.
 */
function between(one: Solid, other: Solid): Cut[] {
  const out: Cut[] = [];
  const sides = ({ faces, edges }: Solid) => (edges.length ? faces : faces.slice(0, 1));
  sides(one).forEach((f, face) => {
    const heights = other.vertices.map((p) => dot(f.normal, p) - f.offset);
    sides(other).forEach((g, beside) => {
      const over = g.loop.map((n) => heights[n]);
      // A face that ends on this one's plane touches it; only one that passes through it cuts it.
      if (Math.min(...over) > -TOUCH || Math.max(...over) < TOUCH) return;
      const under = f.loop.map((n) => dot(g.normal, one.vertices[n]) - g.offset);
      if (Math.min(...under) > -TOUCH || Math.max(...under) < TOUCH) return;
      const way = cross(f.normal, g.normal);
      const size = dot(way, way);
      if (size < 1e-16) return;
      // The place nearest to the origin on both planes.
      const p = scale(cross(sub(scale(g.normal, f.offset), scale(f.normal, g.offset)), way), 1 / size);
      const d = scale(way, 1 / Math.sqrt(size));
      for (const piece of f.pieces)
        for (const q of g.pieces) {
          const [m, n] = [within(one, piece, f.normal, p, d), within(other, q, g.normal, p, d)];
          if (!m || !n) continue;
          const [t0, t1] = [Math.max(m[0], n[0]), Math.min(m[1], n[1])];
          if (t1 - t0 < LEAST) continue;
          const at = (t: number): Vec3 => [p[0] + t * d[0], p[1] + t * d[1], p[2] + t * d[2]];
          out.push({ a: at(t0), b: at(t1), faces: [face, beside] });
        }
    });
  });
  return out;
}

/** The lines in which solids cut each other: what an edge would be if they were one. */
export function intersectionCurves(solids: readonly Solid[]): readonly Intersection[] {
  const out: Intersection[] = [];
  if (solids.length > 1) {
    const boxes = solids.map(bounds);
    const index = new Flatbush(solids.length);
    for (const [x0, y0, , x1, y1] of boxes) index.add(x0, y0, x1, y1);
    index.finish();
    boxes.forEach(([x0, y0, z0, x1, y1, z1], s) => {
      for (const o of index.search(x0, y0, x1, y1).sort((p, q) => p - q)) {
        if (o > s && boxes[o][2] < z1 - TOUCH && boxes[o][5] > z0 + TOUCH) {
          for (const { a, b, faces } of cutsOf(solids[s], solids[o]))
            out.push({
              a,
              b,
              of: [
                { solid: s, face: faces[0] },
                { solid: o, face: faces[1] },
              ],
            });
        }
      }
    });
  }
  return out;
}
