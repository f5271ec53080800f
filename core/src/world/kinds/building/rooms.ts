import { fromStretch, type Vec2 } from "../../../geometry";
import { metres, sentence } from "../../../units";
import { areClear, crossingOf, inset, isConvex, isWithin, longestSide, sideOf, tidy } from "../../polygon";
import type { ElementError } from "../kind";
import { floorsOf } from "./floors";
import type { Opening } from "./front";
import { turns } from "./openingLines";
import type { Building } from "./schema";
import type { FittedTier, Wall } from "./wallOpenings";

export type Rooms = NonNullable<Building["rooms"]>;

/** A floor lies so far over the foot of its storey, and a threshold so far over the floor, m. */
export const OVER = 0.01;
/** No wall between rooms that are drawn is thinner than this, m. */
const THINNEST = 0.02;
/** Walls between rooms are so thick, m (common practice). */
export const PARTITION = 0.12;
/** No room is lower or narrower than this, m. */
const LEAST = 0.5;
/** An opening keeps so far from the edges of the room's wall that it opens into, m. */
const EDGE = 1e-3;
/** Nearer than this two places are one, m. */
const SAME = 1e-6;

/** A room: its corners on the plan, counter-clockwise, and the heights of its floor and its ceiling, m. */
export interface Room {
  readonly name: string;
  readonly ring: readonly Vec2[];
  readonly floor: number;
  readonly ceiling: number;
}

/** The part of a convex ring that lies on the left of a line through a place. */
function leftOf(ring: readonly Vec2[], [x, y]: Vec2, [ux, uy]: Vec2): Vec2[] {
  const side = ([px, py]: Vec2) => ux * (py - y) - uy * (px - x);
  return ring.flatMap((p, i): Vec2[] => {
    const q = ring[(i + 1) % ring.length];
    const [a, b] = [side(p), side(q)];
    const crossing = (a > 0 && b < 0) || (a < 0 && b > 0);
    const t = a / (a - b);
    return [
      ...(a >= 0 ? [p] : []),
      ...(crossing ? [[p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])] as const] : []),
    ];
  });
}

/** The rooms of one storey on the plan, from one end of the longest wall to the other. */
function ringsOf(within: readonly Vec2[], across: number): readonly (readonly Vec2[])[] {
  if (across < 2) return [within];
  const [ux, uy] = longestSide(within);
  const along = within.map(([x, y]) => x * ux + y * uy);
  const [first, last] = [Math.min(...along), Math.max(...along)];
  const wide = (last - first - (across - 1) * PARTITION) / across;
  return Array.from({ length: across }, (_, i) => {
    const from = first + i * (wide + PARTITION);
    const after = i > 0 ? leftOf(within, [from * ux, from * uy], [uy, -ux]) : within;
    return i < across - 1 ? leftOf(after, [(from + wide) * ux, (from + wide) * uy], [-uy, ux]) : after;
  });
}

/** The rooms that are drawn for a storey: corners of each, counter-clockwise. */
const drawnIn = ({ drawn = [] }: Rooms, storey: number): readonly (readonly Vec2[])[] =>
  drawn
    .filter((one) => one.storey === undefined || one.storey === storey)
    .map(({ footprint }) => tidy(footprint.map(({ x, y }): Vec2 => [x, y])));

/** Why rooms cannot be as they are drawn, and the field; null where they can. @param within the walls */
function validateDrawn({ drawn = [] }: Rooms, within: readonly Vec2[]): ElementError | null {
  const rings = drawn.map(({ footprint }) => tidy(footprint.map(({ x, y }): Vec2 => [x, y])));
  for (const [i, ring] of rings.entries()) {
    const field = `rooms/drawn/${i}`;
    if (ring.length < 3 || crossingOf(ring))
      return { field, message: "is no room: its sides cross each other, or it has no area." };
    if (!ring.every((at) => isWithin(at, within) || isOnRim(at, within)))
      return { field, message: "reaches into the outer walls, or out of them." };
    const other = rings.findIndex(
      (one, k) => k < i && sameStorey(drawn[i].storey, drawn[k].storey) && !areApart(ring, one),
    );
    if (other >= 0) return { field, message: `runs into room ${other + 1}: leave a wall between them.` };
  }
  return null;
}

/** Whether two rooms may be in one storey: what is drawn for all of them is in each. */
const sameStorey = (a: number | undefined, b: number | undefined): boolean =>
  a === undefined || b === undefined || a === b;

/** Whether two rooms have a wall between them, wherever they meet. */
const areApart = (one: readonly Vec2[], other: readonly Vec2[]): boolean =>
  areClear(one, other, THINNEST) && !isWithin(one[0], other) && !isWithin(other[0], one);

/** Whether a place lies on a side of a ring. */
const isOnRim = (at: Vec2, ring: readonly Vec2[]): boolean =>
  ring.some((p, i) => fromStretch(at, p, ring[(i + 1) % ring.length]) < SAME);

/** The rooms of a part of a building, storey by storey; none where there is no room for any. */
export function roomsOf(rooms: Rooms, { points, z, height, floors }: FittedTier): readonly Room[] {
  const { wall, slab, across = 1 } = rooms;
  const within = inset(points, wall);
  if (!within) return [];
  const rings = ringsOf(within, isConvex(within) ? across : 1);
  return floors.flatMap((floor, storey) => {
    const top = floors[storey + 1]?.low ?? height;
    const [low, ceiling] = [z + floor.low + OVER, z + top - slab];
    if (ceiling - low < LEAST) return [];
    const own = drawnIn(rooms, storey);
    return (own.length ? own : rings).map((ring, i): Room => ({
      name: `room ${storey} ${i}`,
      ring,
      floor: low,
      ceiling,
    }));
  });
}

/** Why a building cannot have the rooms that it is said to have, and the field; null where it can, or has none. */
export function validateRooms(building: Building, points: readonly Vec2[]): ElementError | null {
  const { rooms, round, slope, passages, courtyards, fronts = [] } = building;
  if (!rooms) return null;
  const against = round
    ? "a round wall"
    : slope
      ? "a foot on a slope"
      : passages?.length
        ? "a passage"
        : courtyards?.length
          ? "a courtyard"
          : null;
  if (against) return { field: "rooms", message: `do not go with ${against}.` };
  const within = inset(points, rooms.wall);
  if (!within) return { field: "rooms/wall", message: "leave no room between the walls." };
  const lowest = Math.min(...floorsOf(building, building.height, true).map(({ height }) => height));
  if (lowest - rooms.slab < LEAST)
    return { field: "rooms/slab", message: sentence`leave no room in a storey ${metres(lowest)} high.` };
  if ((rooms.across ?? 1) > 1) {
    if (!isConvex(within))
      return { field: "rooms/across", message: "need a footprint whose corners all bend outwards." };
    const [ux, uy] = longestSide(within);
    const along = within.map(([x, y]) => x * ux + y * uy);
    const wide = (Math.max(...along) - Math.min(...along) + PARTITION) / (rooms.across ?? 1) - PARTITION;
    if (wide < LEAST) return { field: "rooms/across", message: "are too many: no room is left for each." };
  }
  const undrawn = validateDrawn(rooms, within);
  if (undrawn) return undrawn;
  for (const { side, window, door } of fronts)
    for (const look of [window, door])
      if ((look?.reveal ?? 0) > rooms.wall)
        return {
          field: "rooms/wall",
          message: sentence`are thinner than the reveals of wall ${side + 1}, ${metres(look?.reveal ?? 0)} deep.`,
        };
  return null;
}

/** Whether one sees through an opening: a window that is not closed to sight, a door that is open. */
const isClear = ({ kind, look }: Opening): boolean =>
  kind === "window" ? !look.opaque : ((turns(look) ? look.open : look.clear) ?? 0) > 0;

/** The wall of a room that an opening in an outer wall is before, over its floor and under its ceiling. */
interface Behind {
  /** The numbers of the room and of its side. */
  readonly room: number;
  readonly side: number;
}

function wallBehind(
  rooms: readonly Room[],
  { p, u }: Wall,
  { from, to, low, high }: Opening,
  z: number,
  thick: number,
) {
  for (const [n, { ring, floor, ceiling }] of rooms.entries()) {
    if (z + low < floor - 2 * OVER || z + high > ceiling - EDGE) continue;
    for (let side = 0; side < ring.length; side++) {
      const { p: q, u: v, long } = sideOf(ring, side);
      const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
      const isParallel = Math.abs(u[0] * v[1] - u[1] * v[0]) < SAME && u[0] * v[0] + u[1] * v[1] > 0;
      if (!isParallel || Math.abs(dy * u[0] - dx * u[1] - thick) > SAME) continue;
      const start = dx * u[0] + dy * u[1];
      if (from > start + EDGE && to < start + long - EDGE) return { room: n, side };
    }
  }
  return null;
}

/** An opening that could be seen through, and what it opens into: null where a floor or a wall is right behind it. */
interface Clear {
  readonly wall: Wall;
  readonly opening: Opening;
  readonly behind: Behind | null;
}

/** The openings of a part of a building that could be seen through. @param rooms of that part */
export const clearOpenings = (rooms: readonly Room[], { walls, z }: FittedTier, thick: number): readonly Clear[] =>
  walls.flatMap(({ wall, openings }) =>
    openings.filter(isClear).map((opening) => ({ wall, opening, behind: wallBehind(rooms, wall, opening, z, thick) })),
  );

/** How many openings of each side one could see through, were there not a floor or a wall right behind them. */
export function blindOpenings(rooms: Rooms, tier: FittedTier): ReadonlyMap<number, number> {
  const blind = new Map<number, number>();
  for (const { wall, behind } of clearOpenings(roomsOf(rooms, tier), tier, rooms.wall))
    if (!behind && wall.side !== null) blind.set(wall.side, (blind.get(wall.side) ?? 0) + 1);
  return blind;
}
