import { degrees, wrap, type Vec2 } from "../../../geometry";
import { metres, sentence } from "../../../units";
import { cornersOf, yardsOf } from "../../outline";
import {
  areaTwice,
  areClear,
  crossingOf,
  inset,
  isConvex,
  isRectangle,
  isWithin,
  longestSide,
  sideOf,
} from "../../polygon";
import { prism } from "../../shapes";
import { MAX_CORNERS } from "../../skeleton";
import type { ElementError } from "../kind";
import { floorsOf, heightSaid } from "./floors";
import { piecesOn } from "./dress";
import { straightOf, validateCurved } from "./curvedWalls";
import { footed, riseUnder } from "./foot";
import { baysOf, frontProblem } from "./front";
import { bySkeleton, frameOf, MANSARD, PARAPET, RISE, TOOTH } from "./roofShapes";
import { COVERS, ROOFS } from "./roofs";
import type { Building } from "./schema";
import { validateRooms } from "./rooms";
import { overhangingRoof, skeletonRoof } from "./skeletonRoof";
import type { Tier } from "./wallOpenings";

/** The least thickness of what stands between courtyards, and between them and the walls, m. */
const CLEAR = 0.01;
/** So much wall stays over a passage and over the ground, m. */
const LOW = 0.2;

/** Why a building cannot stand as it is said to, and the field; null where it can. */
export function validateBuilding(building: Building): ElementError | null {
  const points = cornersOf(building);
  if (points.length < 3) return { field: "footprint", message: "has no area: its corners lie on one line." };
  const crossed = crossingOf(points);
  if (crossed)
    return {
      field: "footprint",
      message: `crosses itself: its sides ${crossed[0] + 1} and ${crossed[1] + 1} cut each other.`,
    };
  const tops = tiersOf(points, building);
  if (typeof tops === "number")
    return { field: `setbacks/${tops}/inset`, message: "leaves nothing to stand on: set it back less." };
  const top = tops[tops.length - 1];
  const { kind } = building.roof;
  const inYards = validateYards(tops, building) ?? validateCurved(building, points);
  if (inYards) return inYards;
  const { needs, name } = ROOFS[kind];
  if (needs === "rectangle" && !isRectangle(top))
    return {
      field: "roof/kind",
      message: `cannot be "${kind}" here: a ${name.toLowerCase()} roof needs a footprint with four square corners.`,
    };
  if (needs === "convex" && !isConvex(top))
    return {
      field: "roof/kind",
      message: `cannot be "${kind}" here: a ${name.toLowerCase()} needs a footprint whose corners all bend outwards.`,
    };
  const unroofed = validateSkeletonRoof(building, top);
  if (unroofed) return unroofed;
  if (kind === "flat" && building.roof.rise !== undefined && !inset(top, PARAPET))
    return { field: "roof/rise", message: "does not fit: the roof is too narrow for a parapet." };
  const under = building.slope ? riseUnder(points, building.slope) : 0;
  if (under > building.height - LOW)
    return { field: "slope/grade", message: sentence`rises ${metres(under)} under it, nearly as high as its walls.` };
  if (building.slope?.steps && !isConvex(points))
    return { field: "slope/steps", message: "need a footprint whose corners all bend outwards." };
  if (building.slope?.steps && building.passages?.length)
    return { field: "slope/steps", message: "do not go with a passage: let the foot follow the slope." };
  for (const [i, { width, height, arch }] of (building.passages ?? []).entries()) {
    if (height > building.height - LOW) return { field: `passages/${i}/height`, message: "reaches the eaves." };
    if (height - (arch ? width / 2 : 0) < under + LOW)
      return {
        field: `passages/${i}/height`,
        message: arch ? "leaves no room under its arch." : "is lower than the ground under it.",
      };
  }
  if (kind === "mansard" && !inset(top, MANSARD * (building.roof.rise ?? RISE)))
    return { field: "roof/rise", message: "does not fit: its steep sides would meet below the top." };
  const laid = validateCover(building, points);
  if (laid) return laid;
  const unfit = validateFronts(building, points) ?? validateDress(building, points) ?? validateRooms(building, points);
  if (unfit) return unfit;
  const foot = building.passages?.length
    ? footed(
        prism(building.id, points, yardsOf(building), [building.base, building.base + building.height]),
        points,
        building,
      )
    : null;
  return foot && "passage" in foot ? { field: `passages/${foot.passage}`, message: foot.message } : null;
}

/** Why the ground floor or a front of a building cannot be as it is said, and the field; null where it can. */
function validateFronts(building: Building, points: readonly Vec2[]): ElementError | null {
  const { fronts = [], storeyHeights, height, round } = building;
  if (heightSaid(building) > height - LOW) {
    const field = storeyHeights ? "storeyHeights" : "groundFloor";
    return {
      field,
      message: storeyHeights ? "leave no room for the last storey." : "leaves no room for the storeys over it.",
    };
  }
  if (fronts.length > 0 && round) return { field: "fronts", message: "do not go with a round wall." };
  const floors = floorsOf(building, height, true);
  for (const [i, front] of fronts.entries()) {
    if (front.side >= points.length)
      return { field: `fronts/${i}/side`, message: `is none: the footprint has ${points.length} sides.` };
    if (fronts.findIndex(({ side }) => side === front.side) < i)
      return { field: `fronts/${i}/side`, message: "has a front already." };
    const { long, u } = sideOf(points, front.side);
    const across = points.map(([x, y]) => x * u[1] - y * u[0]);
    const problem = frontProblem(front, building, { long, deep: Math.max(...across) - Math.min(...across), floors });
    if (problem) return { field: `fronts/${i}/${problem.field}`, message: problem.message };
    const [from, to] = straightOf(building, points, front.side);
    if (baysOf(front, long).some((bay) => bay.from < from - FITS || bay.to > to + FITS))
      return { field: `fronts/${i}/ends`, message: "are too short: its bays reach into a round corner." };
  }
  return null;
}

/** Bays may reach into a round corner by no more than this, m. */
const FITS = 1e-6;

/** No building has more bricks or stones drawn than these. */
const MAX_PIECES = 40_000;

/** Why the walls of a building cannot be dressed as they are said to be, and the field; null where they can. */
function validateDress({ dress, height, round, slope }: Building, points: readonly Vec2[]): ElementError | null {
  if (!dress) return null;
  if (round) return { field: "dress", message: "does not go with a round wall." };
  for (const [field, size] of [
    ["plinth", dress.plinth ?? 0],
    ["cornice", dress.cornice ?? 0],
  ] as const)
    if (size > height) return { field: `dress/${field}`, message: "is higher than the walls." };
  if (dress.out !== undefined) {
    if (slope) return { field: "dress/out", message: "does not go with a foot on a slope." };
    if (!inset(points, -dress.out))
      return { field: "dress/out", message: "is more than there is room for between its walls." };
  }
  const around = points.reduce((sum, _, side) => sum + sideOf(points, side).long, 0);
  if (dress.pattern && !dress.hint && piecesOn(dress.pattern, around * height) > MAX_PIECES)
    return {
      field: "dress/pattern",
      message: "has too many pieces on walls so large: take a hint of it at the edges.",
    };
  return null;
}

/** Why a roof cannot be laid with what it is said to be, and the field; null where it can. */
function validateCover({ roof, round }: Building, points: readonly Vec2[]): ElementError | null {
  if (!roof.cover) return null;
  if (round || !ROOFS[roof.kind].sloped)
    return { field: "roof/cover", message: `does not go with a ${ROOFS[roof.kind].name.toLowerCase()} roof.` };
  const { wide, gauge } = COVERS[roof.cover];
  // A hint is cut out of the whole, so that there is a limit to that, too.
  const most = roof.hint ? 5 * MAX_PIECES : MAX_PIECES;
  return areaTwice(points) / 2 / (wide * Math.min(gauge, 10)) > most
    ? { field: "roof/cover", message: "has too many pieces on a roof so large: take a hint of it, or larger ones." }
    : null;
}

/** Why a hip or gable roof cannot stand over the topmost part of a building, and the field; null where it can. */
function validateSkeletonRoof(building: Building, top: readonly Vec2[]): ElementError | null {
  const { roof, round } = building;
  const { kind, overhang, rise = RISE } = roof;
  if (kind !== "hip" && kind !== "gable")
    return overhang === undefined ? null : { field: "roof/overhang", message: "goes with a hip or a gable roof only." };
  if (round)
    return {
      field: "roof/kind",
      message: `cannot be "${kind}" here: a round wall takes a cone, a dome or a flat roof.`,
    };
  const yards = yardsOf(building);
  if (bySkeleton(building, top) && !skeletonRoof(kind, top, yards, rise))
    return {
      field: "roof/kind",
      message:
        `cannot be "${kind}" here: it needs a footprint of ${MAX_CORNERS} corners or fewer, none on a line with its ` +
        "neighbours.",
    };
  if (overhang === undefined) return null;
  if (yards.length > 0) return { field: "roof/overhang", message: "does not go with a courtyard." };
  return overhangingRoof(building.id, kind, top, 0, { rise, overhang })
    ? null
    : { field: "roof/overhang", message: "is more than there is room for between its walls." };
}

/** Why a building cannot stand around its courtyards, and the field; null where it can, or has none. */
function validateYards(tiers: readonly (readonly Vec2[])[], building: Building): ElementError | null {
  const yards = yardsOf(building);
  if (yards.length === 0) return null;
  const { roof, slope } = building;
  for (const [i, yard] of yards.entries())
    if (yard.length < 3 || crossingOf(yard))
      return { field: `courtyards/${i}`, message: "must be an area whose sides do not cross each other." };
  const inside = (yard: readonly Vec2[]) =>
    tiers.every((tier) => isWithin(yard[0], tier) && areClear(yard, tier, CLEAR)) &&
    yards.every((other) => other === yard || (!isWithin(yard[0], other) && areClear(yard, other, CLEAR)));
  if (!yards.every(inside))
    return { field: "courtyards", message: "must lie wholly inside the walls, clear of them and of each other." };
  if ((roof.kind !== "flat" || roof.rise !== undefined) && roof.kind !== "hip" && roof.kind !== "gable")
    return {
      field: "roof/kind",
      message: "must be hip, gable, or flat and without a parapet, where there is a courtyard.",
    };
  if (building.round) return { field: "courtyards", message: "do not go with a round wall." };
  if (slope?.steps)
    return { field: "slope/steps", message: "do not go with a courtyard: let the foot follow the slope." };
  return null;
}

/** Footprints of all tiers from the ground up, or the number of the set-back that leaves nothing. */
function tiersOf(points: readonly Vec2[], { setbacks = [] }: Building): readonly (readonly Vec2[])[] | number {
  const tiers = [points];
  for (const [i, { inset: by }] of setbacks.entries()) {
    const next = inset(tiers[i], by);
    if (!next) return i;
    tiers.push(next);
  }
  return tiers;
}

/**
 * The parts of a building from the ground up: their footprint, and from where to where they reach; none where it
 * cannot stand.
 */
export function tiersUp(building: Building): readonly Tier[] {
  const tiers = validateBuilding(building) ? 0 : tiersOf(cornersOf(building), building);
  if (typeof tiers === "number") return [];
  const heights = [building.height, ...(building.setbacks ?? []).map(({ height }) => height)];
  return tiers.map((points, i) => ({
    points,
    z: heights.slice(0, i).reduce((sum, height) => sum + height, building.base),
    height: heights[i],
  }));
}

/** What the solid of a tier is called, from the ground up. */
export const tierPart = (tier: number): string => `tier ${tier}`;

/**
 * Which way a building's roof slopes, as a heading, and how steeply, degrees; null for a roof without one slope of
 * its own.
 */
export function slopeOf(building: Building): { readonly heading: number; readonly rise: number } | null {
  const tiers = validateBuilding(building) ? 0 : tiersOf(cornersOf(building), building);
  if (typeof tiers === "number") return null;
  const { kind, rise = RISE, turned = false } = building.roof;
  const top = tiers[tiers.length - 1];
  if ((kind === "hip" || kind === "gable") && bySkeleton(building, top)) {
    const slopes = skeletonRoof(kind, top, yardsOf(building), rise);
    const [ux, uy] = longestSide(top);
    return slopes && slopeAcross([-uy, ux], rise, slopes.reach);
  }
  if (top.length !== 4 || !["gable", "hip", "shed", "saw-tooth"].includes(kind)) return null;
  const { length, width, at } = frameOf(top, turned);
  const run =
    kind === "shed"
      ? width
      : kind === "saw-tooth"
        ? length / Math.max(1, Math.round(length / TOOTH))
        : kind === "hip"
          ? Math.min(width, length) / 2
          : width / 2;
  const [from, to] = kind === "saw-tooth" ? [at(0, 0), at(1, 0)] : [at(0, 0), at(0, 1)];
  return slopeAcross([to[0] - from[0], to[1] - from[1]], rise, run);
}

/** A slope up along a way on the plan, over so many m. */
const slopeAcross = ([x, y]: Vec2, rise: number, run: number) => ({
  heading: wrap(degrees(Math.atan2(x, y)), -180, 360),
  rise: degrees(Math.atan2(rise, run)),
});

/** Whether the ridge of a building's roof may run across as well as along: over a rectangle. */
export function mayTurnRidge(building: Building): boolean {
  const tiers = tiersOf(cornersOf(building), building);
  if (typeof tiers === "number") return false;
  const top = tiers[tiers.length - 1];
  return ROOFS[building.roof.kind].ridged && isRectangle(top) && !bySkeleton(building, top);
}
