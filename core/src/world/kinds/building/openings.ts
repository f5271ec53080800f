import type { Vec2, Vec3 } from "../../../geometry";
import { tierPart, tiersUp } from "./build";
import { groundOver, nearestSide, wayOf } from "./foot";
import { cornersOf, yardsOf } from "../../outline";
import { sideOf } from "../../polygon";
import { roundFrame } from "./roundWindows";
import type { Building } from "./schema";
import type { Detail, DetailItem, DetailKind } from "../../details";
import { railsOf } from "./attached";
import { dressOfWall, type DressedWall } from "./dress";
import type { Dress } from "./dressSchema";
import { floorsOf, type Floor } from "./floors";
import { END, openingsOfFront, type Opening } from "./front";
import type { Front } from "./frontSchema";
import { outlineOfOpening } from "./heads";
import { LINE_PARTS, linesOfOpening, type InWall, type LinePart } from "./openingLines";
import type { Solid } from "../../solid";

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

/** What a line of an opening is drawn as. */
const KINDS: Readonly<Record<Exclude<LinePart, "outline">, DetailKind>> = {
  reveal: "reveal",
  glazing: "glazing",
  dressing: "dressing",
};

/** Adds the lines of an opening in a wall to others. @param z the height of the foot that it is measured from, m */
function frame(opening: Opening, { p, u }: Wall, z: number, on: Detail["on"], out: Detail[]): void {
  const at = ([s, up, behind]: InWall): Vec3 => [
    p[0] + s * u[0] - behind * u[1],
    p[1] + s * u[1] + behind * u[0],
    z + up,
  ];
  const item = { index: opening.index };
  const through = outlineOfOpening(opening.look.head ?? "flat", opening).map(([s, up]) => at([s, up, 0]));
  for (const { part, a, b } of linesOfOpening(opening)) {
    const isBehind = a[2] > 0 || b[2] > 0;
    out.push({
      kind: part === "outline" ? opening.kind : KINDS[part],
      a: at(a),
      b: at(b),
      on,
      item,
      ...(part === "outline" ? {} : { level: LINE_PARTS.indexOf(part) }),
      ...(isBehind ? { through } : {}),
    });
  }
}

/** Adds the lines of a wall's dress to others. */
function dressed(dress: Dress, { p, u }: Wall, wall: DressedWall, z: number, on: Detail["on"], out: Detail[]): void {
  const at = ([s, up]: Vec2): Vec3 => [p[0] + s * u[0], p[1] + s * u[1], z + up];
  const items = new Map<string, DetailItem>();
  for (const { of, thing, index, a, b } of dressOfWall(dress, wall)) {
    const key = `${thing} ${index}`;
    const item = items.get(key) ?? { index };
    items.set(key, item);
    out.push({ kind: of === "band" ? "dressing" : "masonry", a: at(a), b: at(b), on, item });
  }
}

type Over = (at: Vec2) => number;
const along = ({ p, u }: Wall, s: number): Vec2 => [p[0] + s * u[0], p[1] + s * u[1]];

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
function windowsIn(
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
  return openingsOfFront(front, building, wall.long, floors).flatMap((opening): Opening[] => {
    const { kind, from, to, low, high, storey } = opening;
    const ground = Math.max(...[from, (from + to) / 2, to].map((s) => over(along(wall, s))));
    if (isTaken(opening, taken)) return [];
    if (kind === "window") return low < ground + END ? [] : [opening];
    const rise = storey === 0 ? Math.max(0, ground - low) : 0;
    return high + rise > height ? [] : [{ ...opening, low: low + rise, high: high + rise }];
  });
}

/** Windows around a drum, as if its wall were one: none in a facet that a door or a passage is in. */
function roundWindows(
  ring: readonly Vec2[],
  windows: NonNullable<Building["windows"]>,
  room: { floors: readonly Floor[]; over: Over },
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
  const { windows, doors = [], fronts = [], slope, dress } = building;
  if (!windows && doors.length === 0 && fronts.length === 0 && !dress) return [];
  const tiers = tiersUp(building);
  const [corners, yards] = [cornersOf(building), yardsOf(building)];
  const own = slope ? groundOver(corners, slope) : null;
  const ground: Over = own ? (at) => Math.max(own(at), rises(at)) : rises;
  const passages = passagesOn([corners, ...yards], building);
  const entrances = doors.map(({ x, y, ...size }) => ({ ...nearestSide(corners, [x, y]), ...size }));
  const entrance = entrances[0] && windows?.party ? sideOf(corners, entrances[0].side).u : null;
  let left = MAX_WINDOWS;
  // Into one list: a town has hundreds of thousands of lines.
  const out: Detail[] = tiers.length > 0 ? railsOf(building) : [];
  tiers.forEach(({ points, z, height }, tier) => {
    const solid = solids.find(({ part }) => part === tierPart(tier));
    if (!solid) return;
    const over: Over = tier === 0 ? ground : () => -Infinity;
    const floors = floorsOf(building, height, tier === 0);
    if (building.round && windows) {
      const high = tier === 0 && points.some((p) => ground(p) > 0) ? Math.max(...points.map(ground)) : -Infinity;
      const taken = points.map((_, side) => [
        ...(tier === 0 ? (passages[0]?.[side] ?? []) : []),
        ...entrances
          .filter((one) => tier === 0 && one.side === side)
          .map(({ width, height: top }) => ({ from: 0, to: width, top })),
      ]);
      const all = roundWindows(points, windows, { floors, over: () => high }, solid, z, taken);
      for (const lines of all.slice(0, left)) out.push(...lines);
      left -= Math.min(left, all.length);
    }
    for (const wall of wallsOf([points, ...yards], tier === 0 ? passages : [])) {
      const face = faceOf(solid, wall.p, wall.u);
      if (face < 0) continue;
      const found = entrances
        .filter(({ side }) => tier === 0 && side === wall.side)
        .flatMap(({ side: _side, at, ...door }) => doorIn(wall, at, door, height, over));
      const taken = [...wall.taken, ...found.map(({ from, to, high }) => ({ from, to, top: high }))];
      const beside =
        wall.side !== null && entrance && Math.abs(wall.u[0] * entrance[0] + wall.u[1] * entrance[1]) < 0.5;
      const front = tier === 0 && wall.side !== null ? fronts.find(({ side }) => side === wall.side) : undefined;
      const fresh = front
        ? frontIn(wall, front, building, { height, floors, taken, over })
        : windows && !beside && !building.round
          ? windowsIn(wall, windows, { floors, taken, over })
          : [];
      found.push(...fresh.slice(0, left));
      left -= Math.min(left, fresh.length);
      const on = { solid, face };
      for (const opening of found) frame(opening, wall, z, on, out);
      if (dress) {
        const low = Math.max(0, over(wall.p), over(along(wall, wall.long)));
        dressed(dress, wall, { long: wall.long, height, ground: low, floors, openings: found }, z, on, out);
      }
    }
  });
  return out;
}
