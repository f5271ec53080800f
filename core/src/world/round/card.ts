import { add, cross, dot, norm, scale, sub, type Vec2, type Vec3 } from "../../geometry";
import { together } from "../areas";
import type { DetailItem } from "../details";
import { centroid, circle, convexHull, isWithin } from "../polygon";
import type { Edge, Face, Solid } from "../solid";
import { sagittaAt, type Fineness } from "./how";
import { extentOf, placed, type Ball, type Hull, type Hulls } from "./hulls";
import { stepsOf } from "./outline";

/** The plane of a card: its origin, two unit directions in it, and its unit normal, which looks at the eye. */
interface Card {
  readonly origin: Vec3;
  readonly right: Vec3;
  readonly up: Vec3;
  readonly normal: Vec3;
}

/** The plane that faces an eye before a place; null where the eye is there. */
function cardBefore(at: Vec3, eye: Vec3, before: number): Card | null {
  const sight = sub(eye, at);
  const far = norm(sight);
  if (far <= 2 * before) return null;
  const normal = scale(sight, 1 / far);
  const level = Math.hypot(normal[0], normal[1]);
  const right: Vec3 = level < 1e-9 ? [1, 0, 0] : [-normal[1] / level, normal[0] / level, 0];
  return { origin: add(at, scale(normal, before)), right, up: cross(normal, right), normal };
}

/** Where a line of sight through a place meets a card; null where the place is not before the eye. */
function onCard({ origin, right, up, normal }: Card, eye: Vec3, through: Vec3): Vec2 | null {
  const way = sub(through, eye);
  const deep = -dot(way, normal);
  if (deep <= 0) return null;
  const t = dot(sub(eye, origin), normal) / deep;
  const place = sub(add(eye, scale(way, t)), origin);
  return [dot(place, right), dot(place, up)];
}

/**
 * Places of a card along the silhouette of a ball: of the circle in which the cone from the eye touches it, whose
 * middle is r^2 / d nearer than its own, and whose radius is r sqrt(1 - r^2 / d^2). Null where it is not all before
 * the eye.
 */
function touching(card: Card, eye: Vec3, [x, y, z, radius]: Ball, sagitta: number): readonly Vec2[] | null {
  const way = sub([x, y, z], eye);
  const far = norm(way);
  if (-dot(way, card.normal) <= radius || far <= radius) return null;
  const sight = scale(way, 1 / far);
  const u = cross(card.up, sight);
  const [across, over] = [scale(u, 1 / norm(u)), cross(sight, scale(u, 1 / norm(u)))];
  const middle = add(eye, scale(sight, far - (radius * radius) / far));
  const rim = radius * Math.sqrt(1 - (radius / far) ** 2);
  // As many corners as suit its size: a square, of the smallest.
  const places: Vec2[] = [];
  for (const [c, s] of circle([0, 0], rim, stepsOf(rim, 2 * Math.PI, sagitta, Math.PI / 2))) {
    const place = onCard(card, eye, add(middle, add(scale(across, c), scale(over, s))));
    if (!place) return null;
    places.push(place);
  }
  return places;
}

/** The silhouette of a hull on a card; null where it is not all before the eye. */
function silhouette(card: Card, eye: Vec3, balls: readonly Ball[], sagitta: number): readonly Vec2[] | null {
  const places: Vec2[] = [];
  for (const ball of balls) {
    const own = touching(card, eye, ball, sagitta);
    if (!own) return null;
    places.push(...own);
  }
  return convexHull(places);
}

/** The disc of a card around a ball, near enough to say what lies in it. */
function discOf(card: Card, eye: Vec3, [x, y, z, radius]: Ball): SeenHull["joint"] {
  const at = onCard(card, eye, [x, y, z]);
  return at && { at, radius };
}

/** A hull as an eye sees it on a card. */
interface SeenHull extends Omit<Hull, "balls"> {
  readonly ring: readonly Vec2[];
  /** How near it comes to the eye, m. */
  readonly near: number;
  /** The disc of its joint. */
  readonly joint: { readonly at: Vec2; readonly radius: number } | null;
}

/** The outline of a hull is left open around its joint within so many of its radii. */
const OPEN = 1.35;

/** The stretches of a hull's outline that are drawn within the whole: before other parts, and behind none. */
function linesWithin(one: SeenHull, all: readonly SeenHull[]): readonly (readonly [Vec2, Vec2])[] {
  const { ring, over = [], near, joint, part, arc } = one;
  const [cx, cy] = centroid(ring);
  const others = all.filter((other) => other !== one);
  const own = others.filter((other) => part !== undefined && other.part === part);
  const behind = others.filter((other) => over.includes(other.part ?? "") && other.near > near);
  const before = others.filter((other) => other.near < near && other.part !== part);
  return ring.flatMap((p, i) => {
    const q = ring[(i + 1) % ring.length];
    const middle: Vec2 = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
    const isOn = (other: SeenHull) => isWithin(middle, other.ring);
    const isAtJoint = joint && Math.hypot(middle[0] - joint.at[0], middle[1] - joint.at[1]) < OPEN * joint.radius;
    const turn = Math.atan2(middle[1] - cy, middle[0] - cx);
    if (arc && (turn < arc[0] || turn > arc[1])) return [];
    return behind.some(isOn) && !isAtJoint && !own.some(isOn) && !before.some(isOn) ? [[p, q] as const] : [];
  });
}

/** Gathers the two sides of a card and the lines on it. */
class CardBook {
  readonly vertices: Vec3[] = [];
  readonly faces: Face[] = [];
  readonly edges: Edge[] = [];

  constructor(private readonly card: Card) {}

  private vertex([x, y]: Vec2): number {
    const { origin, right, up } = this.card;
    return this.vertices.push(add(origin, add(scale(right, x), scale(up, y)))) - 1;
  }

  /** The two sides of the card: its rims, and convex parts that cover it. */
  sides(rims: readonly (readonly Vec2[])[], parts: readonly (readonly Vec2[])[]): void {
    const numbered = (ring: readonly Vec2[]) => ring.map((at) => this.vertex(at));
    const [loops, pieces] = [rims.map(numbered), parts.map(numbered)];
    const turned = (rings: readonly (readonly number[])[]) => rings.map((ring) => [...ring].reverse());
    const { normal, origin } = this.card;
    const front = { loop: loops[0], pieces, normal, offset: dot(normal, origin) };
    const [loop] = turned([loops[0]]);
    this.faces.push(front, { loop, pieces: turned(pieces), normal: scale(normal, -1), offset: -front.offset });
    for (const ring of loops)
      ring.forEach((a, i) =>
        this.edges.push({ a, b: ring[(i + 1) % ring.length], faces: [0, 1], concave: false, smooth: false }),
      );
  }

  /** A line on the card. */
  line([p, q]: readonly [Vec2, Vec2], item: DetailItem): void {
    const detail = { kind: "figure", item } as const;
    const [a, b] = [this.vertex(p), this.vertex(q)];
    this.edges.push({ a, b, faces: [0, 0], concave: false, smooth: false, detail });
  }
}

/**
 * What is lower than so many sagittas is drawn as one hull: two millimetres, where those are a twentieth. What is not
 * higher than so many has no lines within it.
 */
const [SMALL, FINE] = [40, 240] as const;
/** What has no ball larger than so many sagittas is left out. */
const TINY = 1.5;

/** A ring without corners that lie within a sagitta of what is left of it. */
function simpler(ring: readonly Vec2[], sagitta: number): readonly Vec2[] {
  const kept: Vec2[] = [ring[0]];
  let skipped: Vec2[] = [];
  ring.slice(1).forEach((p, i) => {
    const [a, b] = [kept[kept.length - 1], ring[(i + 2) % ring.length]];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const reach = sagitta * Math.hypot(dx, dy);
    skipped.push(p);
    if (skipped.every(([x, y]) => Math.abs(dx * (y - a[1]) - dy * (x - a[0])) <= reach)) return;
    kept.push(p);
    skipped = [];
  });
  return kept.length > 2 ? kept : ring;
}

/** What is drawn by its silhouette, as an eye sees it: a card with two sides, or nothing where the eye is too near. */
export function cardOf(id: string, shape: Hulls, how: Fineness & { readonly eye: Vec3 }): Solid {
  const { eye } = how;
  const middle = middleOf(shape);
  const nothing: Solid = { id, vertices: [middle], faces: [], edges: [], convex: true, card: true };
  const card = cardBefore(middle, eye, shape.before);
  if (!card) return nothing;
  const sagitta = sagittaAt(how, norm(sub(eye, middle)));
  const tall = extentOf(shape.hulls)[1][2] - extentOf(shape.hulls)[0][2];
  const large = shape.hulls.filter(
    // What is drawn by its rims has small balls, however wide it is.
    ({ balls }) => balls.length > 3 || balls.some(([, , , radius]) => radius > TINY * sagitta),
  );
  const seen = (tall < SMALL * sagitta ? [asOne(shape.hulls)] : large).flatMap(
    ({ balls, ...hull }): readonly SeenHull[] => {
      const own = placed(shape, { balls });
      const ring = silhouette(card, eye, own, sagitta);
      if (!ring || ring.length < 3) return [];
      const near = Math.min(...own.map(([x, y, z]) => norm(sub([x, y, z], eye))));
      return [{ ...hull, ring, near, joint: hull.joins ? discOf(card, eye, own[0]) : null }];
    },
  );
  if (seen.length === 0) return nothing;
  const book = new CardBook(card);
  book.sides(
    together(seen.map(({ ring }) => [ring])).map((ring) => simpler(ring, sagitta)),
    seen.map(({ ring }) => ring),
  );
  const item = { index: 0 };
  if (tall > FINE * sagitta)
    for (const one of seen) if (one.over) for (const line of linesWithin(one, seen)) book.line(line, item);
  return { ...nothing, vertices: book.vertices, faces: book.faces, edges: book.edges };
}

/** The middle of what is drawn by its silhouette, halfway up. */
function middleOf({ at, hulls }: Hulls): Vec3 {
  const [low, high] = extentOf(hulls);
  return [at[0], at[1], at[2] + (low[2] + high[2]) / 2];
}

/** Hulls as one around them all. */
const asOne = (hulls: readonly Hull[]): Hull => ({ balls: hulls.flatMap(({ balls }) => balls) });
