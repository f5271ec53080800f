import { unit, type Vec2, type Vec3 } from "../../../geometry";
import {
  bendBetween,
  directionOn,
  MeshBook,
  piecesOfOutline,
  placeOn,
  solidOfMesh,
  stepsOf,
  surfaceNumbers,
} from "../../round";
import type { Solid } from "../../solid";
import { intrados, middlesOf, rowsOf, thicknessOf, widthOfArches } from "./outline";
import type { Arches } from "./schema";

/** Facets of vaults leave them by no more than this, m: their rims and groins are curves besides. */
const SAGITTA = 0.001;

/**
 * A chord of an arch: its ends and the unit directions of the arch there, over the middle of its span and its
 * springing.
 */
interface Chord {
  readonly ends: readonly [Vec2, Vec2];
  readonly along: readonly [Vec2, Vec2];
  /** Which of the surfaces of its barrel it is of: a pointed one has two. */
  readonly surface: number;
}

/**
 * The chords of an arch from its left springing to its right one, the same on both sides of its crown to the last bit.
 */
function chordsOf(arches: Arches): readonly Chord[] {
  const pieces = piecesOfOutline(intrados(arches), false);
  const surfaces = surfaceNumbers(pieces, false);
  const last = surfaces[surfaces.length - 1];
  const left = pieces.slice(0, Math.ceil(pieces.length / 2)).flatMap((piece, p): Chord[] => {
    // Of a piece over the crown, the left half.
    const share = 2 * p + 1 === pieces.length ? 0.5 : 1;
    const steps = piece.arc ? stepsOf(piece.arc.radius, share * Math.abs(piece.arc.sweep), SAGITTA) : 1;
    const isCrown = (i: number) => i === steps && p === Math.ceil(pieces.length / 2) - 1;
    const at = (i: number): Vec2 => {
      const [x, z] = placeOn(piece, (share * i) / steps);
      return isCrown(i) ? [0, z] : [x, z];
    };
    return Array.from({ length: steps }, (_, i) => ({
      ends: [at(i), at(i + 1)],
      along: [directionOn(piece, (share * i) / steps), directionOn(piece, (share * (i + 1)) / steps)],
      surface: surfaces[p],
    }));
  });
  const right = left.map(({ ends: [p, q], along: [u, v], surface }): Chord => ({
    ends: [
      [-q[0], q[1]],
      [-p[0], p[1]],
    ],
    along: [
      [v[0], -v[1]],
      [u[0], -u[1]],
    ],
    surface: last - surface,
  }));
  return [...left, ...right.reverse()];
}

/** Places of a vault are m along its front, behind that, and up. */
type Place = Vec3;

/** One of the two ways that barrels run: across it they are arches, and others cross them. */
interface Way {
  readonly name: string;
  /** The middles of the barrels, and of those that cross them, m. */
  readonly middles: readonly number[];
  readonly crossed: readonly number[];
  /** Where they begin and end, m along themselves. */
  readonly ends: Vec2;
  /** A place, or a direction: m across the barrels, along them, and up. */
  readonly place: (across: number, along: number, up: number) => Place;
}

/** Gathers the faces of a vault, as their places are found. */
class VaultBook {
  private readonly book = new MeshBook();
  private readonly vertices = new Map<string, number>();
  private readonly surfaces = new Map<string, number>();

  /** @param inWorld where a place, or which way a direction, is in the world */
  constructor(private readonly inWorld: (at: Place, isPlace: boolean) => Vec3) {}

  private vertex(at: Place): number {
    // Adding nothing makes a nought of either sign the same.
    const key = at.map((x) => Math.round(x * 1e9) + 0).join(" ");
    const known = this.vertices.get(key);
    if (known !== undefined) return known;
    const vertex = this.book.vertex(this.inWorld(at, true));
    this.vertices.set(key, vertex);
    return vertex;
  }

  /** The number of a surface by its name. */
  surface(name: string): number {
    const known = this.surfaces.get(name);
    if (known !== undefined) return known;
    this.surfaces.set(name, this.surfaces.size);
    return this.surfaces.size - 1;
  }

  face(places: readonly Place[], told: Parameters<MeshBook["face"]>[1] = {}): void {
    const loop = places.map((at) => this.vertex(at));
    this.book.face(loop, told);
  }

  edge([a, b]: readonly [Place, Place], along: readonly [Vec3, Vec3]): void {
    const [from, to] = [this.vertex(a), this.vertex(b)];
    const [u, v] = along.map((way) => unit(this.inWorld(way, false)));
    this.book.edge(from, to, { bend: bendBetween(this.book.at(from), u, this.book.at(to), v) });
  }

  solid(id: string): Solid {
    return solidOfMesh(id, this.book.mesh(false));
  }
}

/** The name of a surface of a barrel: between two that cross it. */
const surfaceName = (way: Way, middle: number, stretch: number, surface: number): string =>
  `${way.name} ${middle} ${stretch} ${surface}`;

/** A facet of a barrel, from one groin or end of it to the next, and the curves that bound it. */
function facet(book: VaultBook, way: Way, chord: Chord, [middle, stretch]: Vec2, springing: number): void {
  const { place, crossed, ends } = way;
  // A groin is as far from the middle of the crossing barrel as from that of its own.
  const bounds = ([across]: Vec2): Vec2 => [
    stretch === 0 ? ends[0] : crossed[stretch - 1] + Math.abs(across),
    stretch === crossed.length ? ends[1] : crossed[stretch] - Math.abs(across),
  ];
  const [p, q] = chord.ends;
  const [from, to] = [bounds(p), bounds(q)];
  const corner = (one: Vec2, along: number) => place(middle + one[0], along, springing + one[1]);
  const loop = [corner(p, from[0]), corner(p, from[1]), corner(q, to[1]), corner(q, to[0])];
  book.face(way.name === "in" ? loop : loop.reverse(), {
    round: book.surface(surfaceName(way, middle, stretch, chord.surface)),
  });
  const side = p[0] + q[0] < 0 ? -1 : 1;
  ([0, 1] as const).forEach((end) => {
    const isGroin = end === 0 ? stretch > 0 : stretch < crossed.length;
    const slope = isGroin ? (end === 0 ? side : -side) : 0;
    const [u, v] = chord.along.map(([x, z]) => place(x, slope * x, z));
    book.edge([corner(p, from[end]), corner(q, to[end])], [u, v]);
  });
}

/** The stretches of walls and piers beside openings, m: from each opening's end to the next one's beginning. */
const piersAlong = (middles: readonly number[], span: number, [first, last]: Vec2): readonly Vec2[] =>
  [...middles, null].map((middle, i) => [
    i === 0 ? first : middles[i - 1] + span / 2,
    middle === null ? last : middle - span / 2,
  ]);

/** The outline of an outer wall from its left foot on: m along it from its beginning, and up. */
function outerWall(arches: Arches, chords: readonly Chord[], { middles }: Way, [from, to]: Vec2): Vec2[] {
  const { span, springing, height } = arches;
  const arch = [...chords.map(({ ends }) => ends[0]), chords[chords.length - 1].ends[1]];
  return [
    [from, 0],
    ...middles.flatMap((middle): Vec2[] => [
      [middle - span / 2, 0],
      ...arch.map(([x, z]): Vec2 => [middle + x, springing + z]),
      [middle + span / 2, 0],
    ]),
    [to, 0],
    [to, height],
    [from, height],
  ];
}

/** The outer walls of a vault, its back and its front first, and its top. */
function outside(
  book: VaultBook,
  arches: Arches,
  chords: readonly Chord[],
  [inwards, aside]: readonly [Way, Way],
): void {
  const [front, side] = [
    outerWall(arches, chords, inwards, aside.ends),
    outerWall(arches, chords, aside, inwards.ends),
  ];
  const [[left, right], [, deep]] = [aside.ends, inwards.ends];
  const around = (ring: readonly Vec2[], at: (place: Vec2) => Place, name: string) => book.face(ring.map(at), { name });
  around([...front].reverse(), ([s, z]) => [s, deep, z], "bottom");
  around(front, ([s, z]) => [s, 0, z], "top");
  around(side, ([b, z]) => [right, b, z], "wall 0");
  around([...side].reverse(), ([b, z]) => [left, b, z], "wall 1");
  book.face([
    [left, 0, arches.height],
    [right, 0, arches.height],
    [right, deep, arches.height],
    [left, deep, arches.height],
  ]);
}

/** The feet and the inner walls of the piers of a vault. A jamb goes on into its barrel where that springs upright. */
function piers(book: VaultBook, arches: Arches, chords: readonly Chord[], [inwards, aside]: readonly [Way, Way]): void {
  const { span, springing } = arches;
  const [first, last] = [chords[0], chords[chords.length - 1]];
  const jamb = (way: Way, barrel: number, stretch: number, end: 0 | 1) => {
    const { along, surface } = end === 0 ? first : last;
    const isUpright = Math.abs(along[end][0]) < 1e-9;
    return isUpright ? { surface: book.surface(surfaceName(way, way.middles[barrel], stretch, surface)) } : {};
  };
  const wall = ([p, q]: readonly [Vec2, Vec2], told: { readonly surface?: number }) =>
    book.face(
      [
        [...p, 0],
        [...q, 0],
        [...q, springing],
        [...p, springing],
      ],
      told,
    );
  piersAlong(inwards.middles, span, aside.ends).forEach(([s0, s1], i) =>
    piersAlong(aside.middles, span, inwards.ends).forEach(([b0, b1], j) => {
      const [a, b, c, d] = [
        [s0, b0],
        [s0, b1],
        [s1, b1],
        [s1, b0],
      ] as const;
      book.face([a, b, c, d].map(([s, behind]) => [s, behind, 0] as const));
      // Each from its left to its right, as it is seen from before it.
      if (i < inwards.middles.length) wall([d, c], jamb(inwards, i, j, 0));
      if (i > 0) wall([b, a], jamb(inwards, i - 1, j, 1));
      if (j < aside.middles.length) wall([c, b], jamb(aside, j, i, 0));
      if (j > 0) wall([a, d], jamb(aside, j - 1, i, 1));
    }),
  );
}

/**
 * A vault whose barrels cross at right angles, so that they meet in groins over the diagonals of each bay; it stands on
 * square piers. Its first face is its back, its second its front.
 */
export function groinVault(arches: Arches, inWorld: (at: Vec3, isPlace: boolean) => Vec3): Solid {
  const wide = widthOfArches(arches) / 2;
  const [columns, rows] = [middlesOf(arches), rowsOf(arches)];
  const inwards: Way = {
    name: "in",
    middles: columns,
    crossed: rows,
    ends: [0, thicknessOf(arches)],
    place: (across, along, up) => [across, along, up],
  };
  const aside: Way = {
    name: "aside",
    middles: rows,
    crossed: columns,
    ends: [-wide, wide],
    place: (across, along, up) => [along, across, up],
  };
  const [book, chords] = [new VaultBook(inWorld), chordsOf(arches)];
  outside(book, arches, chords, [inwards, aside]);
  piers(book, arches, chords, [inwards, aside]);
  for (const way of [inwards, aside])
    for (const middle of way.middles)
      for (let stretch = 0; stretch <= way.crossed.length; stretch++)
        for (const chord of chords) facet(book, way, chord, [middle, stretch], arches.springing);
  return book.solid(arches.id);
}
