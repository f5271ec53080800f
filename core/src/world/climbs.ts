import { degrees, distance2, headingAlong, wrap, type Vec2 } from "../geometry";
import { partsOf } from "./areas";
import { boxOnPlan, cornersOfBox } from "./polygon";
import { kindOf, type Element } from "./kinds";
import { builderOf } from "./kinds/builders";
import { groundRange, groundUnder, heightOn, reaches, type Terrain } from "./terrain";

/** A straight stretch of a way with one gradient. */
export interface Climb {
  readonly from: Vec2;
  readonly to: Vec2;
  /** The height of the ground at its two ends, m. */
  readonly heights: readonly [number, number];
  /** Its heading uphill, and how steep it is, degrees. */
  readonly heading: number;
  readonly rise: number;
  /** Metres that it rises in a hundred. */
  readonly grade: number;
}

/** A place of a way, or of an outline, at which the ground jumps. */
export interface Cliff {
  readonly at: Vec2;
  readonly jump: number;
}

/** Jumps of the ground below this are none, m: as high as a step. */
const JUMP = 0.2;
/** Gradients that differ by less are one, metres in a hundred. */
const SAME = 1e-3;
/** Stretches shorter than this are rounding, m. */
const SHORT = 0.01;
/** The ground is looked at so far around a line, m. */
const AROUND = 1;

function climb(from: Vec2, to: Vec2, heights: readonly [number, number]): Climb {
  const grade = (100 * (heights[1] - heights[0])) / distance2(from, to);
  const [dx, dy] = [Math.sign(grade || 1) * (to[0] - from[0]), Math.sign(grade || 1) * (to[1] - from[1])];
  return {
    from,
    to,
    heights,
    heading: wrap(headingAlong([dx, dy]), -180, 360),
    rise: degrees(Math.atan(Math.abs(grade) / 100)),
    grade: Math.abs(grade),
  };
}

/** A straight line in parts that each lie on one plane of the ground, in their order. */
function climbsOf(line: readonly [Vec2, Vec2], terrain: Terrain): readonly Climb[] {
  const [start] = line;
  const parts = groundUnder(terrain, [cornersOfBox(boxOnPlan(line, AROUND))]).flatMap(({ region, plane }) =>
    partsOf([line], region, "within").flatMap((part) => {
      const [a, b] = [part[0], part[part.length - 1]];
      const [from, to] = distance2(start, a) < distance2(start, b) ? [a, b] : [b, a];
      return distance2(a, b) < SHORT ? [] : [climb(from, to, [heightOn(plane, from), heightOn(plane, to)])];
    }),
  );
  return parts.sort((one, other) => distance2(start, one.from) - distance2(start, other.from));
}

/** Whether one stretch goes on as another one did. */
const goesOn = (one: Climb, other: Climb): boolean =>
  Math.abs(one.grade - other.grade) < SAME &&
  Math.abs(one.heights[1] - other.heights[0]) < JUMP &&
  Math.abs(wrap(one.heading - other.heading, -180, 360)) < SAME;

/** The gradients along a path, and where the ground jumps under it. */
export function climbsAlong(
  path: readonly Vec2[],
  terrain: Terrain,
): { readonly climbs: readonly Climb[]; readonly cliffs: readonly Cliff[] } {
  if (!reaches(terrain, boxOnPlan(path))) return { climbs: [], cliffs: [] };
  const all = path.slice(1).flatMap((q, i) => climbsOf([path[i], q], terrain));
  const climbs: Climb[] = [];
  const cliffs: Cliff[] = [];
  for (const one of all) {
    const before = climbs.at(-1);
    const jump = before ? Math.abs(one.heights[0] - before.heights[1]) : 0;
    if (jump > JUMP) cliffs.push({ at: one.from, jump });
    if (before && goesOn(before, one))
      climbs[climbs.length - 1] = climb(before.from, one.to, [before.heights[0], one.heights[1]]);
    else climbs.push(one);
  }
  return { climbs: climbs.filter(({ grade }) => grade > SAME), cliffs };
}

/** The gradients along a way, such as a street, and where the ground jumps under it; of what is none, nothing. */
export function climbsOn(element: Element, terrain: Terrain): ReturnType<typeof climbsAlong> {
  const roadway = kindOf(element).roadway?.(element);
  return roadway ? climbsAlong(roadway.path, terrain) : { climbs: [], cliffs: [] };
}

/** How much the ground rises under an element that stands on the lowest of it, m. */
export function riseUnderElement(element: Element, terrain: Terrain): number {
  const kind = kindOf(element);
  if (!kind.stands || !builderOf(element).settle) return 0;
  const [lowest, highest] = groundRange(terrain, [kind.outline(element)]);
  return highest - lowest;
}
