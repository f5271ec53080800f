import { distance2, type Vec2 } from "../geometry";
import { areaTwice } from "./polygon";

/** A place of a skeleton: on the plan, and how far it lies from the sides that it belongs to, m. */
export interface SkeletonNode {
  readonly at: Vec2;
  readonly inwards: number;
}

/** The straight skeleton of an area: the parts of it that lie nearest to each of its sides. */
export interface Skeleton {
  readonly nodes: readonly SkeletonNode[];
  /**
   * For each side, of the outer ring and then of the holes: the numbers of the nodes around its part,
   * counter-clockwise, its own two ends first.
   */
  readonly faces: readonly (readonly number[])[];
}

/** The line of a side: the interior lies where its normal points, and it moves that way by 1 m in each unit of time. */
export interface Side {
  readonly way: Vec2;
  readonly normal: Vec2;
  /** normal . p on it. */
  readonly offset: number;
}

/** The path of a corner of the shrinking area, between two nodes; the sides that it lies between. */
export interface Arc {
  readonly from: number;
  readonly to: number;
  readonly sides: readonly [number, number];
}

/** Nodes nearer to each other than this are one, m. */
const SAME = 1e-4;
/** The parts of an area make up all of it but for this share. */
const WHOLE = 1e-6;
/** Sides whose crossing is told less well than this, as a determinant of their normals, tell no node. */
const WELL = 1e-6;

/** A node as it was found, the sides that meet in it, and when. */
export interface FoundNode {
  readonly at: Vec2;
  readonly sides: readonly number[];
  readonly time: number;
}

/** Where the lines of two sides cross; null where they are parallel. */
export function crossingOfSides(a: Side, b: Side): Vec2 | null {
  const det = a.normal[0] * b.normal[1] - a.normal[1] * b.normal[0];
  if (Math.abs(det) < 1e-9) return null;
  return [
    (a.offset * b.normal[1] - b.offset * a.normal[1]) / det,
    (a.normal[0] * b.offset - b.normal[0] * a.offset) / det,
  ];
}

/** The place that is equally far from three sides, and a measure of how well they tell it. */
function between3(a: Side, b: Side, c: Side): { readonly node: SkeletonNode; readonly det: number } {
  // normal . p - inwards = offset for each of them, by Cramer's rule.
  const [ax, ay] = a.normal;
  const [bx, by] = b.normal;
  const [cx, cy] = c.normal;
  const [bc, ca, ab] = [bx * cy - by * cx, cx * ay - cy * ax, ax * by - ay * bx];
  const det = -(ab + bc + ca);
  const [p, q, r] = [a.offset, b.offset, c.offset];
  const x = (p * (cy - by) + q * (ay - cy) + r * (by - ay)) / det;
  const y = (p * (bx - cx) + q * (cx - ax) + r * (ax - bx)) / det;
  return { node: { at: [x, y], inwards: ax * x + ay * y - p }, det };
}

/** A node from the three of its sides that tell it best. */
function exact({ at, sides: own, time }: FoundNode, sides: readonly Side[]): SkeletonNode {
  let best = { node: { at, inwards: time } as SkeletonNode, det: WELL };
  const unique = [...new Set(own)];
  for (let i = 0; i < unique.length; i++)
    for (let k = i + 1; k < unique.length; k++)
      for (let m = k + 1; m < unique.length; m++) {
        const one = between3(sides[unique[i]], sides[unique[k]], sides[unique[m]]);
        if (Math.abs(one.det) > best.det) best = { node: one.node, det: Math.abs(one.det) };
      }
  return best.node;
}

/** For each node the first that lies where it does. */
function merged(nodes: readonly FoundNode[]): readonly number[] {
  const first: number[] = [];
  nodes.forEach((node, i) => {
    first.push(nodes.findIndex((other, k) => k === i || (first[k] === k && distance2(node.at, other.at) < SAME)));
  });
  return first;
}

/** The nodes around the part of a side, from its end back to its start along arcs; null where none lead there. */
function around(from: number, to: number, arcs: readonly (readonly [number, number])[]): readonly number[] | null {
  const left = [...arcs];
  const loop = [to, from];
  for (let at = from; at !== to;) {
    const next = left.findIndex(([a, b]) => a === at || b === at);
    if (next < 0) return null;
    const [[a, b]] = left.splice(next, 1);
    at = a === at ? b : a;
    if (at !== to) loop.push(at);
  }
  return loop;
}

/**
 * The faces of a skeleton, from the arcs between its nodes.
 * @param rings the area's, its outer one counter-clockwise and holes clockwise; their corners are the first nodes
 */
export function facesOfSkeleton(
  rings: readonly (readonly Vec2[])[],
  sides: readonly Side[],
  found: readonly FoundNode[],
  arcs: readonly Arc[],
): Skeleton | null {
  const same = merged(found);
  // What is found at one place is told by all sides that were found to meet there.
  const sidesAt = same.map((first) => found.flatMap((node, i) => (same[i] === first ? node.sides : [])));
  const nodes = found.map((node, i): SkeletonNode =>
    node.time === 0 ? { at: node.at, inwards: 0 } : exact({ ...node, sides: sidesAt[i] }, sides),
  );
  const faces: (readonly number[])[] = [];
  let first = 0;
  for (const ring of rings) {
    for (let i = 0; i < ring.length; i++) {
      const [start, end] = [first + i, first + ((i + 1) % ring.length)];
      const own = arcs
        .filter((arc) => arc.sides.includes(start))
        .map(({ from, to }) => [same[from], same[to]] as const)
        .filter(([from, to]) => from !== to);
      const loop = around(end, start, own);
      if (!loop || loop.length < 3) return null;
      faces.push(loop);
    }
    first += ring.length;
  }
  const whole = rings.reduce((sum, ring) => sum + areaTwice(ring), 0);
  const parts = faces.reduce((sum, face) => sum + areaTwice(face.map((n) => nodes[n].at)), 0);
  return Math.abs(parts - whole) < WHOLE * whole ? { nodes, faces } : null;
}
