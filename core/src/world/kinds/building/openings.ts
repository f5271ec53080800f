import type { Vec2, Vec3 } from "../../../geometry";
import { tierPart, tiersUp } from "./build";
import { groundOver, nearestSide, wayOf } from "./foot";
import { cornersOf } from "../../outline";
import { sideOf } from "../../polygon";
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

/** What is taken of each side of a footprint by passages, m along it from its first corner. */
function passagesOn(corners: readonly Vec2[], { passages = [] }: Building): Taken[][] {
  const taken: Taken[][] = corners.map(() => []);
  for (const one of passages) {
    const way = wayOf(corners, one);
    if (typeof way === "string") continue;
    for (const { side, from, to } of [way.enters, way.leaves]) {
      const [s, t] = [from, to].map(([x, y]) => Math.hypot(x - corners[side][0], y - corners[side][1]));
      taken[side].push({ from: Math.min(s, t), to: Math.max(s, t), top: one.height });
    }
  }
  return taken;
}

/** Windows and doors of a building, drawn on its walls. */
export function openingsOf(building: Building, solids: readonly Solid[]): Detail[] {
  const { windows, doors = [], storeys, slope, base } = building;
  if (!windows && doors.length === 0) return [];
  const corners = cornersOf(building);
  const out: Detail[] = [];
  const over = slope ? groundOver(corners, slope) : () => 0;
  const taken = passagesOn(corners, building);
  const entrances = doors.map(({ x, y, ...size }) => ({ ...nearestSide(corners, [x, y]), ...size }));
  const front = entrances[0] && windows?.party ? sideOf(corners, entrances[0].side).u : null;
  let count = 0;
  tiersUp(building).forEach(({ points, z, height }, tier) => {
    const solid = solids.find(({ part }) => part === tierPart(tier));
    if (!solid) return;
    const storey = storeys
      ? building.height / storeys
      : building.height / Math.max(1, Math.round(building.height / STOREY));
    points.forEach((_, side) => {
      const { p, u, long } = sideOf(points, side);
      const face = faceOf(solid, p, u);
      if (face < 0) return;
      const at = (s: number, up: number): Vec3 => [p[0] + s * u[0], p[1] + s * u[1], up];
      const frame = (kind: "window" | "door", from: number, to: number, low: number, high: number) => {
        const [a, b, c, d] = [at(from, low), at(from, high), at(to, high), at(to, low)];
        for (const [m, n] of [[a, b], [b, c], [c, d], ...(kind === "window" ? [[d, a]] : [])])
          out.push({ kind, a: m, b: n, on: { solid, face } });
      };
      const full = tier === 0 ? [...taken[side]] : [];
      if (tier === 0)
        for (const { at: middle, width, height: tall } of entrances.filter((door) => door.side === side)) {
          const from = Math.max(END / 4, Math.min(long - width - END / 4, middle - width / 2));
          const foot = Math.max(
            over([at(from, 0)[0], at(from, 0)[1]]),
            over([at(from + width, 0)[0], at(from + width, 0)[1]]),
          );
          if (from < 0 || foot + tall > height) continue;
          frame("door", from, from + width, base + foot, base + foot + tall);
          full.push({ from, to: from + width, top: foot + tall });
        }
      if (!windows || (front && Math.abs(u[0] * front[0] + u[1] * front[1]) < 0.5)) return;
      const bays = Math.floor((long - 2 * END) / Math.max(windows.every, windows.width + END));
      const floors = Math.max(1, Math.floor(height / storey + 1e-6));
      for (let floor = 0; floor < floors; floor++)
        for (let bay = 0; bay < bays && count < MAX_WINDOWS; bay++) {
          const middle = long / 2 + (bay - (bays - 1) / 2) * Math.max(windows.every, windows.width + END);
          const [from, to] = [middle - windows.width / 2, middle + windows.width / 2];
          const low = floor * storey + windows.sill;
          const high = Math.min(low + windows.height, (floor + 1) * storey - END);
          const [x, y] = at(middle, 0);
          if (high - low < END || (tier === 0 && low < over([x, y]) + END)) continue;
          if (full.some((one) => from < one.to + END && to > one.from - END && low < one.top + END)) continue;
          frame("window", from, to, z + low, z + high);
          count++;
        }
    });
  });
  return out;
}
