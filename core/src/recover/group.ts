import { seededRandom, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import type { TracedSet } from "../scene";
import { recoverPoint } from "./point";
import { rolesOf } from "./hypotheses";
import { byRole, familyRole } from "./roles";
import type { Family } from "./view";
import { crossing, halfLength, linesOf, residual, normOf, type Lines, type Norm, type Segment } from "./segments";

/** Edges that meet in one point, and which way they most likely run in the world. */
export interface Grouped {
  readonly role: TracedSet["role"];
  /** Places among the edges that were given. */
  readonly members: readonly number[];
}

/**
 * An edge belongs to a point that its ends miss by less than this part of the picture's longer side, and it turns
 * less than so far to it.
 */
const MISS = 0.0012;
const TURN = Math.tan((2.5 * Math.PI) / 180);
/** Pairs that are tried for one point, drawn from so many of the longest edges. */
const PAIRS = 600;
const LONGEST = 300;
/**
 * No more families than these, each of so many edges at least, that come to so many of the picture's longer sides
 * together.
 */
const FAMILIES = 5;
const LEAST = 5;
const LONG = 0.5;
const length = (lines: Lines, i: number): number => 2 * halfLength(lines, i);

/**
 * How well an edge agrees with a point, 0 to 1: by its residuals, and not at all where the point would lie within it.
 */
function agrees(lines: Lines, i: number, v: Vec3): number {
  const off = Math.abs(residual(lines, i, v));
  if (off > 2 * MISS || off > Math.SQRT2 * halfLength(lines, i) * TURN) return 0;
  const { data } = lines;
  const o = 8 * i;
  const [dx, dy] = [data[o + 2] - data[o], data[o + 3] - data[o + 1]];
  const from = (x: number, y: number) => (v[0] - x * v[2]) * dx + (v[1] - y * v[2]) * dy;
  if (from(data[o], data[o + 1]) * from(data[o + 2], data[o + 3]) <= 0) return 0;
  return 1 - (off / (2 * MISS)) ** 2;
}

/** The point that most length of some edges agrees with, among crossings of pairs; null where none is worth it. */
function best(lines: Lines, left: readonly number[], roll: (n: number) => number): Vec3 | null {
  const long = left.slice(0, LONGEST);
  let [found, most] = [null as Vec3 | null, 0];
  for (let n = 0; n < PAIRS; n++) {
    const [i, k] = [long[roll(long.length)], long[roll(long.length)]];
    const v = i === k ? null : crossing(lines, i, k);
    if (!v) continue;
    let score = 0;
    for (const j of long) score += length(lines, j) * agrees(lines, j, v);
    if (score > most) [found, most] = [v, score];
  }
  return found;
}

/** One family among some edges: those of the point most of their length agrees with. */
function family(
  segments: readonly Segment[],
  lines: Lines,
  left: readonly number[],
  norm: Norm,
  roll: (n: number) => number,
): { readonly v: Vec3; readonly members: readonly number[] } | null {
  let v = best(lines, left, roll);
  for (let round = 0; v && round < 2; round++) {
    const at: Vec3 = v;
    const members = left.filter((i) => agrees(lines, i, at) > 0);
    if (members.length < LEAST) return null;
    v = recoverPoint(
      members.map((i) => segments[i]),
      norm,
      (MISS * norm.size) / 2,
    ).direction;
  }
  if (!v) return null;
  const at = v;
  const members = left.filter((i) => agrees(lines, i, at) > 0);
  const sum = members.reduce((all, i) => all + length(lines, i), 0);
  return members.length >= LEAST && sum > 2 * LONG ? { v, members } : null;
}

/**
 * Families of edges that meet, the ones with most length first: again and again the point that most of what is left
 * agrees with, out of crossings of seeded pairs, settled by all that agree (random samples: Fischler and Bolles, CACM
 * 24, 1981 (from memory)).
 * @param segments the longest first
 * @throws NoAnswer where no family stands out
 */
export function groupEdges(
  segments: readonly Segment[],
  size: { readonly width: number; readonly height: number },
  seed = 1,
): Grouped[] {
  const norm = normOf(size);
  const lines = linesOf(segments, norm);
  const roll = seededRandom(seed);
  const found: { readonly v: Vec3; readonly members: readonly number[] }[] = [];
  let left = [...segments.keys()];
  while (found.length < FAMILIES && left.length >= LEAST) {
    const next = family(segments, lines, left, norm, roll);
    if (!next) break;
    found.push(next);
    const gone = new Set(next.members);
    left = left.filter((i) => !gone.has(i));
  }
  if (found.length === 0) throw new NoAnswer("No edges stand out that run to one point: trace some by hand.");
  const role = rolesOf(
    found.map(({ v }) => v),
    found.map(({ members }) => members.reduce((sum, i) => sum + length(lines, i), 0)),
  );
  return found.map(({ members }, i) => ({ role: role[i], members }));
}

/** The families among found edges that a view can be fitted to, those at right angles first. */
export function familiesOf(segments: readonly Segment[], groups: readonly Grouped[]): Family[] {
  return byRole(groups).map(({ role, members }) => ({
    name: role,
    role: familyRole(role),
    segments: members.map((i) => segments[i]),
  }));
}
