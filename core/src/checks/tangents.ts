import Flatbush from "flatbush";
import { mm, sentence } from "../units";
import { contains, distance2, fromStretch, type Vec2, type Vec3 } from "../geometry";
import type { Scene, Shot } from "../scene";
import { leastAngleOf, project, viewOf, type View } from "../shot";
import { cutAway, OUTLINE, visibleEdges, type VisibleEdges } from "../visibility";
import { built, buildCache, moved, outlineOf, stands, type Element, type Solid } from "../world";
import { tenth, type Finding } from "./finding";

/**
 * A corner this near to another thing's outline touches it; outlines this near and so long side by side run together,
 * mm.
 */
const TOUCHES = 1.5;
const TOGETHER = 1;
const LONG = 8;
/** Round outlines are exact within this, mm. */
const EXACT = 0.2;
/** Outlines run alike within this, as a sine. */
const ALIKE = 0.035;
/** Things nearer than this on the plan belong together: their edges are meant to meet, m. */
const NEIGHBOURS = 0.4;
/** No more findings than these, the nearest first. */
const MAX_FINDINGS = 6;

/** A visible outline on paper. */
interface Line {
  readonly element: string;
  readonly a: Vec2;
  readonly b: Vec2;
}

/** A place where two things just touch or line up, and flatten the picture. */
export interface Tangent {
  readonly kind: "corner" | "edges";
  readonly at: Vec2;
  /** How near, mm. */
  readonly off: number;
  readonly of: readonly [string, string];
}

/** Whether two boxes on the plan come near each other. */
function neighbours(solids: readonly Solid[]): (a: string, b: string) => boolean {
  const boxes = new Map<string, readonly [number, number, number, number]>();
  for (const { id, vertices } of solids) {
    const [x0, y0, x1, y1] = boxes.get(id) ?? [Infinity, Infinity, -Infinity, -Infinity];
    boxes.set(id, [
      Math.min(x0, ...vertices.map(([x]) => x)),
      Math.min(y0, ...vertices.map(([, y]) => y)),
      Math.max(x1, ...vertices.map(([x]) => x)),
      Math.max(y1, ...vertices.map(([, y]) => y)),
    ]);
  }
  return (a, b) => {
    const [p, q] = [boxes.get(a), boxes.get(b)];
    return (
      p !== undefined &&
      q !== undefined &&
      p[0] - NEIGHBOURS < q[2] &&
      q[0] - NEIGHBOURS < p[2] &&
      p[1] - NEIGHBOURS < q[3] &&
      q[1] - NEIGHBOURS < p[3]
    );
  };
}

/** How long two lines run side by side within a distance; 0 where they do not. */
function together(p: Line, q: Line): { readonly long: number; readonly off: number; readonly at: Vec2 } | null {
  const long = distance2(p.a, p.b);
  const [ux, uy] = [(p.b[0] - p.a[0]) / long, (p.b[1] - p.a[1]) / long];
  const place = ([x, y]: Vec2) =>
    [(x - p.a[0]) * ux + (y - p.a[1]) * uy, ux * (y - p.a[1]) - uy * (x - p.a[0])] as const;
  const [m, n] = [place(q.a), place(q.b)];
  if (Math.abs(n[1] - m[1]) > ALIKE * distance2(q.a, q.b)) return null;
  const [from, to] = [Math.max(0, Math.min(m[0], n[0])), Math.min(long, Math.max(m[0], n[0]))];
  const off = (Math.abs(m[1]) + Math.abs(n[1])) / 2;
  return to - from >= LONG && off <= TOGETHER
    ? { long: to - from, off, at: [p.a[0] + ((from + to) / 2) * ux, p.a[1] + ((from + to) / 2) * uy] }
    : null;
}

/** What is seen of outlines on paper, and the true corners among their ends. */
function outlines(
  view: View,
  solids: readonly Solid[],
  { ends, solid, edgeClass }: VisibleEdges,
): { readonly lines: Line[]; readonly corners: { readonly element: string; readonly at: Vec2 }[] } {
  const own = new Map<number, Set<string>>();
  const key = ([x, y, z]: Vec3) => `${x.toFixed(5)} ${y.toFixed(5)} ${z.toFixed(5)}`;
  const isCorner = (s: number, p: Vec3) => {
    let keys = own.get(s);
    if (!keys) own.set(s, (keys = new Set(solids[s].vertices.map(key))));
    return keys.has(key(p));
  };
  const lines: Line[] = [];
  const corners: { element: string; at: Vec2 }[] = [];
  edgeClass.forEach((as, i) => {
    if (as !== OUTLINE || solid[i] >= solids.length) return;
    const e = ends.subarray(6 * i, 6 * i + 6);
    const world: readonly Vec3[] = [
      [e[0], e[1], e[2]],
      [e[3], e[4], e[5]],
    ];
    const [a, b] = world.map((p) => project(view, p));
    if (!a || !b || !(contains(view.frame, a) || contains(view.frame, b)) || distance2(a, b) < 0.5) return;
    const element = solids[solid[i]].id;
    lines.push({ element, a, b });
    [a, b].forEach((at, k) => {
      if (contains(view.frame, at) && isCorner(solid[i], world[k])) corners.push({ element, at });
    });
  });
  return { lines, corners };
}

/**
 * Tangents of a picture: corners of one thing that just touch the outline of another, and outlines of two that run
 * together.
 * Things that stand against each other are left out; so is an edge that ends because the other hides it.
 */
export function tangentsOf(view: View, solids: readonly Solid[], visible: VisibleEdges): Tangent[] {
  const { lines, corners } = outlines(view, solids, visible);
  if (lines.length < 2) return [];
  const beside = neighbours(solids);
  const index = new Flatbush(lines.length);
  for (const { a, b } of lines)
    index.add(Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1]));
  index.finish();
  const best = new Map<string, Tangent>();
  const offer = (one: Tangent) => {
    const name = [...one.of].sort().join(" ");
    const now = best.get(name);
    // Outlines that run together say more than the corners they end in.
    if (!now || (one.kind === now.kind ? one.off < now.off : one.kind === "edges")) best.set(name, one);
  };
  const others = (element: string, x0: number, y0: number, x1: number, y1: number, pad: number) =>
    index
      .search(x0 - pad, y0 - pad, x1 + pad, y1 + pad)
      .map((i) => lines[i])
      .filter((line) => line.element !== element && !beside(line.element, element));
  for (const { element, at } of corners)
    for (const line of others(element, ...at, ...at, TOUCHES)) {
      const off = fromStretch(at, line.a, line.b);
      if (off <= TOUCHES) offer({ kind: "corner", at, off, of: [element, line.element] });
    }
  for (const line of lines) {
    if (distance2(line.a, line.b) < LONG) continue;
    const [x0, x1, y0, y1] = [
      Math.min(line.a[0], line.b[0]),
      Math.max(line.a[0], line.b[0]),
      Math.min(line.a[1], line.b[1]),
      Math.max(line.a[1], line.b[1]),
    ];
    for (const other of others(line.element, x0, y0, x1, y1, TOGETHER)) {
      const run = distance2(other.a, other.b) < LONG ? null : together(line, other);
      if (run) offer({ kind: "edges", at: run.at, off: run.off, of: [line.element, other.element] });
    }
  }
  return [...best.values()].sort((a, b) => a.off - b.off);
}

const tangentsFrom = (all: readonly Solid[], shot: Shot): Tangent[] => {
  const view = viewOf(shot);
  const { solids } = cutAway({ solids: all, details: [] }, view.eye, shot.cutaway);
  return tangentsOf(view, solids, visibleEdges(solids, view.eye, [], leastAngleOf(shot, EXACT)));
};

/** Ways and lengths, m, by which an eye is moved to be free of tangents: aside, up and down, ahead and back. */
const NUDGES = [0.1, 0.25, 0.5].flatMap((far) =>
  [
    [1, 0, 0],
    [-1, 0, 0],
    [0, 1, 0],
    [0, -1, 0],
    [0, 0, 1],
    [0, 0, -1],
    [1, 0, 1],
    [-1, 0, 1],
    [1, 0, -1],
    [-1, 0, -1],
  ].map(([a, b, c]) => [far * a, far * b, far * c] as const),
);

/**
 * The shot with its eye moved as little as frees it of most tangents; null where no small move does. The horizon stays
 * where it is, unless the eye may rise and sink.
 * @param rising whether it may
 */
export function nudgedEye(
  scene: Scene,
  shot: Shot,
  rising = false,
): { readonly shot: Shot; readonly left: number; readonly far: number } | null {
  const { solids } = built(scene.elements);
  const view = viewOf(shot);
  const now = tangentsFrom(solids, shot).length;
  let best: { shot: Shot; left: number; far: number } | null = null;
  for (const [aside, ahead, up] of NUDGES) {
    if (up !== 0 && !rising) continue;
    const { x, y, z } = shot.eye;
    const flat = Math.hypot(view.right[0], view.right[1]) || 1;
    const [rx, ry] = [view.right[0] / flat, view.right[1] / flat];
    const eye = { x: x + aside * rx - ahead * ry, y: y + aside * ry + ahead * rx, z: z + up };
    const next = { ...shot, eye };
    const left = tangentsFrom(solids, next).length;
    const far = Math.hypot(aside, ahead, up);
    if (left < (best?.left ?? now) || (best && left === best.left && far < best.far)) best = { shot: next, left, far };
    if (best?.left === 0) break;
  }
  return best;
}

/** Ways on the plan, and lengths, m, by which a thing is moved. */
const STEPS = [0.25, 0.5, 1, 2].flatMap((far) =>
  Array.from({ length: 8 }, (_, i) => [far * Math.cos((i * Math.PI) / 4), far * Math.sin((i * Math.PI) / 4)] as const),
);

/** Whether two things' boxes on the plan run into each other. */
function intrudes(one: Element, other: Element): boolean {
  const [p, q] = [outlineOf(one), outlineOf(other)];
  // Two outlines are apart where some side of one of them has all of the other beyond it: exact for those that bend
  // outwards.
  const parted = (a: readonly Vec2[], b: readonly Vec2[]) =>
    a.some(([x, y], i) => {
      const [u, v] = a[(i + 1) % a.length];
      return b.every(([s, t]) => (u - x) * (t - y) - (v - y) * (s - x) <= 1e-6);
    });
  return !parted(p, q) && !parted(q, p);
}

/**
 * The scene with one of two things moved over the ground as little as frees them of their tangent and leaves fewer in
 * the shot; null where no move by two metres or less does, or both stay where they are. What is moved runs into nothing
 * that it stood clear of.
 */
export function nudgedBlock(
  scene: Scene,
  shot: Shot,
  pair: readonly [string, string],
): { readonly element: Element; readonly left: number; readonly far: number } | null {
  const build = buildCache();
  const tangentsWith = (elements: readonly Element[]) => tangentsFrom(build(elements).solids, shot);
  const { length: now } = tangentsWith(scene.elements);
  const loose = scene.elements.filter((one) => pair.includes(one.id) && !one.locked && stands(one));
  for (const [dx, dy] of STEPS)
    for (const element of loose) {
      const next = moved(element, dx, dy);
      const others = scene.elements.filter((other) => other.id !== element.id && !other.hidden && stands(other));
      if (others.some((other) => intrudes(next, other) && !intrudes(element, other))) continue;
      const left = tangentsWith(scene.elements.map((one) => (one.id === element.id ? next : one)));
      if (left.length < now && !left.some(({ of }) => pair.every((id) => of.includes(id))))
        return { element: next, left: left.length, far: Math.hypot(dx, dy) };
    }
  return null;
}

/** The tangents of a shot as findings, the nearest first. */
export function tangents({ elements }: Scene, shot: Shot, solids: readonly Solid[], visible: VisibleEdges): Finding[] {
  const names = new Map(elements.map(({ id, name }) => [id, name]));
  return tangentsOf(viewOf(shot), solids, visible)
    .slice(0, MAX_FINDINGS)
    .map(({ kind, at, off, of: [p, q] }) => {
      const [one, other] = [names.get(p) ?? p, names.get(q) ?? q];
      return {
        id: `tangent-${p}-${q}`,
        severity: "note",
        between: [p, q],
        where: `${one}, ${other}`,
        at,
        value: tenth(off),
        unit: "mm",
        message:
          kind === "corner"
            ? sentence`A corner of ${one} just touches the outline of ${other}, ${mm(off)} from it: they seem to lie
              in one plane. Let one overlap the other, or stand clear.`
            : sentence`The outlines of ${one} and ${other} run together, ${mm(off)} apart: they seem to lie in one
              plane.`,
      };
    });
}
