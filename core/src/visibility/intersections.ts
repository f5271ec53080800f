import Flatbush from "flatbush";
import { cross, dot, norm, scale, sub, type Vec3 } from "../geometry";
import type { Face, Solid } from "../world";
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

/** The box around some places: its least and greatest x, y and z. */
type Bounds = readonly [number, number, number, number, number, number];

function boundsOf(places: readonly Vec3[]): Bounds {
  let [x0, y0, z0, x1, y1, z1] = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity];
  for (const [x, y, z] of places) {
    [x0, y0, z0] = [Math.min(x0, x), Math.min(y0, y), Math.min(z0, z)];
    [x1, y1, z1] = [Math.max(x1, x), Math.max(y1, y), Math.max(z1, z)];
  }
  return [x0, y0, z0, x1, y1, z1];
}

const touch = (a: Bounds, b: Bounds): boolean =>
  [0, 1, 2].every((k) => a[k] <= b[k + 3] + TOUCH && b[k] <= a[k + 3] + TOUCH);

/** A face with its number, and the box around it. */
interface Side {
  readonly face: Face;
  readonly number: number;
  readonly box: Bounds;
}

const sides = new WeakMap<Solid, readonly Side[]>();

/** The faces of a solid; of a sheet without edges one side stands for both. */
function sidesOf(solid: Solid): readonly Side[] {
  let own = sides.get(solid);
  if (!own) {
    const faces = solid.edges.length ? solid.faces : solid.faces.slice(0, 1);
    own = faces.map((face, number) => ({ face, number, box: boundsOf(face.loop.map((n) => solid.vertices[n])) }));
    sides.set(solid, own);
  }
  return own;
}

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

/** The stretches in which a face of one solid cuts a face of another. */
function cutsBetween(one: Solid, { face: f, number }: Side, other: Solid, { face: g, number: beside }: Side): Cut[] {
  const over = g.loop.map((n) => dot(f.normal, other.vertices[n]) - f.offset);
  // A face that ends on this one's plane touches it; only one that passes through it cuts it.
  if (Math.min(...over) > -TOUCH || Math.max(...over) < TOUCH) return [];
  const under = f.loop.map((n) => dot(g.normal, one.vertices[n]) - g.offset);
  if (Math.min(...under) > -TOUCH || Math.max(...under) < TOUCH) return [];
  const way = cross(f.normal, g.normal);
  const size = dot(way, way);
  if (size < 1e-16) return [];
  // The place nearest to the origin on both planes.
  const p = scale(cross(sub(scale(g.normal, f.offset), scale(f.normal, g.offset)), way), 1 / size);
  const d = scale(way, 1 / Math.sqrt(size));
  const at = (t: number): Vec3 => [p[0] + t * d[0], p[1] + t * d[1], p[2] + t * d[2]];
  return f.pieces.flatMap((piece) => {
    const m = within(one, piece, f.normal, p, d);
    if (!m) return [];
    return g.pieces.flatMap((q): Cut[] => {
      const n = within(other, q, g.normal, p, d);
      const [t0, t1] = n ? [Math.max(m[0], n[0]), Math.min(m[1], n[1])] : [0, 0];
      return t1 - t0 < LEAST ? [] : [{ a: at(t0), b: at(t1), faces: [number, beside] }];
    });
  });
}

/**
 * The stretches in which faces of two solids cut each other; faces that only touch along an edge of either do not.
 */
function between(one: Solid, other: Solid): Cut[] {
  const [mine, theirs] = [boxOf(one), boxOf(other)];
  const near = sidesOf(other).filter(({ box }) => touch(box, mine));
  return sidesOf(one)
    .filter(({ box }) => touch(box, theirs))
    .flatMap((f) => near.filter(({ box }) => touch(box, f.box)).flatMap((g) => cutsBetween(one, f, other, g)));
}

/** The box around a solid: it stays as long as that does. */
const boxes = new WeakMap<Solid, Bounds>();

function boxOf(solid: Solid): Bounds {
  let box = boxes.get(solid);
  if (!box) boxes.set(solid, (box = boundsOf(solid.vertices)));
  return box;
}

/** Whether a solid is flat to an eye: it cuts through nothing. */
const isCard = ({ card, shape }: Solid): boolean => card === true || shape?.kind === "hulls";

/** Calls back for each pair of solids whose boxes overlap, in their order; cards cut through nothing. */
function overlaps(solids: readonly Solid[], found: (one: number, other: number) => void): void {
  if (solids.length < 2) return;
  const all = solids.map(boxOf);
  const index = new Flatbush(solids.length);
  for (const [x0, y0, , x1, y1] of all) index.add(x0, y0, x1, y1);
  index.finish();
  all.forEach(([x0, y0, z0, x1, y1, z1], s) => {
    if (isCard(solids[s])) return;
    for (const o of index.search(x0, y0, x1, y1).sort((p, q) => p - q))
      if (o > s && !isCard(solids[o]) && all[o][2] < z1 - TOUCH && all[o][5] > z0 + TOUCH) found(s, o);
  });
}

/** The solids with round faces that others cut through, by their facets as they are for nobody. */
export function cutThrough(solids: readonly Solid[]): ReadonlySet<Solid> {
  const found = new Set<Solid>();
  if (solids.some(({ shape }) => shape))
    overlaps(solids, (s, o) => {
      const pair = [solids[s], solids[o]];
      if (!pair.some(({ shape }) => shape) || cutsOf(pair[0], pair[1]).length === 0) return;
      for (const one of pair) if (one.shape) found.add(one);
    });
  return found;
}

/** The lines in which solids cut each other: what an edge would be if they were one. */
export function intersectionCurves(solids: readonly Solid[]): readonly Intersection[] {
  const out: Intersection[] = [];
  overlaps(solids, (s, o) => {
    for (const { a, b, faces } of cutsOf(solids[s], solids[o]))
      out.push({
        a,
        b,
        of: [
          { solid: s, face: faces[0] },
          { solid: o, face: faces[1] },
        ],
      });
  });
  return out;
}
