import type { Vec2 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { areaTwice, inset, sideOf } from "../../polygon";
import { PARTITION, type Rooms } from "./rooms";
import type { Building } from "./schema";

/** Walls and floors where nothing is said of them, m (common practice). */
export const DEFAULT_ROOMS: Rooms = { wall: 0.3, slab: 0.3 };
/** A side of a room that is drawn nearer than this to an outer wall, or to the next room, is brought to it, m. */
const CATCH = 0.6;
/** Two sides are parallel where the sine of their angle is less. */
const PARALLEL = 0.01;

interface Line {
  readonly p: Vec2;
  readonly u: Vec2;
}

/** A line moved to its right, m. */
const aside = ({ p, u }: Line, by: number): Line => ({ p: [p[0] + by * u[1], p[1] - by * u[0]], u });

/** Where two lines cross; the first one's place where they hardly do. */
function crossing(a: Line, b: Line): Vec2 {
  const det = a.u[0] * b.u[1] - a.u[1] * b.u[0];
  if (Math.abs(det) < PARALLEL) return b.p;
  const k = ((b.p[0] - a.p[0]) * b.u[1] - (b.p[1] - a.p[1]) * b.u[0]) / det;
  return [a.p[0] + k * a.u[0], a.p[1] + k * a.u[1]];
}

/** The lines that the side of a room may come to lie on: along the outer walls, and beside other rooms. */
function catching(within: readonly Vec2[], others: readonly (readonly Vec2[])[]): readonly Line[] {
  const sides = (ring: readonly Vec2[]) => ring.map((_, side): Line => sideOf(ring, side));
  const beside = others.flatMap(sides).map((line) => {
    const { p, u } = aside(line, PARTITION);
    // Seen from the other room, the new one's side runs the other way.
    return { p, u: [-u[0], -u[1]] as const };
  });
  return [...sides(within), ...beside];
}

/** A side on the nearest line that runs its way, where one is near; else as it was drawn. */
function caught(side: Line, lines: readonly Line[]): Line {
  const { p, u } = side;
  const near = lines.flatMap((line) => {
    const turn = u[0] * line.u[1] - u[1] * line.u[0];
    const off = (line.p[0] - p[0]) * u[1] - (line.p[1] - p[1]) * u[0];
    const same = u[0] * line.u[0] + u[1] * line.u[1] > 0;
    return Math.abs(turn) < PARALLEL && same && Math.abs(off) < CATCH ? [{ line, off: Math.abs(off) }] : [];
  });
  return near.reduce((best, one) => (best && best.off <= one.off ? best : one), near[0])?.line ?? side;
}

/**
 * A building with one room more, as it was drawn: sides that were drawn near an outer wall lie on its inner face, and
 * those near another room leave a wall between.
 * @param corners in either order, m
 */
export function withRoom(building: Building, corners: readonly Vec2[]): Building {
  const rooms = building.rooms ?? DEFAULT_ROOMS;
  const ring = areaTwice(corners) < 0 ? [...corners].reverse() : corners;
  const within = inset(cornersOf(building), rooms.wall) ?? [];
  const drawn = rooms.drawn ?? [];
  const others = drawn.map(({ footprint }) => footprint.map(({ x, y }): Vec2 => [x, y]));
  const lines = catching(within, others);
  const sides = ring.map((_, side) => caught(sideOf(ring, side), lines));
  const footprint = sides.map((side, i) => {
    const [x, y] = crossing(sides[(i + sides.length - 1) % sides.length], side);
    return { x, y };
  });
  return { ...building, rooms: { ...rooms, drawn: [...drawn, { footprint }] } };
}
