import { cornersOf } from "../../outline";
import { sideOf } from "../../polygon";
import { straightOf } from "./curvedWalls";
import { floorsOf, storeysOf, type Floor } from "./floors";
import { baysOf, DEFAULT_WINDOWS, openingsOfFront, type Bay, type Opening } from "./front";
import type { Front } from "./frontSchema";
import type { Building } from "./schema";

/** A wall of a building as it is seen flat: m along it from its left corner, and up from its foot. */
export interface FrontElevation {
  readonly long: number;
  readonly height: number;
  readonly floors: readonly Floor[];
  readonly bays: readonly Bay[];
  readonly openings: readonly Opening[];
}

/** A bay is so wide where a front is laid out by size alone, m (common practice). */
const BAY = 2.6;
/** A wall shorter than this has no door by itself, m. */
const WITH_DOOR = 3.5;
/** A window is so much of its storey high, and no higher than this, m (common practice). */
const [SHARE, TALL] = [0.5, 1.6] as const;

/** The front that a wall has; undefined where it has none. */
export const frontOn = ({ fronts }: Building, side: number): Front | undefined =>
  fronts?.find((front) => front.side === side);

/** A building with a front in the place of the one that its wall has. */
export const withFront = (building: Building, front: Front): Building => ({
  ...building,
  fronts: [...(building.fronts ?? []).filter(({ side }) => side !== front.side), front],
});

/** A building without the front of a wall. */
export function withoutFront(building: Building, side: number): Building {
  const fronts = building.fronts?.filter((front) => front.side !== side) ?? [];
  return { ...building, fronts: fronts.length > 0 ? fronts : undefined };
}

/** The length of each wall of a building, m, by the side of the footprint. */
export const wallLengths = (building: Building): readonly number[] => {
  const corners = cornersOf(building);
  return corners.map((_, side) => sideOf(corners, side).long);
};

/** A wall as it is seen flat. @throws BadInput, NoAnswer for bays that cannot be laid out */
export function elevationOf(building: Building, side: number): FrontElevation {
  const long = wallLengths(building)[side] ?? 0;
  const floors = floorsOf(building, building.height, true);
  const front = frontOn(building, side);
  return {
    long,
    height: building.height,
    floors,
    bays: front ? baysOf(front, long) : [],
    openings: front ? openingsOfFront(front, building, long, floors) : [],
  };
}

/** A front that suits the size of a wall: bays of a usual width, windows by its storeys, a door between. */
export function usualFront(building: Building, side: number, withDoor = true): Front {
  const long = wallLengths(building)[side];
  const [from, to] = straightOf(building, cornersOf(building), side);
  const straight = long - 2 * Math.max(from, long - to);
  const n = Math.max(1, Math.min(60, Math.floor((straight - 0.8) / BAY)));
  const storey = building.height / storeysOf(building);
  const { width, sill } = DEFAULT_WINDOWS;
  const door = withDoor && straight > WITH_DOOR && n > 1 ? Math.floor((n - 1) / 2) : -1;
  const bays = Array.from({ length: n }, (_, i) => (i === door ? "door 1" : "1"));
  return {
    side,
    bays: door < 0 ? String(n) : bays.join(" "),
    ends: Math.max(Math.min(0.4, long / 10), from, long - to),
    window: {
      width: Math.min(width, Math.max(0.3, ((straight - 0.8) / n) * 0.6)),
      height: Math.max(0.3, Math.min(TALL, storey * SHARE)),
      sill: Math.min(sill, storey * 0.3),
      reveal: 0.12,
      frame: 0.06,
      across: 2,
      up: 2,
      ledge: 0.08,
    },
  };
}
