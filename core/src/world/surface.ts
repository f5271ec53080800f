import type { Vec2, Vec3 } from "../geometry";
import { areasOf } from "./areas";
import { curvesOf } from "./curves";
import { solidOf, type Solid } from "./solid";
import { heightOn, type Facet } from "./terrain";
import { welded, type Welded } from "./welded";

/** The round surfaces of a solid over the ground: its top, its bottom, and from here on the curves of its walls. */
const [TOP, BOTTOM, WALLS] = [0, 1, 2];

/** A part of the plan by the numbers of its places: its rim counter-clockwise, its holes clockwise. */
interface Piece {
  readonly rings: readonly (readonly number[])[];
  readonly heights: readonly [bottom: (place: number) => number, top: (place: number) => number];
}

interface Faces {
  readonly loops: (readonly number[])[];
  readonly holes: (readonly (readonly number[])[])[];
  readonly round: number[];
  readonly names: string[];
}

function addFace(
  faces: Faces,
  loop: readonly number[],
  holes: readonly (readonly number[])[],
  round: number,
  name: string,
) {
  faces.loops.push(loop);
  faces.holes.push(holes);
  faces.round.push(round);
  faces.names.push(name);
}

/** A wall under an edge of a top. */
interface Wall {
  readonly edge: readonly [from: number, to: number];
  readonly loop: readonly number[];
}

/** A loop without numbers that follow themselves: where top and bottom meet, a wall has three corners, or none. */
const distinct = (loop: readonly number[]) => loop.filter((n, i) => n !== loop[(i + loop.length - 1) % loop.length]);

/** Directed edges in rings, each led on from its end. */
function chained(edges: readonly (readonly [number, number])[]): number[][] {
  const next = new Map<number, number[]>();
  for (const [a, b] of edges) next.set(a, [...(next.get(a) ?? []), b]);
  const rings: number[][] = [];
  for (const [start] of edges) {
    const ring: number[] = [];
    for (let at = start, to = next.get(at)?.pop(); to !== undefined; at = to, to = next.get(at)?.pop()) ring.push(at);
    if (ring.length > 0) rings.push(ring);
  }
  return rings;
}

/** The pieces of facets, with places of one in the rings of its neighbours. */
function piecesOf(facets: readonly Facet[], weld: Welded, [low, high]: Offsets): Piece[] {
  const areas = facets.flatMap(({ region, plane }) =>
    areasOf(region).map(({ outer, holes }) => ({ rings: [outer, ...holes], plane })),
  );
  const numbered = areas.map(({ rings, plane }) => ({ plane, rings: rings.map((ring) => ring.map(weld.place)) }));
  return numbered.flatMap(({ rings, plane }) => {
    const split = rings.map(weld.subdivided).filter((ring) => new Set(ring).size > 2);
    if (split.length === 0) return [];
    const over = (of: Offsets[number]) => (place: number) => of(heightOn(plane, weld.at(place)));
    return [{ rings: split, heights: [over(low), over(high)] as const }];
  });
}

/** From the height of the ground to that of a bottom and of a top, m. */
type Offsets = readonly [bottom: (ground: number) => number, top: (ground: number) => number];

/** A piece by the numbers of its vertices. */
interface Slab {
  readonly low: readonly (readonly number[])[];
  readonly high: readonly (readonly number[])[];
}

const edgesOf = ({ high }: Slab): readonly (readonly [number, number])[] =>
  high.flatMap((ring) => ring.map((a, i) => [a, ring[(i + 1) % ring.length]] as const));

/** Slabs in groups that hang together by edges of their tops. */
function connected(slabs: readonly Slab[]): readonly (readonly Slab[])[] {
  const slabAt = new Map(slabs.flatMap((slab) => edgesOf(slab).map(([a, b]) => [`${a} ${b}`, slab] as const)));
  const met = new Set<Slab>();
  return slabs.flatMap((start) => {
    if (met.has(start)) return [];
    met.add(start);
    const group = [start];
    // A group grows while it is walked through.
    for (const slab of group)
      for (const [a, b] of edgesOf(slab)) {
        const next = slabAt.get(`${b} ${a}`);
        if (!next || met.has(next)) continue;
        met.add(next);
        group.push(next);
      }
    return [group];
  });
}

/** A closed solid of slabs that hang together. */
function solidOfSlabs(id: string, slabs: readonly Slab[], vertices: readonly Vec3[]): Solid {
  const faces: Faces = { loops: [], holes: [], round: [], names: [] };
  const open = new Map<string, Wall>();
  for (const [n, { low, high }] of slabs.entries()) {
    const own = n === 0 ? "" : ` ${n}`;
    addFace(faces, high[0], high.slice(1), TOP, `top${own}`);
    const under = low.map((ring) => [...ring].reverse());
    addFace(faces, under[0], under.slice(1), BOTTOM, `bottom${own}`);
    high.forEach((ring, r) =>
      ring.forEach((a, i) => {
        const k = (i + 1) % ring.length;
        const b = ring[k];
        if (!open.delete(`${b} ${a}`)) open.set(`${a} ${b}`, { edge: [a, b], loop: [low[r][i], low[r][k], b, a] });
      }),
    );
  }
  let curve = WALLS;
  for (const ring of chained([...open.values()].map(({ edge }) => edge))) {
    const curves = curvesOf(
      ring.map((n): Vec2 => [vertices[n][0], vertices[n][1]]),
      curve,
    );
    ring.forEach((a, i) => {
      const loop = distinct(open.get(`${a} ${ring[(i + 1) % ring.length]}`)!.loop);
      if (loop.length > 2) addFace(faces, loop, [], curves[i], `wall ${faces.loops.length}`);
    });
    curve = Math.max(curve, ...curves) + 1;
  }
  return withOwnVertices(id, faces, vertices);
}

/** A solid of faces, with those vertices only that they use. */
function withOwnVertices(id: string, { loops, holes, round, names }: Faces, vertices: readonly Vec3[]): Solid {
  const used = [...new Set([...loops, ...holes.flat()].flat())];
  const numbers = new Map(used.map((n, i) => [n, i]));
  const own = (ring: readonly number[]) => ring.map((n) => numbers.get(n)!);
  return solidOf(
    id,
    used.map((n) => vertices[n]),
    loops.map(own),
    round,
    names,
    holes.map((rings) => rings.map(own)),
  );
}

/**
 * Closed solids between a bottom and a top over facets of the ground, with upright walls around them: one for each part
 * that hangs together.
 * @param id of whom they are
 * @returns none where nothing has a height
 */
export function solidsOver(id: string, facets: readonly Facet[], offsets: Offsets): Solid[] {
  const weld = welded();
  const slabs = piecesOf(facets, weld, offsets).flatMap(({ rings, heights }): Slab[] => {
    const [low, high] = heights.map((height) =>
      rings.map((ring) => ring.map((place) => weld.vertex(place, height(place)))),
    );
    return low.flat().every((n, i) => n === high.flat()[i]) ? [] : [{ low, high }];
  });
  return connected(slabs).map((group) => solidOfSlabs(id, group, weld.vertices));
}

/** Raised ground as solids on the level field. */
export const solidsOfGround = (id: string, facets: readonly Facet[]): Solid[] =>
  solidsOver(id, facets, [() => 0, (ground) => ground]);
