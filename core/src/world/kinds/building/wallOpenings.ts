import type { Vec2, Vec3 } from "../../../geometry";
import { cornersOf, yardsOf } from "../../outline";
import { sideOf } from "../../polygon";
import type { Solid } from "../../solid";
import { alongArc, isCurved, lengthOfArc, wallPieces, wallSurfaces, type WallArc } from "./curvedWalls";
import { floorsOf, type Floor } from "./floors";
import { groundOver, nearestSide, wayOf } from "./foot";
import { END, openingsOfFront, type Opening } from "./front";
import type { Front } from "./frontSchema";
import type { InWall } from "./openingLines";
import type { Building } from "./schema";

/** No building has more windows than these. */
export const MAX_WINDOWS = 4000;

/** A stretch of a wall that is taken, m along it and up. */
export interface Taken {
  readonly from: number;
  readonly to: number;
  readonly top: number;
}

/** Where places of a wall are in the world: m along it, up from its foot and behind it. @param z height of the foot */
export const placeIn =
  ({ p, u }: Pick<Wall, "p" | "u">, z: number) =>
  ([s, up, behind]: InWall): Vec3 => [p[0] + s * u[0] - behind * u[1], p[1] + s * u[1] + behind * u[0], z + up];

/** The face of a solid that a wall from one place of the plan to another is; -1 where it is none. */
export const faceOf = ({ faces }: Solid, { p: [px, py], u: [ux, uy] }: Pick<Wall, "p" | "u">): number =>
  faces.findIndex(
    ({ normal: [x, y, z], offset }) =>
      Math.abs(z) < 1e-6 && x * uy - y * ux > 1 - 1e-6 && Math.abs(x * px + y * py - offset) < 1e-4,
  );

/**
 * What is taken of each side by passages, m along it from its first corner: of the footprint, and of each courtyard.
 */
function passagesOn(rings: readonly (readonly Vec2[])[], { passages = [] }: Building): Taken[][][] {
  const [corners, ...yards] = rings;
  const taken = rings.map((ring) => ring.map((): Taken[] => []));
  for (const one of passages) {
    const way = wayOf(corners, one, yards);
    if (typeof way === "string") continue;
    const ends = [
      { ...way.enters, ring: 0 },
      { ...way.leaves, ring: way.leaves.yard === null ? 0 : way.leaves.yard + 1 },
    ];
    for (const { ring, side, from, to } of ends) {
      const [px, py] = rings[ring][side];
      const [s, t] = [from, to].map(([x, y]) => Math.hypot(x - px, y - py));
      taken[ring][side].push({ from: Math.min(s, t), to: Math.max(s, t), top: one.height });
    }
  }
  return taken;
}

/** A wall from its left to its right corner, seen from outside. */
export interface Wall {
  /** Its side of the footprint; null where it stands around a courtyard. */
  readonly side: number | null;
  readonly p: Vec2;
  readonly u: Vec2;
  readonly long: number;
  readonly taken: readonly Taken[];
  /** Where it begins on its side, m along that: beyond a round corner. */
  readonly begins?: number;
  /** The arc that it runs along, by its length, where it is round. */
  readonly round?: WallArc;
}

/** The walls of a tier: of its footprint, and around each courtyard, which run the other way round. */
function wallsOf(rings: readonly (readonly Vec2[])[], taken: readonly (readonly (readonly Taken[])[])[]): Wall[] {
  return rings.flatMap((ring, r) =>
    ring.map((_, side): Wall => {
      const { p, u, long } = sideOf(ring, side);
      const own = taken[r]?.[side] ?? [];
      if (r === 0) return { side, p, u, long, taken: own };
      return {
        side: null,
        p: [p[0] + long * u[0], p[1] + long * u[1]],
        u: [-u[0], -u[1]],
        long,
        taken: own.map(({ from, to, top }) => ({ from: long - to, to: long - from, top })),
      };
    }),
  );
}

/** The walls around a part with bows and round corners: what is round is as long as its arc. */
function curvedWalls(building: Building, points: readonly Vec2[], tier: number): Wall[] {
  const surfaces = wallSurfaces(building, points, tier);
  return wallPieces(building, points, tier).map(({ side, begins, piece }, i): Wall => {
    const { p, u, long } = sideOf([piece.from, piece.to], 0);
    const round = piece.arc ? { arc: piece.arc, surface: surfaces[i] } : undefined;
    return { side, p, u, long: round ? lengthOfArc(round) : long, taken: [], begins, ...(round ? { round } : {}) };
  });
}

/** How high the ground rises over the foot of a building, at a place of the plan, m. */
export type Over = (at: Vec2) => number;
export const along = ({ p, u, round }: Wall, s: number): Vec2 =>
  round ? alongArc(round, s) : [p[0] + s * u[0], p[1] + s * u[1]];

/** A place m along the whole of a straight side, along the wall that is left of it or bows from it. */
function onWall({ p, u, long, begins = 0, round }: Wall, at: number): number {
  if (!round) return at - begins;
  const end = alongArc(round, long);
  return ((at - begins) / ((end[0] - p[0]) * u[0] + (end[1] - p[1]) * u[1])) * long;
}

/** A door that is set at a place of the plan. */
type Placed = Omit<NonNullable<Building["doors"]>[number], "x" | "y">;

/** A door where it fits into its wall, on the ground there. */
function doorIn(wall: Wall, middle: number, { width, height: tall }: Placed, height: number, over: Over): Opening[] {
  const from = Math.max(END / 4, Math.min(wall.long - width - END / 4, middle - width / 2));
  const foot = Math.max(over(along(wall, from)), over(along(wall, from + width)));
  if (from < 0 || foot + tall > height) return [];
  return [{ kind: "door", look: {}, from, to: from + width, low: foot, high: foot + tall, index: 0, storey: 0 }];
}

/** Windows in every storey of a wall, clear of what is taken of it and of the ground. */
export function windowsIn(
  wall: Wall,
  windows: NonNullable<Building["windows"]>,
  { floors, taken, over }: { floors: readonly Floor[]; taken: readonly Taken[]; over: Over },
): Opening[] {
  const { width, height, sill } = windows;
  const bay = Math.max(windows.every, width + END);
  const bays = Math.floor((wall.long - 2 * END) / bay);
  const out: Opening[] = [];
  floors.forEach((floor, storey) => {
    for (let n = 0; n < bays; n++) {
      const middle = wall.long / 2 + (n - (bays - 1) / 2) * bay;
      const [from, to] = [middle - width / 2, middle + width / 2];
      const low = floor.low + sill;
      const high = Math.min(low + height, floor.low + floor.height - END);
      if (high - low < END || low < over(along(wall, middle)) + END) continue;
      const opening: Opening = { kind: "window", look: {}, from, to, low, high, index: n, storey };
      if (!isTaken(opening, taken)) out.push(opening);
    }
  });
  return out;
}

/** Whether an opening comes too near to what is taken of its wall. */
const isTaken = ({ from, to, low }: Opening, taken: readonly Taken[]): boolean =>
  taken.some((one) => from < one.to + END && to > one.from - END && low < one.top + END);

/** The openings of a wall that has a front of its own: doors stand on the ground there, windows clear of it. */
function frontIn(
  wall: Wall,
  front: Front,
  building: Building,
  { height, floors, taken, over }: { height: number; floors: readonly Floor[]; taken: readonly Taken[]; over: Over },
): Opening[] {
  const { begins = 0 } = wall;
  const { long } = sideOf(cornersOf(building), front.side);
  return openingsOfFront(front, building, long, floors).flatMap((onSide): Opening[] => {
    const opening = { ...onSide, from: onSide.from - begins, to: onSide.to - begins };
    const { kind, from, to, low, high, storey, look } = opening;
    // What stands out of the wall is no opening in it.
    if (look.out) return [];
    const ground = Math.max(...[from, (from + to) / 2, to].map((s) => over(along(wall, s))));
    if (isTaken(opening, taken)) return [];
    if (kind === "window") return low < ground + END ? [] : [opening];
    const rise = storey === 0 ? Math.max(0, ground - low) : 0;
    return high + rise > height ? [] : [{ ...opening, low: low + rise, high: high + rise }];
  });
}

/** A part of a building from its foot up: its footprint, and from where to where it reaches, m. */
export interface Tier {
  readonly points: readonly Vec2[];
  readonly z: number;
  readonly height: number;
}

/** A wall with what opens in it, and the height of the ground before it over its foot, m. */
export interface FittedWall {
  readonly wall: Wall;
  readonly openings: readonly Opening[];
  readonly ground: number;
}

/** The walls of a tier with their openings; `barred` is what is taken of each side of a round one. */
export interface FittedTier extends Tier {
  readonly floors: readonly Floor[];
  readonly walls: readonly FittedWall[];
  readonly barred: readonly (readonly Taken[])[];
  /** No window of a round wall may stand lower than this over its foot, m. */
  readonly clear: number;
}

/** What opens in the walls of a building, tier by tier. @param rises how high the ground rises over its foot */
export function fittedTiers(building: Building, tiers: readonly Tier[], rises: Over = () => 0): readonly FittedTier[] {
  const { windows, doors = [], fronts = [], slope } = building;
  const [corners, yards] = [cornersOf(building), yardsOf(building)];
  const own = slope ? groundOver(corners, slope) : null;
  const onGround: Over = own ? (at) => Math.max(own(at), rises(at)) : rises;
  const passages = passagesOn([corners, ...yards], building);
  const entrances = doors.map(({ x, y, ...size }) => ({ ...nearestSide(corners, [x, y]), ...size }));
  const entrance = entrances[0] && windows?.party ? sideOf(corners, entrances[0].side).u : null;
  let left = MAX_WINDOWS;
  return tiers.map((tier, t): FittedTier => {
    const { points, height } = tier;
    const onFoot = t === 0;
    const over: Over = onFoot ? onGround : () => -Infinity;
    const floors = floorsOf(building, height, onFoot);
    const doorsOn = (side: number | null) => entrances.filter((one) => onFoot && one.side === side);
    const straight = wallsOf([points, ...yards], onFoot ? passages : []);
    const around = isCurved(building)
      ? [...curvedWalls(building, points, t), ...straight.slice(points.length)]
      : straight;
    const walls = around.map((wall): FittedWall => {
      const own = doorsOn(wall.side).flatMap(({ side: _side, at, ...door }) =>
        doorIn(wall, onWall(wall, at), door, height, over),
      );
      const taken = [...wall.taken, ...own.map(({ from, to, high }) => ({ from, to, top: high }))];
      const beside =
        wall.side !== null && entrance && Math.abs(wall.u[0] * entrance[0] + wall.u[1] * entrance[1]) < 0.5;
      const front = onFoot && wall.side !== null ? fronts.find(({ side }) => side === wall.side) : undefined;
      const found = front
        ? frontIn(wall, front, building, { height, floors, taken, over })
        : windows && !beside && !building.round
          ? windowsIn(wall, windows, { floors, taken, over })
          : [];
      const kept = found.slice(0, left);
      left -= kept.length;
      const ground = Math.max(0, over(wall.p), over(along(wall, wall.long)));
      return { wall, openings: [...own, ...kept], ground };
    });
    const barred = points.map((_, side) => [
      ...(onFoot ? (passages[0]?.[side] ?? []) : []),
      ...doorsOn(side).map(({ width, height: top }) => ({ from: 0, to: width, top })),
    ]);
    const clear = onFoot && points.some((p) => onGround(p) > 0) ? Math.max(...points.map(onGround)) : -Infinity;
    return { ...tier, floors, walls, barred, clear };
  });
}
