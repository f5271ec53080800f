import { cross, dot, norm, scale, sub, type Vec2, type Vec3 } from "../geometry";
import type { Detail } from "./details";
import type { Bend, RoundShape } from "./round";
import { convexParts, trianglesOf } from "./triangles";

/** A flat face; `normal` points out of the solid and normal . p = offset on it. */
export interface Face {
  /** Vertex numbers around it, counter-clockwise seen from outside. */
  readonly loop: readonly number[];
  /** Vertex numbers around each of its holes, clockwise seen from outside. */
  readonly holes?: readonly (readonly number[])[];
  /** Convex parts that cover it, as loops of their own: the loop itself where it is convex. */
  readonly pieces: readonly (readonly number[])[];
  readonly normal: Vec3;
  readonly offset: number;
  /** The round surface that it is a facet of, if any. */
  readonly round?: number;
  /** What it is of its solid: top, bottom, wall 0 ... */
  readonly name?: string;
  /** Of a facet that was made for an eye: whether its surface looks at that. */
  readonly front?: boolean;
}

/** What an edge is drawn as that is a detail. */
export type EdgeDetail = Pick<Detail, "kind" | "item" | "level">;

/** An edge from vertex a to vertex b, between two faces. */
export interface Edge {
  readonly a: number;
  readonly b: number;
  readonly faces: readonly [number, number];
  /** The solid folds inwards along it. */
  readonly concave: boolean;
  /** A join within a round surface or a plane: drawn only where the surface turns away from the eye. */
  readonly smooth: boolean;
  /** It is drawn as a detail, such as an edge of an opening; where nothing is said, as an edge. */
  readonly detail?: EdgeDetail;
  /** How it is curved from a to b; where nothing is said, it is straight. */
  readonly bend?: Bend;
}

/**
 * A solid with shared vertices, in world metres: closed, so that each edge lies between two faces; or an open sheet,
 * which has no edges of its own.
 */
export interface Solid {
  /** The element it was built from. */
  readonly id: string;
  readonly vertices: readonly Vec3[];
  readonly faces: readonly Face[];
  readonly edges: readonly Edge[];
  /** Which part of its element it is, where that is asked for. */
  readonly part?: string;
  /** Whether no face of it can hide another part of it from an eye outside. */
  readonly convex: boolean;
  /** A card that faces the eye it was made for: it cuts through nothing. */
  readonly card?: boolean;
  /** What it is exactly, where some of its faces are round: its own faces are facets of them. */
  readonly shape?: RoundShape;
}

/** Nearer than this to a plane counts as on it, m. */
const FLAT = 1e-7;

/**
 * A loop's normal by Newell's method, which holds for concave loops, too (Sutherland, Sproull and Schumacker, 1974
 * (from memory)).
 */
function normalOf(loop: readonly number[], vertices: readonly Vec3[]): Vec3 {
  let [x, y, z] = [0, 0, 0];
  loop.forEach((n, i) => {
    const [p, q] = [vertices[n], vertices[loop[(i + 1) % loop.length]]];
    x += (p[1] - q[1]) * (p[2] + q[2]);
    y += (p[2] - q[2]) * (p[0] + q[0]);
    z += (p[0] - q[0]) * (p[1] + q[1]);
  });
  return scale([x, y, z], 1 / norm([x, y, z]));
}

/** Whether a loop turns one way only. */
const turnsOneWay = (loop: readonly number[], vertices: readonly Vec3[], normal: Vec3): boolean =>
  loop.every((_, i) => {
    const [p, q, r] = [0, 1, 2].map((k) => vertices[loop[(i + k) % loop.length]]);
    const [u, v] = [sub(q, p), sub(r, q)];
    return dot(cross(u, v), normal) >= -1e-9 * norm(u) * norm(v);
  });

/** Convex parts of a loop without its holes. */
function piecesOf(
  loop: readonly number[],
  holes: readonly (readonly number[])[],
  vertices: readonly Vec3[],
  normal: Vec3,
): readonly (readonly number[])[] {
  if (holes.length === 0 && turnsOneWay(loop, vertices, normal)) return [loop];
  // Seen along the axis that the normal runs nearest to, turned so that the loop stays counter-clockwise.
  const [ax, ay, az] = normal.map(Math.abs);
  const axis = az >= ax && az >= ay ? 2 : ax >= ay ? 0 : 1;
  const across = [(axis + 1) % 3, (axis + 2) % 3];
  const [i, k] = normal[axis] > 0 ? across : across.reverse();
  const seen = (ring: readonly number[]) => ring.map((n): Vec2 => [vertices[n][i], vertices[n][k]]);
  const { places, triangles } = trianglesOf({ outer: seen(loop), holes: holes.map(seen) });
  const corners = [loop, ...holes].flat();
  return convexParts(places, triangles).map((part) => part.map((n) => corners[n]));
}

/** A flat face from its loops. */
export function flatFace(
  vertices: readonly Vec3[],
  loop: readonly number[],
  holes: readonly (readonly number[])[] = [],
  name?: string,
): Face {
  const normal = normalOf(loop, vertices);
  return {
    loop,
    ...(holes.length ? { holes } : {}),
    pieces: piecesOf(loop, holes, vertices, normal),
    normal,
    offset: dot(normal, vertices[loop[0]]),
    name,
  };
}

/**
 * A solid from vertices and outward loops; the edges follow from the loops. Each edge must lie on two loops, once
 * each way.
 * @param round the round surface that each loop is a facet of, if any: joins between two facets of one are smooth
 * @param names what each face is called, if anything
 * @param holes the loops around the holes of each face, if it has any
 * @param isConvex whether it is convex, where that is known
 */
export function solidOf(
  id: string,
  vertices: readonly Vec3[],
  loops: readonly (readonly number[])[],
  round: readonly (number | undefined)[] = [],
  names: readonly (string | undefined)[] = [],
  holes: readonly (readonly (readonly number[])[] | undefined)[] = [],
  isConvex?: boolean,
): Solid {
  const faces = loops.map((loop, f): Face => ({ ...flatFace(vertices, loop, holes[f], names[f]), round: round[f] }));
  // By the numbers of both ends in one: the face on whose loop an edge has been met so far.
  const open = new Map<number, number>();
  const edges: Edge[] = [];
  const meet = (ring: readonly number[], face: number) =>
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length];
      const other = open.get(b * vertices.length + a);
      if (other === undefined) open.set(a * vertices.length + b, face);
      else
        edges.push({
          a: b,
          b: a,
          faces: [other, face],
          concave: folds(faces[other], faces[face], vertices[b], vertices[a]),
          smooth: (round[face] !== undefined && round[face] === round[other]) || inOnePlane(faces[face], faces[other]),
        });
    });
  loops.forEach((loop, face) => {
    meet(loop, face);
    for (const hole of holes[face] ?? []) meet(hole, face);
  });
  const convex =
    isConvex ?? faces.every(({ normal, offset }) => vertices.every((p) => dot(normal, p) - offset <= FLAT));
  return { id, vertices, faces, edges, convex };
}

/** Whether two faces that meet lie in one plane, so that there is nothing to be seen of the join. */
const inOnePlane = (one: Face, other: Face): boolean => dot(one.normal, other.normal) > 1 - 1e-10;

/** A solid as a part of its element. */
export const asPart = (solid: Solid, part: string): Solid => ({ ...solid, part });

/** The number of the face of a solid with a name; -1 where none has it. */
export const faceNamed = ({ faces }: Solid, name: string): number => faces.findIndex((face) => face.name === name);

/** Whether two faces fold inwards along their edge, which runs from a to b in the first one's loop. */
export const folds = (first: Face, second: Face, a: Vec3, b: Vec3): boolean =>
  dot(cross(first.normal, second.normal), sub(b, a)) < -1e-9 * norm(sub(b, a));

/** The volume that a closed solid encloses, m^3. */
export function volumeOf({ vertices, faces }: Solid): number {
  let six = 0;
  for (const { pieces } of faces)
    for (const piece of pieces)
      for (let i = 1; i + 1 < piece.length; i++)
        six += dot(vertices[piece[0]], cross(vertices[piece[i]], vertices[piece[i + 1]]));
  return six / 6;
}

/** Whether a place is outside the box around some vertices. */
const isOutsideBox = (vertices: readonly Vec3[], p: Vec3): boolean =>
  [0, 1, 2].some((k) => vertices.every((v) => v[k] < p[k]) || vertices.every((v) => v[k] > p[k]));

/**
 * Whether a place is inside a closed solid: whether its faces turn all the way around it (solid angles: Van Oosterom
 * and Strackee, 1983 (from memory)).
 */
export function encloses({ vertices, faces }: Solid, p: Vec3): boolean {
  if (isOutsideBox(vertices, p)) return false;
  let turn = 0;
  for (const { pieces } of faces)
    for (const piece of pieces) {
      for (let i = 1; i + 1 < piece.length; i++) {
        const [a, b, c] = [piece[0], piece[i], piece[i + 1]].map((n) => sub(vertices[n], p));
        const [la, lb, lc] = [norm(a), norm(b), norm(c)];
        turn += 2 * Math.atan2(dot(a, cross(b, c)), la * lb * lc + dot(a, b) * lc + dot(b, c) * la + dot(c, a) * lb);
      }
    }
  return Math.abs(turn) > 2 * Math.PI;
}
