import { cross, dot, sub, unit, type Vec3 } from "../../geometry";
import { flatFace, folds, solidOf, type Edge, type Face, type Solid } from "../solid";
import type { Bend } from "./bend";

/** What is known of an edge: how it is curved, and of a contour whether its own surface hides it. */
export interface CurvedEdge {
  readonly bend?: Bend;
  readonly concave?: boolean;
}

/** What is told of a face. */
interface FaceTold {
  readonly round?: number;
  /** The surface that it goes on in smoothly, of flat faces too; that of `round` where nothing is said. */
  readonly surface?: number;
  readonly name?: string;
  readonly holes?: readonly (readonly number[])[];
  readonly front?: boolean;
}

/** Facets of a round solid, the flat faces first, and which of its edges are curved. */
export interface Mesh {
  readonly vertices: readonly Vec3[];
  readonly loops: readonly (readonly number[])[];
  readonly holes: readonly (readonly (readonly number[])[] | undefined)[];
  readonly rounds: readonly (number | undefined)[];
  /** Which faces go on into one another smoothly, round or flat: those with the same number. */
  readonly surfaces: readonly (number | undefined)[];
  readonly names: readonly (string | undefined)[];
  /** Of facets for an eye, whether their surface looks at that. */
  readonly fronts: readonly (boolean | undefined)[];
  readonly bends: ReadonlyMap<number, ReadonlyMap<number, CurvedEdge>>;
  readonly convex: boolean;
}

/** Gathers the facets of a round solid. */
export class MeshBook {
  private readonly vertices: Vec3[] = [];
  private readonly loops: (readonly number[])[] = [];
  private readonly holes: (readonly (readonly number[])[] | undefined)[] = [];
  private readonly rounds: (number | undefined)[] = [];
  private readonly surfaces: (number | undefined)[] = [];
  private readonly names: (string | undefined)[] = [];
  private readonly fronts: (boolean | undefined)[] = [];
  private readonly curved = new Map<number, Map<number, CurvedEdge>>();

  vertex(at: Vec3): number {
    return this.vertices.push(at) - 1;
  }

  at(vertex: number): Vec3 {
    return this.vertices[vertex];
  }

  face(loop: readonly number[], { round, surface = round, name, holes, front }: FaceTold): void {
    this.loops.push(loop);
    this.holes.push(holes);
    this.rounds.push(round);
    this.surfaces.push(surface);
    this.names.push(name);
    this.fronts.push(front);
  }

  /** Tells how the edge between two vertices is curved, from the first to the second; told again, it stays. */
  edge(a: number, b: number, told: CurvedEdge): void {
    const from = this.curved.get(a);
    if (!from) this.curved.set(a, new Map([[b, told]]));
    else if (!from.has(b)) from.set(b, told);
  }

  mesh(convex: boolean): Mesh {
    const { vertices, loops, holes, rounds, surfaces, names, fronts, curved: bends } = this;
    return { vertices, loops, holes, rounds, surfaces, names, fronts, bends, convex };
  }
}

const reversed = ([u, v]: Bend): Bend => [
  [-v[0], -v[1], -v[2]],
  [-u[0], -u[1], -u[2]],
];

/** The solid of a mesh, with its curved edges. */
export function solidOfMesh(id: string, mesh: Mesh): Solid {
  const { vertices, loops, rounds, surfaces, names, holes, bends, convex } = mesh;
  const solid = solidOf(id, vertices, loops, rounds, names, holes, convex);
  const edges = solid.edges.map((edge) => {
    const [a, b] = edge.faces.map((face) => surfaces[face]);
    return withTold(a !== undefined && a === b ? { ...edge, smooth: true } : edge, bends);
  });
  return { ...solid, edges };
}

/** An edge with what was told of it, whichever way around. */
function withTold(edge: Edge, bends: Mesh["bends"]): Edge {
  const told = bends.get(edge.a)?.get(edge.b);
  const back = told ? undefined : bends.get(edge.b)?.get(edge.a);
  if (!told && !back) return edge;
  const bend = told?.bend ?? (back?.bend && reversed(back.bend));
  return { ...edge, ...(bend ? { bend } : {}), concave: (told ?? back)?.concave ?? edge.concave };
}

/** The facet of a round surface: flat and convex, with three corners or four. */
function facetOf(vertices: readonly Vec3[], loop: readonly number[], { round, name, front }: FaceTold): Face {
  const [a, b, c, d] = loop.map((n) => vertices[n]);
  // Of a quadrilateral the diagonals tell the normal.
  const normal = unit(d ? cross(sub(c, a), sub(d, b)) : cross(sub(b, a), sub(c, a)));
  return { loop, pieces: [loop], normal, offset: dot(normal, a), round, name, front };
}

/**
 * The solid of a mesh that was made for an eye. Of its edges it has those that can be seen: between surfaces, and where
 * one turns away. Where facets that look away were left out, the last face stands for them.
 */
export function seenSolidOfMesh(id: string, mesh: Mesh): Solid {
  const { vertices, loops, rounds, names, holes, fronts, bends, convex } = mesh;
  const flat = rounds.findIndex((round) => round !== undefined);
  const first = flat < 0 ? loops.length : flat;
  const faces = loops.map((loop, f): Face => {
    const [round, name] = [rounds[f], names[f]];
    if (f < first) return flatFace(vertices, loop, holes[f], name);
    return facetOf(vertices, loop, { round, name, front: fronts[f] });
  });
  const { edges, open } = edgesBetween(mesh, faces);
  const away = faces.length;
  const met = new Set(edges.map(({ a, b }) => a * vertices.length + b));
  const isMet = (a: number, b: number) => met.has(a * vertices.length + b) || met.has(b * vertices.length + a);
  let isOpen = false;
  for (const [a, told] of bends)
    for (const b of told.keys()) {
      if (isMet(a, b)) continue;
      isOpen = true;
      const face = open.get(a * vertices.length + b) ?? open.get(b * vertices.length + a) ?? away;
      edges.push(withTold({ a, b, faces: [face, away], concave: false, smooth: false }, bends));
    }
  const behind: Face = { ...faces[0], loop: [], pieces: [], holes: undefined, name: undefined, front: false };
  return { id, vertices, faces: isOpen ? [...faces, behind] : faces, edges, convex };
}

/** The edges between the faces of a mesh that can be seen, and by its ends each that lies on one face only. */
function edgesBetween({ vertices, loops, holes, surfaces, fronts, bends }: Mesh, faces: readonly Face[]) {
  // By the numbers of both ends in one: the face on whose loop an edge has been met so far.
  const open = new Map<number, number>();
  const edges: Edge[] = [];
  const meet = (ring: readonly number[], face: number) => {
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i], ring[i + 1 < ring.length ? i + 1 : 0]];
      const key = b * vertices.length + a;
      const other = open.get(key);
      if (other === undefined) {
        open.set(a * vertices.length + b, face);
        continue;
      }
      open.delete(key);
      const smooth = surfaces[face] !== undefined && surfaces[face] === surfaces[other];
      if (smooth && fronts[face] === fronts[other]) continue;
      const concave = folds(faces[other], faces[face], vertices[b], vertices[a]);
      edges.push(withTold({ a: b, b: a, faces: [other, face], concave, smooth }, bends));
    }
  };
  loops.forEach((loop, face) => {
    meet(loop, face);
    for (const hole of holes[face] ?? []) meet(hole, face);
  });
  return { edges, open };
}
