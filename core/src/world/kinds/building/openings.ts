import type { Vec2, Vec3 } from "../../../geometry";
import { tierPart, tiersUp } from "./build";
import { groundOver, nearestSide, wayOf } from "./foot";
import { cornersOf, yardsOf } from "../../outline";
import { sideOf } from "../../polygon";
import { roundFrame } from "./roundWindows";
import type { Building } from "./schema";
import type { Detail } from "../../details";
import type { Solid } from "../../solid";

/** Windows, a door: sill and head as they are usual, m (common practice). */
export const DEFAULT_WINDOWS: NonNullable<Building["windows"]> = { every: 2.4, width: 1.1, height: 1.2, sill: 0.9 };
export const DEFAULT_DOOR = { width: 0.95, height: 2.1 } as const;
/** A storey where none are counted, m. */
const STOREY = 3;
/** So much of a wall stays at its ends, over a window's head, and around what is there already, m. */
const END = 0.2;
/** No building has more windows than these. */
const MAX_WINDOWS = 4000;

/** A stretch of a wall that is taken, m along it and up. */
interface Taken {
  readonly from: number;
  readonly to: number;
  readonly top: number;
}

/** The face of a solid that a wall from one place of the plan to another is; -1 where it is none. */
const faceOf = ({ faces }: Solid, [px, py]: Vec2, [ux, uy]: Vec2): number =>
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
interface Wall {
  /** Its side of the footprint; null where it stands around a courtyard. */
  readonly side: number | null;
  readonly p: Vec2;
  readonly u: Vec2;
  readonly long: number;
  readonly taken: readonly Taken[];
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

/** An opening in a wall: m along it, and from where to where it reaches over the tier's foot. */
interface Opening {
  readonly kind: "window" | "door";
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  /** Its place in the row of its storey. */
  readonly index: number;
}

/** Adds the lines of an opening to others; a door has none at its foot. */
function frame(
  { kind, from, to, low, high, index }: Opening,
  { p, u }: Wall,
  z: number,
  on: Detail["on"],
  out: Detail[],
): void {
  const at = (s: number, up: number): Vec3 => [p[0] + s * u[0], p[1] + s * u[1], z + up];
  const [a, b, c, d] = [at(from, low), at(from, high), at(to, high), at(to, low)];
  const item = { index };
  const sides = [[a, b], [b, c], [c, d], ...(kind === "window" ? [[d, a]] : [])];
  for (const [start, end] of sides) out.push({ kind, a: start, b: end, on, item });
}

type Over = (at: Vec2) => number;
const along = ({ p, u }: Wall, s: number): Vec2 => [p[0] + s * u[0], p[1] + s * u[1]];

/** A door where it fits into its wall, on the ground there. */
function doorIn(wall: Wall, middle: number, width: number, tall: number, height: number, over: Over): Opening[] {
  const from = Math.max(END / 4, Math.min(wall.long - width - END / 4, middle - width / 2));
  const foot = Math.max(over(along(wall, from)), over(along(wall, from + width)));
  if (from < 0 || foot + tall > height) return [];
  return [{ kind: "door", from, to: from + width, low: foot, high: foot + tall, index: 0 }];
}

/** Windows in every storey of a wall, clear of what is taken of it and of the ground. */
function windowsIn(
  wall: Wall,
  windows: NonNullable<Building["windows"]>,
  { height, storey, taken, over }: { height: number; storey: number; taken: readonly Taken[]; over: Over },
): Opening[] {
  const bay = Math.max(windows.every, windows.width + END);
  const bays = Math.floor((wall.long - 2 * END) / bay);
  const floors = Math.max(1, Math.floor(height / storey + 1e-6));
  const out: Opening[] = [];
  for (let floor = 0; floor < floors; floor++)
    for (let n = 0; n < bays; n++) {
      const middle = wall.long / 2 + (n - (bays - 1) / 2) * bay;
      const [from, to] = [middle - windows.width / 2, middle + windows.width / 2];
      const low = floor * storey + windows.sill;
      const high = Math.min(low + windows.height, (floor + 1) * storey - END);
      if (high - low < END || low < over(along(wall, middle)) + END) continue;
      if (taken.some((one) => from < one.to + END && to > one.from - END && low < one.top + END)) continue;
      out.push({ kind: "window", from, to, low, high, index: n });
    }
  return out;
}

/** Windows around a drum, as if its wall were one: none in a facet that a door or a passage is in. */
function roundWindows(
  ring: readonly Vec2[],
  windows: NonNullable<Building["windows"]>,
  room: { height: number; storey: number; over: Over },
  solid: Solid,
  z: number,
  taken: readonly (readonly Taken[])[],
): readonly (readonly Detail[])[] {
  const sides = ring.map((_, side) => sideOf(ring, side));
  const starts = sides.map((_, side) => sides.slice(0, side).reduce((sum, { long }) => sum + long, 0));
  const round = sides.reduce((sum, { long }) => sum + long, 0);
  const faces = sides.map(({ p, u }) => ({ solid, face: faceOf(solid, p, u) }));
  if (faces.some(({ face }) => face < 0)) return [];
  // Straightened, it is a wall without ends, whose windows are spread evenly all around.
  const bays = Math.floor(round / Math.max(windows.every, windows.width + END));
  if (bays < 1) return [];
  const wall: Wall = { side: null, p: ring[0], u: [1, 0], long: round + 2 * END, taken: [] };
  const barred = taken.flatMap((own, side) =>
    own.map(({ top }) => ({ from: starts[side], to: starts[side] + sides[side].long, top })),
  );
  return windowsIn(wall, { ...windows, every: round / bays - 1e-9 }, { ...room, taken: barred }).map((one) =>
    roundFrame(ring, { ...one, from: one.from - END, to: one.to - END }, z, faces),
  );
}

/** Windows and doors of a building, drawn on its walls. */
export function openingsOf(building: Building, solids: readonly Solid[], rises: Over = () => 0): Detail[] {
  const { windows, doors = [], slope } = building;
  if (!windows && doors.length === 0) return [];
  const [corners, yards] = [cornersOf(building), yardsOf(building)];
  const own = slope ? groundOver(corners, slope) : null;
  const ground: Over = own ? (at) => Math.max(own(at), rises(at)) : rises;
  const passages = passagesOn([corners, ...yards], building);
  const entrances = doors.map(({ x, y, ...size }) => ({ ...nearestSide(corners, [x, y]), ...size }));
  const front = entrances[0] && windows?.party ? sideOf(corners, entrances[0].side).u : null;
  const storey = building.height / (building.storeys ?? Math.max(1, Math.round(building.height / STOREY)));
  let left = MAX_WINDOWS;
  // Into one list: a town has hundreds of thousands of lines.
  const out: Detail[] = [];
  tiersUp(building).forEach(({ points, z, height }, tier) => {
    const solid = solids.find(({ part }) => part === tierPart(tier));
    if (!solid) return;
    const over: Over = tier === 0 ? ground : () => -Infinity;
    if (building.round && windows) {
      const high = tier === 0 && points.some((p) => ground(p) > 0) ? Math.max(...points.map(ground)) : -Infinity;
      const taken = points.map((_, side) => [
        ...(tier === 0 ? (passages[0]?.[side] ?? []) : []),
        ...entrances
          .filter((one) => tier === 0 && one.side === side)
          .map(({ width, height: top }) => ({ from: 0, to: width, top })),
      ]);
      const all = roundWindows(points, windows, { height, storey, over: () => high }, solid, z, taken);
      for (const lines of all.slice(0, left)) out.push(...lines);
      left -= Math.min(left, all.length);
    }
    for (const wall of wallsOf([points, ...yards], tier === 0 ? passages : [])) {
      const face = faceOf(solid, wall.p, wall.u);
      if (face < 0) continue;
      const found = entrances
        .filter(({ side }) => tier === 0 && side === wall.side)
        .flatMap(({ at, width, height: tall }) => doorIn(wall, at, width, tall, height, over));
      const taken = [...wall.taken, ...found.map(({ from, to, high }) => ({ from, to, top: high }))];
      const beside = wall.side !== null && front && Math.abs(wall.u[0] * front[0] + wall.u[1] * front[1]) < 0.5;
      if (windows && !beside && !building.round) {
        const fresh = windowsIn(wall, windows, { height, storey, taken, over }).slice(0, left);
        left -= fresh.length;
        found.push(...fresh);
      }
      const on = { solid, face };
      for (const opening of found) frame(opening, wall, z, on, out);
    }
  });
  return out;
}
