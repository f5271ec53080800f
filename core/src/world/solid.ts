import { cross, dot, sub, unit, type Vec3 } from "../geometry";

/** A flat convex face; `normal` points out of the solid and normal . p = offset on it. */
export interface Face {
  /** Vertex numbers, counter-clockwise seen from outside. */
  readonly loop: readonly number[];
  readonly normal: Vec3;
  readonly offset: number;
}

/** An edge from vertex a to vertex b, between two faces. */
export interface Edge {
  readonly a: number;
  readonly b: number;
  readonly faces: readonly [number, number];
}

/** A closed convex solid with shared vertices, in world metres. */
export interface Solid {
  /** The element it was built from. */
  readonly id: string;
  readonly vertices: readonly Vec3[];
  readonly faces: readonly Face[];
  readonly edges: readonly Edge[];
}

/** A solid from vertices and outward loops; the edges follow from the loops. Each edge must lie on two loops. */
export function solidOf(id: string, vertices: readonly Vec3[], loops: readonly (readonly number[])[]): Solid {
  const faces = loops.map((loop): Face => {
    const [p, q, r] = loop.map((n) => vertices[n]);
    const normal = unit(cross(sub(q, p), sub(r, p)));
    return { loop, normal, offset: dot(normal, p) };
  });
  const open = new Map<string, number>();
  const edges: Edge[] = [];
  loops.forEach((loop, face) => {
    loop.forEach((a, i) => {
      const b = loop[(i + 1) % loop.length];
      const other = open.get(`${b} ${a}`);
      if (other === undefined) open.set(`${a} ${b}`, face);
      else edges.push({ a: b, b: a, faces: [other, face] });
    });
  });
  return { id, vertices, faces, edges };
}
