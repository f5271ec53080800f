import { degrees, distance2, fromStretch, type Vec2 } from "../geometry";
import type { Roadway } from "./kinds/kind";
import { atShare, crossingAt, footOn, lengthOf } from "./path";
import { boxOnPlan, boxesMeet, isWithin } from "./polygon";

/** An end that stops short of another way, or passes beyond its middle, by so much more than that is wide, m. */
const SHORT_OF = 0.5;
/** Nearer than this is the same place, m. */
const SAME = 1e-3;
/** An end may be led on by so many times the way's half width before it turns off to the nearest place of it. */
const LED = 3;

/** A way as others meet it: its middle line, and half of all its width, m. */
export interface Meeting {
  readonly path: readonly Vec2[];
  readonly outer: number;
}

/** Arms that lie nearer to one another have no kerb around a radius between them, degrees. */
export const LEAST_ANGLE = 20;

export const outerOf = ({ half, pavement }: Roadway): number => half + pavement;

/** A roadway as others meet it. */
export const meetingOf = (one: Roadway): Meeting => ({ path: one.path, outer: outerOf(one) });

/** A place where two ways meet or cross, or one crosses itself. */
export interface Junction {
  readonly at: Vec2;
  /** The two ways, by their numbers. */
  readonly of: readonly [number, number];
  /** The least angle between two arms of theirs, degrees. */
  readonly angle: number;
  /** Whether both end there. */
  readonly ends: boolean;
}

export interface Joined {
  /** The paths, ended on the middle lines of those that they meet. */
  readonly paths: readonly (readonly Vec2[])[];
  /** Whether the first and the last place of each is on another. */
  readonly joined: readonly (readonly [first: boolean, last: boolean])[];
  readonly junctions: readonly Junction[];
}

type Path = readonly Vec2[];

/** Where the line through p and q meets the stretch from a to b, as a share of the former; null where it does not. */
function shareAt(p: Vec2, q: Vec2, a: Vec2, b: Vec2): number | null {
  const [t, s] = crossingAt(p, q, a, b) ?? [0, -1];
  return s >= -1e-9 && s <= 1 + 1e-9 ? t : null;
}

const stretches = (path: Path) => path.slice(1).map((q, i) => [path[i], q] as const);

/** How far a place is from a path, m. */
const off = (at: Vec2, path: Path): number => footOn(at, path).off;

/** Where a path first meets another, no farther than so many m from its start: its rest from there on; or null. */
function trimmed(path: Path, other: Path, reach: number): Path | null {
  let passed = 0;
  for (const [i, [p, q]] of stretches(path).entries()) {
    const long = distance2(p, q);
    const places = stretches(other).flatMap(([a, b]) => {
      const t = shareAt(p, q, a, b);
      return t !== null && t >= 0 && t <= 1 ? [t] : [];
    });
    const t = Math.max(-1, ...places.filter((one) => passed + one * long <= reach));
    if (t >= 0) {
      const rest = [atShare(p, q, t), ...path.slice(i + 1)];
      return distance2(rest[0], rest[1]) > SAME ? rest : rest.slice(1);
    }
    passed += long;
    if (passed > reach) break;
  }
  return null;
}

/** A path with its first place on the middle line of another that it nearly reaches; null where it is far from it. */
function ledTo(path: Path, { path: other, outer }: Meeting): Path | null {
  const reach = outer + SHORT_OF;
  const cut = trimmed(path, other, Math.min(reach, lengthOf(path) / 2));
  if (cut && cut.length > 1) return cut;
  const [end, next] = path;
  if (off(end, other) > reach) return null;
  if (off(end, other) < SAME) return path;
  const ahead = stretches(other).flatMap(([a, b]) => {
    const t = shareAt(next, end, a, b);
    return t !== null && t > 1 && (t - 1) * distance2(next, end) <= LED * reach ? [t] : [];
  });
  const on = ahead.length ? atShare(next, end, Math.min(...ahead)) : footOn(end, other).foot;
  const corner = [other[0], other[other.length - 1]].find((one) => distance2(one, on) < outer);
  const to = corner ?? on;
  // Straight on where it can be, so that the last stretch has no bend.
  return ahead.length && !corner ? [to, ...path.slice(1)] : [to, ...path];
}

const reversed = (path: Path): Path => [...path].reverse();

/** The ways out of a place of a path, of length 1. */
const armsAt = (at: Vec2, path: Path): Vec2[] =>
  stretches(path).flatMap(([p, q]) =>
    fromStretch(at, p, q) > SAME
      ? []
      : [p, q].flatMap((end): Vec2[] => {
          const long = distance2(at, end);
          return long > SAME ? [[(end[0] - at[0]) / long, (end[1] - at[1]) / long]] : [];
        }),
  );

function leastAngle(arms: readonly Vec2[]): number {
  const angles = arms.flatMap(([x, y], i) =>
    arms.slice(i + 1).map(([u, v]) => degrees(Math.acos(Math.max(-1, Math.min(1, x * u + y * v))))),
  );
  return Math.min(180, ...angles);
}

const endsAt = (at: Vec2, path: Path): boolean =>
  distance2(at, path[0]) < SAME || distance2(at, path[path.length - 1]) < SAME;

type Stretch = readonly [Vec2, Vec2];

/** The pairs of stretches of two paths that lie no farther apart than so many m, by their boxes. */
function* nearPairs(one: Path, other: Path, by: number): Generator<readonly [Stretch, Stretch, number, number]> {
  const boxed = stretches(other).map((stretch) => ({ stretch, box: boxOnPlan(stretch) }));
  for (const [i, stretch] of stretches(one).entries()) {
    const box = boxOnPlan(stretch, by);
    for (const [k, near] of boxed.entries()) if (boxesMeet(box, near.box)) yield [stretch, near.stretch, i, k];
  }
}

/** Where two paths meet or cross; a path and itself, where stretches cross that do not follow one another. */
function places(one: Path, other: Path): Vec2[] {
  const self = one === other;
  const crossings: Vec2[] = [];
  for (const [[p, q], [a, b], i, k] of nearPairs(one, other, SAME)) {
    if (self && k < i + 2) continue;
    const t = shareAt(p, q, a, b);
    if (t !== null && t >= -1e-9 && t <= 1 + 1e-9) crossings.push(atShare(p, q, t));
  }
  const ends = self
    ? []
    : [
        ...[one[0], one[one.length - 1]].filter((end) => off(end, other) < SAME),
        ...[other[0], other[other.length - 1]].filter((end) => off(end, one) < SAME),
      ];
  return [...ends, ...crossings].filter(
    (at, i, all) => all.findIndex((before) => distance2(at, before) < 10 * SAME) === i,
  );
}

const boxOf = ({ path, outer }: Meeting) => boxOnPlan(path, outer + SHORT_OF);

/** Whether the boxes around two ways leave room between them. */
const areApart = (one: Meeting, other: Meeting): boolean => !boxesMeet(boxOf(one), boxOf(other));

/** Whether two ways meet: whether they share ground, or one nearly ends on the other. */
export function meets(one: Meeting, other: Meeting): boolean {
  if (areApart(one, other)) return false;
  const reach = one.outer + other.outer;
  for (const [[p, q], [a, b]] of nearPairs(one.path, other.path, reach)) {
    const t = shareAt(p, q, a, b);
    if (t !== null && t >= 0 && t <= 1) return true;
    const gap = Math.min(fromStretch(p, a, b), fromStretch(q, a, b), fromStretch(a, p, q), fromStretch(b, p, q));
    if (gap < reach) return true;
  }
  return false;
}

/** Whether a way runs into an area of the plan, or past it within its own width. */
export function touches(way: Meeting, ring: readonly Vec2[]): boolean {
  if (ring.length < 3) return false;
  const rim = [...ring, ring[0]];
  return meets(way, { path: rim, outer: 0 }) || way.path.some((at) => isWithin(at, ring));
}

/**
 * Ways that are joined where they meet: an end that nearly reaches the middle of another is led onto it, and one that
 * passes it by less than its width is cut off there.
 */
export function joinedAt(ways: readonly Meeting[]): Joined {
  const paths = ways.map(({ path }) => path);
  const joined = ways.map((): [boolean, boolean] => [false, false]);
  const near = ways.map((one, i) => ways.flatMap((other, k) => (k !== i && !areApart(one, other) ? [k] : [])));
  ways.forEach((_, i) => {
    for (const last of [0, 1] as const) {
      const path = last ? reversed(paths[i]) : paths[i];
      // The nearest first: an end is led to one way only.
      const order = [...near[i]].sort((a, b) => off(path[0], paths[a]) - off(path[0], paths[b]));
      for (const k of order) {
        const led = ledTo(path, { path: paths[k], outer: ways[k].outer });
        if (!led) continue;
        paths[i] = last ? reversed(led) : led;
        joined[i][last] = true;
        break;
      }
    }
  });
  const junctions = paths.flatMap((path, i) =>
    [i, ...near[i].filter((k) => k > i)].flatMap((k) =>
      places(path, paths[k]).map((at): Junction => ({
        at,
        of: [i, k],
        angle: leastAngle(k === i ? armsAt(at, path) : [...armsAt(at, path), ...armsAt(at, paths[k])]),
        ends: endsAt(at, path) && endsAt(at, paths[k]),
      })),
    ),
  );
  return { paths, joined, junctions };
}
