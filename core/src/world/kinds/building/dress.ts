import { gaps, union, type Interval, type Vec2 } from "../../../geometry";
import { shareOf } from "../../resolution";
import { PATTERNS, type Dress, type PatternId } from "./dressSchema";
import type { Floor } from "./floors";
import type { Opening } from "./front";
import { outlineOfOpening } from "./heads";

/** A wall to be dressed: its length and height, m, the ground before it, its storeys and what opens in it. */
export interface DressedWall {
  readonly long: number;
  readonly height: number;
  /** The ground over its foot: what is lower is not seen. */
  readonly ground: number;
  /** Its place among the walls around, from 0: bricks bond with those of its neighbours at its corners. */
  readonly side?: number;
  readonly floors: readonly Floor[];
  readonly openings: readonly Opening[];
  /** Lines of its pattern that are nearer together than this are left out: they cannot be told apart, m. */
  readonly leastLength?: number;
}

/** A line of a wall's dress, m along it and up; lines of one `thing` are drawn together or not at all. */
export interface DressLine {
  readonly of: "band" | "pattern";
  readonly thing: string;
  /** The place of the thing in a row of its like. */
  readonly index: number;
  readonly a: Vec2;
  readonly b: Vec2;
}

/** Blocks of a quoin: a long and a short one in turn, and how high, m (common practice). */
const QUOIN = { long: 0.6, short: 0.35, high: 0.3 } as const;
/** A hint of a pattern reaches so far from corners and openings, m. */
const HINT = 0.45;
/** Shorter than this nothing is drawn; nearer than the other, two edges touch, m. */
const [LEAST, SAME] = [0.02, 1e-9] as const;

/** The ring that a wall's dress keeps clear of: an opening with its bands. */
function ringAround({ look, from, to, low, high }: Opening): readonly Vec2[] {
  const { head = "flat", ledge = 0, lintel = 0, shutters } = look;
  const aside = shutters ? (to - from) / 2 : head === "flat" ? 0 : lintel;
  return outlineOfOpening(head, { from: from - aside, to: to + aside, low: low - ledge, high: high + lintel });
}

/** Where a level line at a height crosses a convex ring; null where it passes over or under it. */
function chordAt(ring: readonly Vec2[], up: number): Interval | null {
  const at = ring.flatMap(([s, z], i) => {
    const [t, over] = ring[(i + 1) % ring.length];
    return z <= up !== over <= up ? [s + ((up - z) / (over - z)) * (t - s)] : [];
  });
  return at.length > 1 ? [Math.min(...at), Math.max(...at)] : null;
}

/** The stretches of a wall at a height that no opening takes, m along it. */
function freeAt(rings: readonly (readonly Vec2[])[], long: number, up: number): readonly Interval[] {
  const taken = rings.flatMap((ring) => {
    const chord = chordAt(ring, up);
    return chord ? [[Math.max(0, chord[0] / long), Math.min(1, chord[1] / long)] as const] : [];
  });
  return gaps(union(taken), LEAST / long).map(([t0, t1]) => [t0 * long, t1 * long] as const);
}

/** What is left of stretches beside corners and openings. */
const hinted = (free: readonly Interval[]): readonly Interval[] =>
  free.flatMap(([from, to]): Interval[] =>
    to - from <= 2 * HINT
      ? [[from, to]]
      : [
          [from, from + HINT],
          [to - HINT, to],
        ],
  );

const level = (of: DressLine["of"], thing: string, index: number, up: number, free: readonly Interval[]): DressLine[] =>
  free.map(([from, to]) => ({ of, thing, index, a: [from, up], b: [to, up] }));

/** A band of a wall, by its lower and its upper edge, m: at one height all around. */
export interface Band {
  readonly low: number;
  readonly high: number;
}

/** The bands of walls so high, from the plinth up. */
export function bandsAlong({ plinth, courses, cornice }: Dress, { height, floors }: BandedWall): readonly Band[] {
  return [
    ...(plinth === undefined ? [] : [{ low: 0, high: plinth }]),
    ...(courses === undefined ? [] : floors.slice(1).map(({ low }) => ({ low: low - courses, high: low }))),
    ...(cornice === undefined ? [] : [{ low: height - cornice, high: height }]),
  ];
}

type BandedWall = Pick<DressedWall, "height" | "floors">;

/** What openings take of a wall at the height of a band, m along it, from left to right. */
export const takenAround = (openings: readonly Opening[], { low, high }: Band): readonly Interval[] =>
  union(
    openings.flatMap((opening): Interval[] => {
      const ring = ringAround(opening);
      const [along, up] = [0, 1].map((axis) => ring.map((p) => p[axis]));
      const crosses = Math.min(...up) < high - SAME && Math.max(...up) > low + SAME;
      return crosses ? [[Math.min(...along), Math.max(...along)]] : [];
    }),
  );

/** The heights at which lines of bands are drawn on a wall, m. */
const linesOfBands = (dress: Dress, wall: BandedWall): readonly number[] =>
  dress.out !== undefined
    ? []
    : bandsAlong(dress, wall)
        .flatMap(({ low, high }) => [low, high])
        .filter((up) => up > LEAST && up < wall.height - LEAST);

/** The blocks at both ends of a wall; around the corner a short one meets a long one. */
function quoinsOf({ long, height, ground }: DressedWall): DressLine[] {
  const rows = Math.floor(height / QUOIN.high);
  return Array.from({ length: rows }, (_, i) => i).flatMap((i) => {
    const [low, high] = [i * QUOIN.high, (i + 1) * QUOIN.high];
    if (low < ground) return [];
    const ends: readonly (readonly [number, number])[] = [
      [0, i % 2 ? QUOIN.long : QUOIN.short],
      [long, long - (i % 2 ? QUOIN.short : QUOIN.long)],
    ];
    return ends.flatMap(([edge, inner], end): DressLine[] => {
      const thing = `quoin ${end}`;
      return [
        { of: "band", thing, index: i, a: [edge, high], b: [inner, high] },
        { of: "band", thing, index: i, a: [inner, low], b: [inner, high] },
      ];
    });
  });
}

/**
 * Where the upright joints of a course begin at a corner and how far they are apart, in turn, m.
 * @param turned whether the first piece shows its other side, as it does where a stretcher turns the corner as a header
 */
function jointsOf(pattern: PatternId, turned: boolean): { readonly from: number; readonly steps: readonly number[] } {
  const { long } = PATTERNS[pattern];
  const half = long / 2;
  // Behind the header at the corner, a closer of half its width brings headers over the middle of stretchers.
  if (pattern === "english") return turned ? { from: half / 2, steps: [half] } : { from: 0, steps: [long] };
  // A header stands over the middle of a stretcher.
  if (pattern === "flemish") return { from: turned ? 0.75 * long : 0, steps: [long, half] };
  return { from: turned ? half : 0, steps: [long] };
}

/** The places of the upright joints of a course from a corner on, m from it, up to a distance. */
function jointsFrom(pattern: PatternId, turned: boolean, far: number): number[] {
  const { from, steps } = jointsOf(pattern, turned);
  const found: number[] = [];
  for (let at = from, k = 0; at < far - LEAST; at += steps[k++ % steps.length]) if (at > LEAST) found.push(at);
  return found;
}

/**
 * The places of the upright joints of a course of a wall, m along it: laid from both its corners to its middle, where a
 * cut piece closes it. What shows its long side at a corner shows its short one on the next wall.
 */
function jointsOfCourse(pattern: PatternId, course: number, { long, side = 0 }: DressedWall): readonly number[] {
  if (PATTERNS[pattern].long === Infinity) return [];
  const turned = (course + side) % 2 === 1;
  const left = jointsFrom(pattern, turned, long / 2);
  const last = left.at(-1) ?? 0;
  const right = jointsFrom(pattern, turned, long / 2)
    .map((at) => long - at)
    .filter((at) => at - last > PATTERNS[pattern].long / 4)
    .reverse();
  return [...left, ...right];
}

/** The joints of a wall's pattern, course by course, clear of its openings. */
function patternOf({ pattern, hint }: Dress, wall: DressedWall, rings: readonly (readonly Vec2[])[]): DressLine[] {
  if (!pattern) return [];
  const { high, long: piece } = PATTERNS[pattern];
  const courses = Math.floor(wall.height / high + 1e-9);
  const { leastLength = 0 } = wall;
  const share = shareOf(high, leastLength);
  const hasJoints = share === 1 && piece >= leastLength;
  return Array.from({ length: Math.ceil(courses / share) }, (_, n) => n * share).flatMap((i) => {
    const [low, up] = [i * high, (i + 1) * high];
    if (low < wall.ground) return [];
    const kept = (free: readonly Interval[]) => (hint ? hinted(free) : free);
    const bed = up < wall.height - LEAST ? level("pattern", "bed", i, up, kept(freeAt(rings, wall.long, up))) : [];
    if (!hasJoints) return bed;
    const free = kept(freeAt(rings, wall.long, (low + up) / 2));
    const joints = jointsOfCourse(pattern, i, wall)
      .filter((s) => free.some(([from, to]) => s > from + LEAST && s < to - LEAST))
      .map((s): DressLine => ({ of: "pattern", thing: "joint", index: i, a: [s, low], b: [s, up] }));
    return [...bed, ...joints];
  });
}

/** The lines of a wall's dress: its bands, its quoins and its pattern, all clear of its openings. */
export function dressOfWall(dress: Dress, wall: DressedWall): readonly DressLine[] {
  const rings = wall.openings.map(ringAround);
  const bands = linesOfBands(dress, wall)
    .filter((up) => up > wall.ground)
    .flatMap((up, i) => level("band", `band ${i}`, 0, up, freeAt(rings, wall.long, up)));
  return [...bands, ...(dress.quoins ? quoinsOf(wall) : []), ...patternOf(dress, wall, rings)];
}

/** About how many pieces a pattern has on so many m^2 of wall. */
export const piecesOn = (pattern: PatternId, area: number): number => {
  const { long, high } = PATTERNS[pattern];
  return area / (Math.min(long, 10) * high);
};
