import type { Vec2, Vec3 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { sideOf } from "../../polygon";
import { asPart, solidOf, type Solid } from "../../solid";
import { elevationOf } from "./fronted";
import { ASIDE, extentOfBay, type BayExtent, type Opening } from "./front";
import type { Building } from "./schema";
import { placeIn, type Wall } from "./wallOpenings";

/** Over its window a bay window has so much wall, and its roof rises by so much, m. */
const [OVER, ROOF] = [0.25, 0.35] as const;
/** An oriel is carried by a bracket no deeper than this, m. */
const BRACKET = 0.6;
/** No cheek narrower than this has a window, m. */
const NARROW = 0.25;

/** A window that stands out of its wall: m along it, and over its foot. */
interface BayWindow extends BayExtent {
  readonly side: number;
  readonly opening: Opening;
  readonly out: number;
  readonly low: number;
  readonly high: number;
  /** From where its bracket rises, and up to where its roof does; null where another one is under it or over it. */
  readonly foot: number | null;
  readonly top: number | null;
}

/** The windows of a building that stand out of its walls. */
function bayWindowsOf(building: Building): readonly BayWindow[] {
  return (building.fronts ?? []).flatMap(({ side }) => {
    const { openings, floors } = elevationOf(building, side);
    const standing = openings.filter(({ look }) => look.out);
    const inBay = ({ index, from, to, look }: Opening, storey: number) =>
      standing.some(
        (one) =>
          one.storey === storey &&
          one.index === index &&
          one.from === from &&
          one.to === to &&
          one.look.out === look.out &&
          one.look.square === look.square,
      );
    return standing.map((opening): BayWindow => {
      const { storey, look } = opening;
      const floor = floors[storey];
      const ceiling = floor.low + floor.height;
      const [under, over] = [inBay(opening, storey - 1), inBay(opening, storey + 1)];
      const out = look.out ?? 0;
      const high = over ? ceiling : Math.min(opening.high + OVER, ceiling);
      return {
        side,
        opening,
        out,
        ...extentOfBay(opening),
        low: storey === 0 ? 0 : floor.low,
        high,
        foot: storey === 0 || under ? null : floor.low - Math.min(BRACKET, out),
        // At the top of its wall, its roof rises over the eaves.
        top: over ? null : high < ceiling ? Math.min(high + ROOF, ceiling) : high + ROOF,
      };
    });
  });
}

const partOf = ({ side, opening: { index, storey } }: BayWindow): string => `bay window ${side} ${storey} ${index}`;

const wallOf = (building: Building, side: number): Wall => ({
  side,
  taken: [],
  ...sideOf(cornersOf(building), side),
});

/** A bay window as a closed solid against its wall: seen from before it, its faces go round from left to right. */
function solidOfBay(building: Building, bay: BayWindow): Solid {
  const { base, front, out, low, high, foot, top } = bay;
  const at = placeIn(wallOf(building, bay.side), building.base);
  const place = (s: number, before: number, up: number): Vec3 => at([s, up, -before]);
  const ringAt = (z: number): Vec3[] => [
    place(base[0], 0, z),
    place(front[0], out, z),
    place(front[1], out, z),
    place(base[1], 0, z),
  ];
  const vertices = [...ringAt(low), ...ringAt(high)];
  const sides = [
    [1, 2, 6, 5],
    [0, 1, 5, 4],
    [2, 3, 7, 6],
  ];
  const names = ["front", "left", "right"];
  const bottom = foot === null ? [] : [8, 9];
  if (foot !== null) vertices.push(place(front[0], 0, foot), place(front[1], 0, foot));
  const [r1, r2] = [vertices.length, vertices.length + 1];
  if (top !== null) vertices.push(place(front[0], 0, top), place(front[1], 0, top));
  const [b0, c0] = bottom;
  const lower =
    foot === null
      ? [[3, 2, 1, 0]]
      : [
          [2, 1, b0, c0],
          [1, 0, b0],
          [3, 2, c0],
        ];
  const upper =
    top === null
      ? [[4, 5, 6, 7]]
      : [
          [5, 6, r2, r1],
          [4, 5, r1],
          [6, 7, r2],
        ];
  const back = [3, ...[...bottom].reverse(), 0, 4, ...(top === null ? [] : [r1, r2]), 7];
  const loops = [...sides, ...lower, ...upper, back];
  const solid = solidOf(
    building.id,
    vertices,
    loops,
    loops.map(() => undefined),
    loops.map((_, i) => names[i] ?? `side ${i}`),
  );
  return asPart(solid, partOf(bay));
}

/** The solids of all bay windows and oriels of a building. */
export const bayWindows = (building: Building): Solid[] =>
  bayWindowsOf(building).map((bay) => solidOfBay(building, bay));

/** An opening in a face of a bay window: what it is drawn in, and where. */
export interface BayPane {
  readonly wall: Wall;
  readonly opening: Opening;
  readonly on: { readonly solid: Solid; readonly face: number };
}

/** The windows in the front and the cheeks of each bay window. */
export function bayPanes(building: Building, solids: readonly Solid[]): readonly BayPane[] {
  return bayWindowsOf(building).flatMap((bay) => {
    const solid = solids.find(({ part }) => part === partOf(bay));
    if (!solid) return [];
    const { base, front, out, opening } = bay;
    const at = placeIn(wallOf(building, bay.side), 0);
    const onPlan = (s: number, before: number): Vec2 => {
      const [x, y] = at([s, 0, -before]);
      return [x, y];
    };
    const corners = [onPlan(base[0], 0), onPlan(front[0], out), onPlan(front[1], out), onPlan(base[1], 0)];
    return (["front", "left", "right"] as const).flatMap((name): BayPane[] => {
      const [p, q] = name === "front" ? [corners[1], corners[2]] : name === "left" ? corners : corners.slice(2);
      const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (long - 2 * ASIDE < NARROW) return [];
      const wall: Wall = { side: null, p, u: [(q[0] - p[0]) / long, (q[1] - p[1]) / long], long, taken: [] };
      const across = name === "front" ? opening.look.across : undefined;
      const look = { ...opening.look, across, shutters: undefined };
      const own: Opening = { ...opening, look, from: ASIDE, to: long - ASIDE };
      return [{ wall, opening: own, on: { solid, face: solid.faces.findIndex((face) => face.name === name) } }];
    });
  });
}
