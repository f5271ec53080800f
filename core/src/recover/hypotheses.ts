import { cross, dot, unit, type Vec3 } from "../geometry";
import type { TracedSet } from "../scene";
import { axesFrom, focalFrom, project, unproject } from "./camera";

/** Uprights lean less than this from the picture's own where they pass its middle. */
const LEAN = Math.tan((35 * Math.PI) / 180);
/** The point of uprights is at least so far off the middle, half longer sides: a look up of 40 degrees at 24 mm. */
const FAR = 1;
/** Focal lengths that are tried besides the one that two points tell, half longer sides: 13 to 220 mm on full frame. */
const LENSES = [0.7, 0.9, 1.1, 1.4, 1.8, 2.4, 3.2, 4.5, 7, 12];
/** A level family's point may be so far from the horizon, in half longer sides per unit of distance. */
const LEVEL = 0.03;
/** A family runs along an axis where its point and the axis are nearer than this, as the sine of their angle. */
const ALONG = 0.12;
/** Of hypotheses that explain as much, to this share, the one that takes the longer families counts. */
const SAME = 0.01;

/** Whether lines to a point stand upright in the picture. */
const isUpright = ([x, y, w]: Vec3): boolean =>
  Math.abs(x) < LEAN * Math.abs(y) && Math.hypot(x, y) > FAR * Math.abs(w);

/** Families by what they are taken for, and the focal length that goes with it. */
interface Hypothesis {
  /** Places of the two level families, of which the second may be missing. */
  readonly levels: readonly number[];
  readonly upright: number | null;
  readonly f: number;
}

/** All ways to take some families for level ones and uprights, with each focal length that they allow. */
function hypotheses(points: readonly Vec3[]): Hypothesis[] {
  const all = [...points.keys()];
  const plumb = all.filter((i) => isUpright(points[i]));
  const sides = all.filter((i) => !isUpright(points[i]));
  const lenses = (i: number, k: number) => {
    // Two points that are as good as at infinity may tell any.
    const told = focalFrom(points[i], points[k], [0, 0]);
    return told === null ? LENSES : [told, ...LENSES];
  };
  const pairs = sides.flatMap((i, n) => sides.slice(n + 1).map((k) => [i, k] as const));
  return [
    ...pairs.flatMap((levels) => lenses(...levels).map((f) => ({ levels, upright: null, f }))),
    ...sides.flatMap((i) => plumb.flatMap((k) => lenses(i, k).map((f) => ({ levels: [i], upright: k, f })))),
  ];
}

/** The axes of a hypothesis as points of the picture: the first level family, the other level way, and uprights. */
function pointsOf({ levels: [first, second], upright, f }: Hypothesis, points: readonly Vec3[]): readonly Vec3[] {
  const [a, b, c] = axesFrom(
    unproject(points[first], f, [0, 0]),
    unproject(points[second ?? upright ?? first], f, [0, 0]),
  );
  const seen = [a, b, c].map((axis) => unit(project(axis, f, [0, 0])));
  return upright === null ? seen : [seen[0], seen[2], seen[1]];
}

/** How far two points of a picture are apart, as the sine of the angle between them. */
const apart = (p: Vec3, q: Vec3): number => Math.hypot(...cross(unit(p), unit(q)));

/**
 * How much of the families' length some axes explain: each family by the axis nearest to its point, and of each axis
 * the family that is explained best.
 */
function scoreOf(axes: readonly Vec3[], points: readonly Vec3[], lengths: readonly number[]): number {
  const most = axes.map(() => 0);
  points.forEach((v, i) => {
    const off = axes.map((axis) => apart(v, axis));
    const nearest = off.indexOf(Math.min(...off));
    most[nearest] = Math.max(most[nearest], lengths[i] * Math.max(0, 1 - (off[nearest] / ALONG) ** 2));
  });
  return most.reduce((sum, one) => sum + one, 0);
}

/**
 * Which way each family of edges runs: of all ways to take two of them for level ones at right angles, or one and the
 * uprights, the one whose three axes explain most of the picture's edges.
 * @param points of the families, in half longer sides about the middle, those with most edges first
 * @param lengths of all edges of each family together, in any unit
 */
export function rolesOf(points: readonly Vec3[], lengths: readonly number[]): TracedSet["role"][] {
  const tried = hypotheses(points)
    .map((one) => ({ axes: pointsOf(one, points), levels: one.levels }))
    // The third axis of two level families is upright, too.
    .filter(({ axes }) => isUpright(axes[2]))
    .map((one) => ({ ...one, score: scoreOf(one.axes, points, lengths) }));
  if (tried.length === 0) return alone(points);
  const best = tried.reduce((most, one) => (one.score > most.score * (1 + SAME) ? one : most));
  return rolesUnder(points, best.axes);
}

/** Roles where nothing tells the axes: uprights, and one level family. */
function alone(points: readonly Vec3[]): TracedSet["role"][] {
  const [plumb, side] = [points.findIndex(isUpright), points.findIndex((v) => !isUpright(v))];
  return points.map((_, i) => (i === plumb ? "upright" : i === side ? "left" : "free"));
}

/** The roles of families under some axes. */
function rolesUnder(points: readonly Vec3[], axes: readonly Vec3[]): TracedSet["role"][] {
  const x = ([px, , w]: Vec3) => (Math.abs(w) < 1e-9 ? Infinity : px / w);
  const [left, right] = [axes[0], axes[1]].sort((p, q) => x(p) - x(q));
  const nearest = (axis: Vec3) =>
    [...points.keys()]
      .filter((i) => apart(points[i], axis) < ALONG)
      .sort((i, k) => apart(points[i], axis) - apart(points[k], axis))[0];
  const [atLeft, atRight, atUp] = [left, right, axes[2]].map(nearest);
  const line = cross(axes[0], axes[1]);
  const size = Math.hypot(line[0], line[1]);
  return points.map((v, i) => {
    if (i === atUp) return "upright";
    if (i === atLeft) return "left";
    if (i === atRight) return "right";
    return Math.abs(dot(line, v)) < LEVEL * size * Math.hypot(...v) && !isUpright(v) ? "level" : "free";
  });
}
