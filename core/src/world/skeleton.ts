import { crossingOfSides, facesOfSkeleton, type Arc, type FoundNode, type Side, type Skeleton } from "./skeletonFaces";
import type { Vec2 } from "../geometry";

export type { Skeleton, SkeletonNode } from "./skeletonFaces";

/** A corner of the shrinking area. */
interface Corner {
  /** The sides before and behind it. */
  readonly before: number;
  readonly behind: number;
  readonly node: number;
  readonly at: Vec2;
  readonly since: number;
  readonly pace: Vec2;
  readonly inwards: boolean;
  /** Whether its two sides run against each other, so that nothing is left between them. */
  readonly closed: boolean;
  previous: Corner;
  next: Corner;
}

/** What happens next to the shrinking area, and when. */
type Event =
  | { readonly what: "edge"; readonly after: number; readonly corner: Corner }
  | { readonly what: "split"; readonly after: number; readonly corner: Corner; readonly by: Corner };

/** Sides are moved apart by so little that no two events fall together, m; nodes are worked out without it. */
const JITTER = 1e-7;
const PARALLEL = 1e-9;
/** No area with more corners has its skeleton worked out. */
export const MAX_CORNERS = 120;

const dot = (a: Vec2, b: Vec2): number => a[0] * b[0] + a[1] * b[1];
const cross = (a: Vec2, b: Vec2): number => a[0] * b[1] - a[1] * b[0];

function sideBetween(p: Vec2, q: Vec2): Side {
  const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
  const way: Vec2 = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  const normal: Vec2 = [-way[1], way[0]];
  return { way, normal, offset: dot(normal, p) };
}

/** An area that shrinks: all of its sides move inwards at one pace, until nothing is left of it. */
class Shrinking {
  readonly sides: Side[] = [];
  readonly moved: Side[] = [];
  readonly nodes: FoundNode[] = [];
  readonly arcs: Arc[] = [];
  readonly corners = new Set<Corner>();
  time = 0;

  constructor(rings: readonly (readonly Vec2[])[]) {
    for (const ring of rings) this.add(ring);
  }

  private add(ring: readonly Vec2[]): void {
    const first = this.sides.length;
    const n = ring.length;
    ring.forEach((p, i) => {
      const side = sideBetween(p, ring[(i + 1) % n]);
      this.sides.push(side);
      // Sines of different numbers are in no simple relation to each other.
      this.moved.push({ ...side, offset: side.offset + JITTER * Math.sin(7 * (first + i) + 1) });
    });
    const corners = ring.map((p, i) => {
      const [before, behind] = [first + ((i + n - 1) % n), first + i];
      this.nodes.push({ at: p, sides: [before, behind], time: 0 });
      const [a, b] = [this.moved[before], this.moved[behind]];
      return this.cornerBetween(before, behind, this.nodes.length - 1, crossingOfSides(a, b) ?? p);
    });
    corners.forEach((corner, i) => {
      corner.next = corners[(i + 1) % n];
      corner.previous = corners[(i + n - 1) % n];
      this.corners.add(corner);
    });
  }

  /** A corner between two sides, not yet linked to its neighbours. */
  private cornerBetween(before: number, behind: number, node: number, at: Vec2): Corner {
    const [a, b] = [this.moved[before], this.moved[behind]];
    const [turn, same] = [cross(a.way, b.way), dot(a.way, b.way)];
    const closed = Math.abs(turn) < PARALLEL && same < 0;
    const pace: Vec2 =
      Math.abs(turn) < PARALLEL
        ? closed
          ? [0, 0]
          : a.normal
        : [(b.normal[1] - a.normal[1]) / turn, (a.normal[0] - b.normal[0]) / turn];
    const corner = { before, behind, node, at, since: this.time, pace, inwards: turn < -PARALLEL, closed };
    return Object.assign(corner, { previous: corner as Corner, next: corner as Corner }) as Corner;
  }

  /** Where a corner is so long from now. */
  private place({ at, pace, since }: Corner, after = 0): Vec2 {
    const long = this.time + after - since;
    return [at[0] + pace[0] * long, at[1] + pace[1] * long];
  }

  private node(at: Vec2, sides: readonly number[]): number {
    return this.nodes.push({ at, sides, time: this.time }) - 1;
  }

  /** Ends a corner at a node. */
  private end(corner: Corner, node: number): void {
    if (corner.node !== node) this.arcs.push({ from: corner.node, to: node, sides: [corner.before, corner.behind] });
    this.corners.delete(corner);
  }

  /** Puts a new corner between two others, unless nothing is left between them. */
  private link(corner: Corner, previous: Corner, next: Corner): void {
    [corner.previous, corner.next] = [previous, next];
    previous.next = corner;
    next.previous = corner;
    this.corners.add(corner);
  }

  /** When the side behind a corner has shrunk to nothing. */
  private edgeEvent(corner: Corner): Event | null {
    const { next } = corner;
    const { way } = this.moved[corner.behind];
    const [p, q] = [this.place(corner), this.place(next)];
    const rate = dot([next.pace[0] - corner.pace[0], next.pace[1] - corner.pace[1]], way);
    const left = dot([q[0] - p[0], q[1] - p[1]], way);
    if (left > 1e-12 && rate > -1e-12) return null;
    if (left <= 1e-12 && rate > 1e-9) return null;
    return { what: "edge", after: left <= 0 ? 0 : -left / Math.min(rate, -1e-12), corner };
  }

  /** When a corner that bends inwards runs into the side behind another one. */
  private splitEvent(corner: Corner, by: Corner): Event | null {
    const side = this.moved[by.behind];
    const away = dot(side.normal, this.place(corner)) - side.offset - this.time;
    const closing = 1 - dot(side.normal, corner.pace);
    if (away < -1e-6 || closing < 1e-9) return null;
    const after = Math.max(0, away / closing);
    const at = this.place(corner, after);
    const [p, q] = [this.place(by, after), this.place(by.next, after)];
    const along = dot([at[0] - p[0], at[1] - p[1]], side.way);
    const left = dot([q[0] - at[0], q[1] - at[1]], side.way);
    return along < -1e-9 || left < -1e-9 ? null : { what: "split", after, corner, by };
  }

  private nextEvent(): Event | null {
    let best: Event | null = null;
    const better = (event: Event | null) => {
      if (event && (!best || event.after < best.after)) best = event;
    };
    for (const corner of this.corners) {
      better(this.edgeEvent(corner));
      if (!corner.inwards) continue;
      for (const by of this.corners)
        if (by.behind !== corner.before && by.behind !== corner.behind) better(this.splitEvent(corner, by));
    }
    return best;
  }

  /** Follows the ridge where two sides run against each other, from the corner between them to the nearer neighbour. */
  private closeRidge(corner: Corner): void {
    const { previous, next, before } = corner;
    const { way } = this.moved[before];
    const at = this.place(corner);
    const far = (other: Corner) => {
      const [x, y] = this.place(other);
      return Math.abs(dot([x - at[0], y - at[1]], way));
    };
    const nearer = previous === next || far(previous) <= far(next) ? previous : next;
    const node = this.node(this.place(nearer), [nearer.before, nearer.behind, corner.before, corner.behind]);
    this.end(corner, node);
    this.end(nearer, node);
    if (previous === next) return;
    if (nearer === previous) this.join(previous.before, corner.behind, node, previous.previous, next);
    else this.join(corner.before, next.behind, node, previous, next.next);
  }

  /** A new corner at a node, between two sides and two neighbours. */
  private join(before: number, behind: number, node: number, previous: Corner, next: Corner): void {
    const corner = this.cornerBetween(before, behind, node, this.nodes[node].at);
    if (previous === next && previous.previous === previous) return;
    this.link(corner, previous, next);
  }

  private collapse({ corner }: Event & { what: "edge" }): void {
    const { next } = corner;
    const node = this.node(this.place(corner), [corner.before, corner.behind, next.behind]);
    this.end(corner, node);
    this.end(next, node);
    if (next.next === corner) return;
    this.join(corner.before, next.behind, node, corner.previous, next.next);
  }

  private split({ corner, by }: Event & { what: "split" }): void {
    const node = this.node(this.place(corner), [corner.before, corner.behind, by.behind]);
    const { previous, next } = corner;
    const behind = by.next;
    this.end(corner, node);
    const [one, other] = [
      this.cornerBetween(corner.before, by.behind, node, this.nodes[node].at),
      this.cornerBetween(by.behind, corner.behind, node, this.nodes[node].at),
    ];
    this.link(one, previous, behind);
    this.link(other, by, next);
  }

  /** Shrinks the area until nothing is left. @returns whether it came to an end */
  run(): boolean {
    for (let steps = 0; this.corners.size > 0; steps++) {
      if (steps > 20 * this.sides.length) return false;
      const pair = [...this.corners].find((corner) => corner.next.next === corner);
      const closed = [...this.corners].find((corner) => corner.closed);
      if (closed) {
        this.closeRidge(closed);
        continue;
      }
      if (pair) {
        const node = this.node(this.place(pair.next), [pair.before, pair.behind]);
        this.end(pair, node);
        this.end(pair.next, node);
        continue;
      }
      const event = this.nextEvent();
      if (!event) return false;
      this.time += event.after;
      if (event.what === "edge") this.collapse(event);
      else this.split(event);
    }
    return true;
  }
}

/**
 * The straight skeleton of an area (Aichholzer, Aurenhammer, Alberts and Gärtner, 1995): its sides are moved inwards
 * at one pace, and the paths of its corners part it. Sides that shrink to nothing and corners that run into a side are
 * followed one by one, each looked for among all that may come next.
 * @param outer corners of its rim, counter-clockwise, and of each of its holes, counter-clockwise, m; none on the line
 * between its neighbours
 * @returns null where it has more corners than are worked out, or rounding spoils it
 */
export function straightSkeleton(outer: readonly Vec2[], holes: readonly (readonly Vec2[])[] = []): Skeleton | null {
  const rings = [outer, ...holes.map((hole) => [...hole].reverse())];
  if (rings.flat().length > MAX_CORNERS) return null;
  const area = new Shrinking(rings);
  return area.run() ? facesOfSkeleton(rings, area.sides, area.nodes, area.arcs) : null;
}
