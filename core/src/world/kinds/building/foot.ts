import { headingDirection, type Vec2, type Vec3 } from "../../../geometry";
import { yardsOf } from "../../outline";
import { sideOf } from "../../polygon";
import type { Building } from "./schema";
import { putTogether, takenApart, type Parts } from "../../parts";
import type { Solid } from "../../solid";

type Passage = NonNullable<Building["passages"]>[number];
type Slope = NonNullable<Building["slope"]>;

/** A passage keeps so far from the corners of its wall, m; its arch is drawn in so many pieces. */
const CLEAR = 0.05;
const ARC = 12;
/** Nearer than this two places are one, m. */
const SAME = 1e-6;

/**
 * Where a passage enters and leaves a footprint, on which of its sides: the right and the left of who looks at the
 * wall it enters by.
 */
export interface Way {
  readonly enters: { readonly side: number; readonly from: Vec2; readonly to: Vec2 };
  /** It comes out through the outer wall, or into a courtyard, by its number. */
  readonly leaves: { readonly side: number; readonly from: Vec2; readonly to: Vec2; readonly yard: number | null };
}

/** The side of a footprint that a place is nearest to, and how far along it. */
export function nearestSide(corners: readonly Vec2[], [x, y]: Vec2): { readonly side: number; readonly at: number } {
  let best = { side: 0, at: 0, off: Infinity };
  corners.forEach((_, side) => {
    const { p, long, u } = sideOf(corners, side);
    const at = Math.min(long, Math.max(0, (x - p[0]) * u[0] + (y - p[1]) * u[1]));
    const off = Math.hypot(x - p[0] - at * u[0], y - p[1] - at * u[1]);
    if (off < best.off - SAME) best = { side, at, off };
  });
  return best;
}

/**
 * The way of a passage through a footprint from an outer wall, straight out again or into a courtyard, or why there is
 * none.
 * @param corners of the footprint, and of each courtyard, counter-clockwise
 */
export function wayOf(
  corners: readonly Vec2[],
  { x, y, width }: Passage,
  yards: readonly (readonly Vec2[])[] = [],
): Way | string {
  const { side, at } = nearestSide(corners, [x, y]);
  const { p, long, u } = sideOf(corners, side);
  const room = width / 2 + CLEAR;
  if (long < 2 * room) return "is wider than its wall.";
  const middle = Math.min(long - room, Math.max(room, at));
  const place = (s: number): Vec2 => [p[0] + s * u[0], p[1] + s * u[1]];
  const [from, to] = [place(middle - width / 2), place(middle + width / 2)];
  // Inwards is to the left of a side that runs counter-clockwise.
  const inwards: Vec2 = [-u[1], u[0]];
  const rings = [corners, ...yards];
  const [a, b] = [from, to].map((start) => exitOf(rings, start, inwards));
  if (!a || !b || a.side !== b.side || a.ring !== b.ring)
    return "does not come out through one wall: move it, or make it narrower.";
  const { long: far } = sideOf(rings[a.ring], a.side);
  if (Math.min(a.at, b.at) < CLEAR || Math.max(a.at, b.at) > far - CLEAR) return "comes out too near to a corner.";
  return {
    enters: { side, from, to },
    leaves: { side: a.side, from: a.place, to: b.place, yard: a.ring ? a.ring - 1 : null },
  };
}

/** A place on a side of one of several rings. */
interface Exit {
  readonly ring: number;
  readonly side: number;
  readonly at: number;
  readonly place: Vec2;
}

/** Where a ray from a side meets a wall first. */
function exitOf(rings: readonly (readonly Vec2[])[], [x, y]: Vec2, [dx, dy]: Vec2): Exit | null {
  const met = rings.flatMap((corners, ring) =>
    corners.flatMap((_, side) => {
      const { p, long, u } = sideOf(corners, side);
      const det = dx * u[1] - dy * u[0];
      if (Math.abs(det) < 1e-9) return [];
      const [ex, ey] = [p[0] - x, p[1] - y];
      const [t, at] = [(ex * u[1] - ey * u[0]) / det, (ex * dy - ey * dx) / det];
      const place: Vec2 = [x + t * dx, y + t * dy];
      return t > 1e-4 && at >= -SAME && at <= long + SAME ? [{ ring, side, at, place, t }] : [];
    }),
  );
  return met.length ? met.reduce((best, one) => (one.t < best.t ? one : best)) : null;
}

/** An edge around a lowest face: the face, the hole of it that it is on, if it is, and its place in the loop. */
interface FootEdge {
  readonly face: number;
  readonly hole: number | null;
  readonly loop: readonly number[];
  readonly at: number;
}

/** The edge of a lowest face on which two places lie; null where none holds both. */
function edgeWith({ vertices, loops, holes }: Parts, base: number, a: Vec2, b: Vec2): FootEdge | null {
  const on = (p: Vec3, q: Vec3, [x, y]: Vec2) => {
    const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
    const [s, off] = [
      ((x - p[0]) * (q[0] - p[0]) + (y - p[1]) * (q[1] - p[1])) / long,
      ((x - p[0]) * (q[1] - p[1]) - (y - p[1]) * (q[0] - p[0])) / long,
    ];
    return Math.abs(off) < 1e-5 && s > SAME && s < long - SAME;
  };
  for (const [face, outer] of loops.entries()) {
    if (!outer.every((n) => Math.abs(vertices[n][2] - base) < SAME)) continue;
    for (const [ring, loop] of [outer, ...(holes[face] ?? [])].entries())
      for (let at = 0; at < loop.length; at++) {
        const [p, q] = [vertices[loop[at]], vertices[loop[(at + 1) % loop.length]]];
        if (on(p, q, a) && on(p, q, b)) return { face, hole: ring ? ring - 1 : null, loop, at };
      }
  }
  return null;
}

/** Puts vertices between two that follow each other in some loop. */
function between(loops: number[][], from: number, to: number, more: readonly number[]): void {
  for (const loop of loops) {
    const at = loop.findIndex((n, i) => n === from && loop[(i + 1) % loop.length] === to);
    if (at >= 0) return void loop.splice(at + 1, 0, ...more);
  }
}

/** Cuts a passage through the foot of a solid. @returns why it cannot be, or null */
function pierce(parts: Parts, base: number, { enters, leaves }: Way, { width, height, arch }: Passage): string | null {
  const { vertices, loops, round, holes } = parts;
  // A lowest face runs the other way round: what comes second on a side comes first on it.
  const [front, back] = [edgeWith(parts, base, enters.from, enters.to), edgeWith(parts, base, leaves.from, leaves.to)];
  if (!front || !back || front.face !== back.face || front.hole !== null) return "crosses another one.";
  const [[a, b], [c, d]] = [front, back].map(({ loop, at }) => [loop[at], loop[(at + 1) % loop.length]]);
  const add = ([x, y]: Vec2, z: number) => vertices.push([x, y, z]) - 1;
  // E1 comes first from a to b, and X1 lies opposite to it.
  const [e1, e2, x1, x2] = [enters.to, enters.from, leaves.to, leaves.from];
  const foot = { e1: add(e1, base), e2: add(e2, base), x1: add(x1, base), x2: add(x2, base) };
  const spring = base + height - (arch ? width / 2 : 0);
  // From over E2 to over E1, and as far along on the other side.
  const profile = arch
    ? Array.from(
        { length: ARC + 1 },
        (_, i) =>
          [(1 - Math.cos((i * Math.PI) / ARC)) / 2, spring + (width / 2) * Math.sin((i * Math.PI) / ARC)] as const,
      )
    : ([
        [0, spring],
        [1, spring],
      ] as const);
  const across = (from: Vec2, to: Vec2, t: number): Vec2 => [
    from[0] + t * (to[0] - from[0]),
    from[1] + t * (to[1] - from[1]),
  ];
  const [ps, qs] = [
    profile.map(([t, z]) => add(across(e2, e1, t), z)),
    profile.map(([t, z]) => add(across(x2, x1, t), z)),
  ];
  const last = profile.length - 1;
  between(loops, b, a, [foot.e2, ...ps, foot.e1]);
  between(loops, d, c, [foot.x1, ...[...qs].reverse(), foot.x2]);
  loops.push([foot.e1, ps[last], qs[last], foot.x1], [ps[0], foot.e2, foot.x2, qs[0]]);
  round.push(undefined, undefined);
  // No other surface of a building has this number.
  const group = arch ? 1000 + loops.length : undefined;
  for (let i = 0; i < last; i++) {
    loops.push([ps[i + 1], ps[i], qs[i], qs[i + 1]]);
    round.push(group);
  }
  /** The corners of an edge's loop from behind that edge to another edge of it. */
  const from = ({ loop, at }: FootEdge, end: number) => {
    const out: number[] = [];
    for (let i = (at + 1) % loop.length; ; i = (i + 1) % loop.length) {
      out.push(loop[i]);
      if (i === end) return out;
    }
  };
  if (back.hole !== null) {
    // Into a courtyard: its rim and the outer one become one loop, along both sides of the passage.
    loops[front.face] = [foot.e1, foot.x1, ...from(back, back.at), foot.x2, foot.e2, ...from(front, front.at)];
    holes[front.face].splice(back.hole, 1);
    return null;
  }
  const [one, other] = [
    [foot.e1, foot.x1, ...from(back, front.at)],
    [foot.x2, foot.e2, ...from(front, back.at)],
  ];
  loops[front.face] = one;
  loops.push(other);
  round.push(undefined);
  return null;
}

/** How far places lie along a heading, from the lowest of them. */
function rising(
  corners: readonly Vec2[],
  heading: number,
): { readonly at: (p: Vec2 | Vec3) => number; readonly run: number } {
  const [hx, hy] = headingDirection(heading);
  const along = corners.map(([x, y]) => x * hx + y * hy);
  const least = Math.min(...along);
  return { at: ([x, y]) => x * hx + y * hy - least, run: Math.max(...along) - least };
}

/** How high the ground stands over the lowest corner of a footprint, at a place, m. */
export function groundOver(corners: readonly Vec2[], { heading, grade, steps }: Slope): (p: Vec2) => number {
  const { at, run } = rising(corners, heading);
  return (p) =>
    (grade / 100) * (steps ? (Math.min(steps - 1, Math.floor((at(p) / run) * steps)) * run) / steps : at(p));
}

/** How much the ground rises under a footprint, m. */
export const riseUnder = (corners: readonly Vec2[], { heading, grade }: Slope): number =>
  (grade / 100) * rising(corners, heading).run;

/** Stands the lowest face of a convex footprint on level steps, up along the slope. */
function step(parts: Parts, base: number, corners: readonly Vec2[], { heading, grade, steps = 2 }: Slope): void {
  const { vertices, loops, round } = parts;
  const { at, run } = rising(corners, heading);
  const lowest = loops.findIndex((loop) => loop.every((n) => Math.abs(vertices[n][2] - base) < SAME));
  const loop = loops[lowest];
  const places = loop.map((n) => at(vertices[n]));
  // A step that falls on a corner is put a millimetre aside.
  const lines = Array.from({ length: steps - 1 }, (_, i) => ((i + 1) * run) / steps).map((t) =>
    places.some((p) => Math.abs(p - t) < 1e-4) ? t + 1e-3 : t,
  );
  const z = (strip: number) => base + (grade / 100) * ((strip * run) / steps);
  const strips: number[][] = Array.from({ length: steps }, () => []);
  const ups: (readonly [number, number])[] = [];
  const downs: (readonly [number, number])[] = [];
  const stripOf = (t: number) => lines.filter((line) => line < t).length;
  loop.forEach((a, i) => {
    const b = loop[(i + 1) % loop.length];
    const [ta, tb] = [places[i], places[(i + 1) % loop.length]];
    strips[stripOf(ta)].push(a);
    const cut = lines
      .map((line, k) => ({ line, k }))
      .filter(({ line }) => line > Math.min(ta, tb) && line < Math.max(ta, tb));
    if (tb < ta) cut.reverse();
    const corners2 = cut.map(({ line, k }) => {
      const s = (line - ta) / (tb - ta);
      const [x, y] = [0, 1].map((axis) => vertices[a][axis] + s * (vertices[b][axis] - vertices[a][axis]));
      const [low, high] = [z(k), z(k + 1)].map((height) => vertices.push([x, y, height]) - 1);
      strips[k].push(low);
      strips[k + 1].push(high);
      (tb > ta ? ups : downs)[k] = [low, high];
      return tb > ta ? [high, low] : [low, high];
    });
    between(
      loops.filter((_, n) => n !== lowest),
      b,
      a,
      corners2.reverse().flat(),
    );
  });
  loop.forEach((n, i) => {
    vertices[n] = [vertices[n][0], vertices[n][1], z(stripOf(places[i]))];
  });
  loops[lowest] = strips[0];
  for (const strip of strips.slice(1)) loops.push(strip);
  ups.forEach(([low, high], k) => loops.push([downs[k][0], low, high, downs[k][1]]));
  for (let i = 0; i < 2 * (steps - 1); i++) round.push(undefined);
}

/**
 * The lowest part of a building with its passages and on its ground. @returns the solid, or which passage cannot be,
 * and why
 */
export function footed(
  solid: Solid,
  corners: readonly Vec2[],
  building: Building,
): Solid | { readonly passage: number; readonly message: string } {
  const { base, passages = [], slope } = building;
  if (passages.length === 0 && !slope) return solid;
  const parts = takenApart(solid);
  for (const [passage, one] of passages.entries()) {
    const way = wayOf(corners, one, yardsOf(building));
    const message = typeof way === "string" ? way : pierce(parts, base, way, one);
    if (message) return { passage, message };
  }
  if (slope?.steps) step(parts, base, corners, slope);
  else if (slope) {
    const over = groundOver(corners, slope);
    parts.vertices.forEach(([x, y, z], i) => {
      if (Math.abs(z - base) < SAME) parts.vertices[i] = [x, y, z + over([x, y])];
    });
  }
  return putTogether(solid.id, parts);
}
