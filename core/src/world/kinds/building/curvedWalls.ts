import { dot, unit, type Vec2, type Vec3 } from "../../../geometry";
import { metres, sentence } from "../../../units";
import type { Detail, DetailItem, DetailKind } from "../../details";
import { cornersOf, yardsOf } from "../../outline";
import { crossingOf, inset, sideOf } from "../../polygon";
import {
  bendBetween,
  bulgeOf,
  chordsAlong,
  piecesOfOutline,
  roundSolid,
  surfacesAround,
  type OutlinePoint,
  type Piece,
} from "../../round";
import type { Solid } from "../../solid";
import type { ElementError } from "../kind";
import { PARAPET } from "./roofShapes";
import type { Building } from "./schema";

/** What makes walls of a building curved. */
type Curves = Pick<Building, "bows" | "corners">;

/** A straight or round piece of the walls around a part of a building. */
export interface WallPiece {
  /** The side of the footprint that it is; null for a round corner. */
  readonly side: number | null;
  /** How far along that side it begins, m. */
  readonly begins: number;
  readonly piece: Piece;
}

/** Whether walls of a building bow or go round its corners. */
export const isCurved = ({ bows = [], corners = [] }: Curves): boolean => bows.length > 0 || corners.length > 0;

/** The part of a building that stands on the ground. */
const FOOT = 0;

/** By how much each set-back makes a round corner smaller, and that only the lowest part bows. */
function curvesOfTier({ bows, corners = [], setbacks = [] }: Building, tier: number): Curves {
  const by = setbacks.slice(0, tier).reduce((sum, one) => sum + one.inset, 0);
  const smaller = corners.map(({ corner, radius }) => ({ corner, radius: radius - by }));
  return { bows: tier === FOOT ? bows : [], corners: smaller.filter(({ radius }) => radius > 0) };
}

/** By how much the way around turns at each corner, to the left, radians. */
const turnsOf = (points: readonly Vec2[]): readonly number[] =>
  points.map((_, i) => {
    const [u, v] = [sideOf(points, (i + points.length - 1) % points.length).u, sideOf(points, i).u];
    return Math.atan2(u[0] * v[1] - u[1] * v[0], dot([...u, 0], [...v, 0]));
  });

/** How much of both sides a round corner takes, m: its radius by the tangent of half the turn. */
function cutsOf(points: readonly Vec2[], corners: NonNullable<Curves["corners"]>): readonly number[] {
  const turns = turnsOf(points);
  return points.map((_, i) => {
    const radius = corners.find(({ corner }) => corner === i)?.radius ?? 0;
    return radius * Math.tan(Math.abs(turns[i]) / 2);
  });
}

/** The outline of a part of a building with its bows and round corners, and the walls that its pieces are. */
function wallsAround(points: readonly Vec2[], { bows = [], corners = [] }: Curves) {
  const [turns, cuts] = [turnsOf(points), cutsOf(points, corners)];
  const outline: OutlinePoint[] = [];
  const sides: Pick<WallPiece, "side" | "begins">[] = [];
  points.forEach((_, side) => {
    const { p, u, long } = sideOf(points, side);
    const next = (side + 1) % points.length;
    const at = (s: number): Vec2 => [p[0] + s * u[0], p[1] + s * u[1]];
    const chord = long - cuts[side] - cuts[next];
    const rise = bows.find((bow) => bow.side === side)?.rise ?? 0;
    outline.push({ at: at(cuts[side]), ...(rise ? { bulge: (2 * rise) / chord } : {}) });
    sides.push({ side, begins: cuts[side] });
    if (cuts[next] === 0) return;
    outline.push({ at: at(long - cuts[next]), bulge: bulgeOf(turns[next]) });
    sides.push({ side: null, begins: 0 });
  });
  return { outline, sides };
}

/** The walls around a part of a building, with its bows and round corners, from the first corner on. */
export function wallPieces(building: Building, points: readonly Vec2[], tier: number): readonly WallPiece[] {
  const { outline, sides } = wallsAround(points, curvesOfTier(building, tier));
  return piecesOfOutline(outline, true).map((piece, i) => ({ ...sides[i], piece }));
}

/** Chords stand for curved walls on the plan that leave them by no more than this, m. */
const ON_PLAN = 0.005;

/** The ground that a building covers, with its bows and round corners, counter-clockwise. */
export function groundOf(building: Building): readonly Vec2[] {
  const points = cornersOf(building);
  if (!isCurved(building) || whyNotCurved(building, points)) return points;
  return chordsAlong(piecesOfOutline(wallsAround(points, building).outline, true), ON_PLAN);
}

/** The stretch of a side that is left straight by round corners, m along it. */
export function straightOf(
  { corners = [] }: Building,
  points: readonly Vec2[],
  side: number,
): readonly [number, number] {
  const cuts = cutsOf(points, corners);
  return [cuts[side], sideOf(points, side).long - cuts[(side + 1) % points.length]];
}

/** Shorter than this nothing is left of a side, m. */
const LEAST = 0.01;

/** Why the walls of a building cannot bow or go round its corners as it is said, and the field; null where they can. */
function whyNotCurved({ bows = [], corners = [] }: Building, points: readonly Vec2[]): ElementError | null {
  const n = points.length;
  for (const [i, { corner }] of corners.entries()) {
    if (corner >= n) return { field: `corners/${i}/corner`, message: `is none: the footprint has ${n} corners.` };
    if (corners.findIndex((one) => one.corner === corner) < i)
      return { field: `corners/${i}/corner`, message: "is round already." };
  }
  const cuts = cutsOf(points, corners);
  for (const [i, { corner }] of corners.entries())
    for (const side of [corner, (corner + n - 1) % n])
      if (sideOf(points, side).long - cuts[side] - cuts[(side + 1) % n] < LEAST)
        return { field: `corners/${i}/radius`, message: sentence`takes more of wall ${String(side + 1)} than it has.` };
  for (const [i, { side, rise }] of bows.entries()) {
    if (side >= n) return { field: `bows/${i}/side`, message: `is none: the footprint has ${n} sides.` };
    if (bows.findIndex((one) => one.side === side) < i) return { field: `bows/${i}/side`, message: "bows already." };
    const chord = sideOf(points, side).long - cuts[side] - cuts[(side + 1) % n];
    if (Math.abs(rise) > chord / 2)
      return {
        field: `bows/${i}/rise`,
        message: sentence`is more than a half circle: ${metres(chord / 2)} is the most for this wall.`,
      };
  }
  const around = chordsAlong(piecesOfOutline(wallsAround(points, { bows, corners }).outline, true), ON_PLAN);
  return crossingOf(around) ? { field: "bows", message: "make walls cut each other." } : null;
}

/** What does not go with curved walls. */
function unfit(building: Building): ElementError | null {
  const { roof, rooms, slope, passages = [], round, dress, fronts = [], bows = [] } = building;
  const not = (field: string, message = "does not go with walls that bow or go round corners."): ElementError => ({
    field,
    message,
  });
  if (round) return not("round", "is a drum: it has no corners to go round, nor walls to bow.");
  if (roof.kind !== "flat")
    return not("roof/kind", `cannot be "${roof.kind}" here: walls that bow or go round corners take a flat roof.`);
  if (rooms) return not("rooms", "do not go with walls that bow or go round corners.");
  if (slope) return not("slope");
  if (passages.length > 0) return not("passages", "do not go with walls that bow or go round corners.");
  if (dress?.out !== undefined) return not("dress/out");
  const front = fronts.findIndex(({ side }) => bows.some((bow) => bow.side === side));
  return front < 0 ? null : not(`fronts/${front}/side`, "bows: a wall with a front of its own is straight.");
}

/** Why a building cannot have curved walls as it is said to, and the field; null where it can, or has none. */
export const validateCurved = (building: Building, points: readonly Vec2[]): ElementError | null =>
  isCurved(building) ? (whyNotCurved(building, points) ?? unfit(building)) : null;

/** The ground plane, in which walls are outlines that are extruded upwards. */
const PLAN = { origin: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0] } as const satisfies Record<string, Vec3>;

const straightRing = (ring: readonly Vec2[]): readonly OutlinePoint[] => ring.map((at) => ({ at }));

/**
 * The solids of a part of a building with curved walls, the walls first; none where its walls are straight. A parapet
 * goes up with the walls, around a roof that is a solid of its own.
 */
export function curvedTier(
  building: Building,
  points: readonly Vec2[],
  [low, eaves]: Vec2,
  [tier, isTop]: readonly [tier: number, isTop: boolean],
): readonly Solid[] {
  if (!isCurved(building)) return [];
  const { id, roof } = building;
  const { outline } = wallsAround(points, curvesOfTier(building, tier));
  const extruded = (ring: readonly OutlinePoint[], to: number, holes?: readonly (readonly OutlinePoint[])[]) =>
    roundSolid(id, { kind: "extruded", frame: PLAN, outline: ring, from: low, to, ...(holes ? { holes } : {}) });
  if (!isTop || roof.rise === undefined) {
    const yards = yardsOf(building);
    return [extruded(outline, eaves, yards.length > 0 ? yards.map(straightRing) : undefined)];
  }
  const within = withinParapet(building, points, tier);
  return within ? [extruded(outline, eaves + roof.rise, [within]), extruded(within, eaves)] : [];
}

/** The outline of a roof within its parapet; null where that leaves none. */
function withinParapet(building: Building, points: readonly Vec2[], tier: number): readonly OutlinePoint[] | null {
  const inner = inset(points, PARAPET);
  if (!inner) return null;
  const { bows = [], corners = [] } = curvesOfTier(building, tier);
  const cuts = cutsOf(points, corners);
  const smaller = corners
    .map(({ corner, radius }) => ({ corner, radius: radius - PARAPET }))
    .filter(({ radius }) => radius > 0);
  const innerCuts = cutsOf(inner, smaller);
  // The arc of a bow turns as much as that of the wall outside it.
  const inwards = bows.map(({ side, rise }) => {
    const next = (side + 1) % points.length;
    const [chord, own] = [sideOf(points, side).long - cuts[side] - cuts[next], sideOf(inner, side).long];
    return { side, rise: (rise * (own - innerCuts[side] - innerCuts[next])) / chord };
  });
  return wallsAround(inner, { bows: inwards, corners: smaller }).outline;
}

/** The number of the round surface that each piece of the walls around a part of a building is of. */
export const wallSurfaces = (building: Building, points: readonly Vec2[], tier: number): readonly number[] =>
  surfacesAround(wallsAround(points, curvesOfTier(building, tier)).outline);

/** A round stretch of wall. */
export interface WallArc {
  readonly arc: NonNullable<Piece["arc"]>;
  /** The number of the surface that it is of. */
  readonly surface: number;
}

/** How long a round stretch of wall is, m. */
export const lengthOfArc = ({ arc }: WallArc): number => arc.radius * Math.abs(arc.sweep);

/** The angle of a place so many m along a round wall, and which way it faces outwards there. */
function facingAlong({ arc: { radius, start, sweep } }: WallArc, s: number) {
  const turn = Math.sign(sweep);
  const angle = start + (turn * s) / radius;
  const out: Vec3 = [turn * Math.cos(angle), turn * Math.sin(angle), 0];
  return { out, way: [-out[1], out[0], 0] as Vec3 };
}

/** Where a place so many m along a round wall is on the plan. */
export function alongArc(wall: WallArc, s: number): Vec2 {
  const { centre, radius, sweep } = wall.arc;
  const { out } = facingAlong(wall, s);
  const turn = Math.sign(sweep);
  return [centre[0] + turn * radius * out[0], centre[1] + turn * radius * out[1]];
}

/** No line on a round wall turns by more than this, radians. */
const STEP = 0.3;

/**
 * A line on a round wall, from a place m along it and up to another, in pieces that are cubics.
 * @param z height of the wall's foot, m
 */
export function lineOnArc(
  solid: Solid,
  wall: WallArc,
  [a, b]: readonly [Vec2, Vec2],
  z: number,
  { kind, item }: { readonly kind: DetailKind; readonly item: DetailItem },
): Detail[] {
  const turn = Math.abs(b[0] - a[0]) / wall.arc.radius;
  const steps = Math.max(1, Math.ceil(turn / STEP));
  const [ds, dz] = [b[0] - a[0], b[1] - a[1]];
  const places = Array.from({ length: steps + 1 }, (_, i) => {
    const [s, up] = [a[0] + (ds * i) / steps, a[1] + (dz * i) / steps];
    const { out, way } = facingAlong(wall, s);
    return { at: [...alongArc(wall, s), z + up] as Vec3, out, along: unit([way[0] * ds, way[1] * ds, dz]) };
  });
  return places.slice(1).map((to, i): Detail => {
    const from = places[i];
    const on = { solid, face: -1, round: { number: wall.surface, normals: [from.out, to.out] as const } };
    const bend = Math.abs(ds) < 1e-9 ? {} : { bend: bendBetween(from.at, from.along, to.at, to.along) };
    return { kind, a: from.at, b: to.at, ...bend, on, item };
  });
}
