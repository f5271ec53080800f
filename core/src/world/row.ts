import { distance2, headingAlong, seededRandom, type Vec2 } from "../geometry";
import { sentence, shortMetres } from "../units";
import type { ElementError } from "./kinds/kind";
import {
  DEFAULT_DOOR,
  DEFAULT_WINDOWS,
  nearestSide,
  newBuilding,
  validateBuilding,
  withFront,
  type Building,
  type Front,
} from "./kinds/building";
import { moved, turned } from "./box";
import { cornersOf } from "./outline";
import { centroid, inset, sideOf, tidy } from "./polygon";
import { withRolledFronts } from "./rolledFronts";
import type { Row } from "./rowSchema";

/** What a row is built by where nothing else is said: a quarter's plain houses (common practice). */
export const DEFAULT_ROW: Omit<Row, "id" | "name" | "from" | "to" | "lot" | "seed"> = {
  fronts: { least: 6, most: 12 },
  depth: 11,
  storeys: { least: 2, most: 5 },
  storey: 3,
  alleys: 15,
  roofs: ["gable", "gable", "flat", "hip", "mansard"],
};

/**
 * A kit that a row rolls from: the house that it puts up, as part of an instance, around the origin and facing south,
 * and how wide that stands with all that belongs to it, m; or the front that its houses get.
 */
export type RowKit =
  | { readonly house: Building & { readonly kit: NonNullable<Building["kit"]> }; readonly wide: number }
  | { readonly front: Front };

/** An alley is so wide, m. */
const ALLEY = 2.5;
/** A row never holds more houses than this. */
const MAX_HOUSES = 2000;

/**
 * A straight front to be built up: where it begins, its way, how long it is, and whether a tower stands at its ends.
 */
interface Line {
  readonly at: (s: number, t: number) => Vec2;
  readonly along: (place: { readonly x: number; readonly y: number }) => number;
  /** How far into the lots a place lies. */
  readonly into: (place: { readonly x: number; readonly y: number }) => number;
  readonly length: number;
  readonly towers: boolean;
  /** The heading that its houses face along. */
  readonly heading: number;
}

function lineFrom([x, y]: Vec2, [u, v]: Vec2, length: number, towers: boolean): Line {
  return {
    length,
    towers,
    heading: headingAlong([-v, u]),
    at: (s, t) => [x + s * u + t * v, y + s * v - t * u],
    along: (place) => (place.x - x) * u + (place.y - y) * v,
    into: (place) => (place.x - x) * v - (place.y - y) * u,
  };
}

const middleOf = ([ax, ay]: Vec2, [bx, by]: Vec2): Vec2 => [(ax + bx) / 2, (ay + by) / 2];
const point = ([x, y]: Vec2) => ({ x, y });

/** A row whose line, or whose lot's rim, lies behind its forecourts: where its houses begin. */
function withoutForecourts(row: Row): Row {
  const { from, to, lot, front } = row;
  if (!front) return row;
  if (lot) {
    const inner = inset(tidy(lot.map(({ x, y }): Vec2 => [x, y])), front.depth);
    return { ...row, lot: inner ? inner.map(point) : [] };
  }
  if (!from || !to) return row;
  const [u, v] = [to.x - from.x, to.y - from.y];
  const k = front.depth / (Math.hypot(u, v) || 1);
  const back = ({ x, y }: { x: number; y: number }) => ({ x: x + k * v, y: y - k * u });
  return { ...row, from: back(from), to: back(to) };
}

/**
 * The fronts of a row: its one side, or the sides of its lot, with the footprint of a house at each corner that bends
 * outwards.
 */
function layoutOf(row: Row): {
  readonly fronts: readonly Line[];
  readonly corners: readonly (readonly Vec2[])[];
} {
  const { from, to, lot, depth, towers } = withoutForecourts(row);
  if (!lot) {
    if (!from || !to) return { fronts: [], corners: [] };
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const length = Math.hypot(dx, dy) || 1;
    return {
      fronts: [lineFrom([from.x, from.y], [dx / length, dy / length], length, towers !== undefined)],
      corners: [],
    };
  }
  if (lot.length < 3) return { fronts: [], corners: [] };
  // Clockwise, the inside lies to the right of the way.
  const points = [...tidy(lot.map(({ x, y }): Vec2 => [x, y]))].reverse();
  const court = inset([...points].reverse(), depth);
  if (!court) return { fronts: [], corners: [] };
  const inner = [...court].reverse();
  const n = points.length;
  const sides = points.map((_, i) => sideOf(points, i));
  /** How much of both its sides a corner takes; of one that bends inwards, nothing. */
  const taken = points.map((p, i) => {
    const [u, v] = [sides[(i + n - 1) % n].u, sides[i].u];
    const along = (inner[i][0] - p[0]) * v[0] + (inner[i][1] - p[1]) * v[1];
    return u[0] * v[1] - u[1] * v[0] < -1e-9 ? Math.max(0, along) : 0;
  });
  const fronts = sides.map(({ p, u, long }, i) => {
    const [a, b] = [taken[i], taken[(i + 1) % n]];
    return lineFrom([p[0] + a * u[0], p[1] + a * u[1]], u, long - a - b, false);
  });
  if (fronts.some(({ length }) => length < 0)) return { fronts: [], corners: [] };
  const corners = points.flatMap((p, i): (readonly Vec2[])[] => {
    if (taken[i] <= 1e-6) return [];
    const [u, v] = [sides[(i + n - 1) % n].u, sides[i].u];
    return [
      [p, [p[0] + taken[i] * v[0], p[1] + taken[i] * v[1]], inner[i], [p[0] - taken[i] * u[0], p[1] - taken[i] * u[1]]],
    ];
  });
  return { fronts, corners };
}

/** Why a row cannot be built up, and the field; null where it can. */
export function validateRow(row: Row): ElementError | null {
  if (!row.lot && !(row.from && row.to))
    return { field: "from", message: "is missing, and so is a lot: a row needs a street side or a lot." };
  const { fronts } = layoutOf(row);
  if (fronts.length === 0) {
    const deep = shortMetres(row.depth + (row.front?.depth ?? 0));
    return { field: "lot", message: sentence`is too small for lots ${deep} deep on all its sides.` };
  }
  return null;
}

/** The free stretches of a front between what is kept of it. */
function free(length: number, taken: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const out: (readonly [number, number])[] = [];
  let at = 0;
  for (const [from, to] of [...taken].sort((a, b) => a[0] - b[0])) {
    if (from > at) out.push([at, Math.min(length, from)]);
    at = Math.max(at, to);
  }
  if (at < length) out.push([at, length]);
  return out;
}

/** A house with the front of a kit on the sides that face its streets, where that fits; else as it is. */
function withKitFront(house: Building, front: Front, facing: readonly Vec2[]): Building {
  const sides = facing.map((at) => nearestSide(cornersOf(house), at).side);
  const next = sides.reduce<Building>((one, side) => withFront(one, { ...front, side }), {
    ...house,
    doors: undefined,
  });
  return validateBuilding(next) ? house : next;
}

/** The house of a kit in its lot, m along a line; in an instance of its own. */
function kitHouse({ house, wide }: Extract<RowKit, { house: Building }>, line: Line, s: number, row: Row, id: string) {
  const [x, y] = line.at(s + wide / 2, 0);
  const put = moved(turned(house, line.heading - 180, [0, 0]), x, y);
  return { ...put, id, row: row.id, kit: { ...house.kit, instance: id } };
}

/** Whether behind a house so much is left that another one stands there, or next to nothing, m. */
const leavesNoGap = (left: number, least: number): boolean => left >= least || (left >= 0 && left < 1);

/** What was rolled of a house. */
interface Rolled {
  readonly id: string;
  /** Its number in its row. */
  readonly at: number;
  readonly floors: number;
  readonly roof: Building["roof"];
  readonly tower: boolean;
  /** Whether others stand beside it, wall to wall. */
  readonly party: boolean;
  /** The front of a kit, where it was rolled. */
  readonly front: Front | undefined;
}

/** A house of a row on its lot, by what was rolled of it. */
function houseOn(row: Row, corners: readonly Vec2[], { id, at, floors, roof, tower, party, front }: Rolled): Building {
  const [[ax, ay], [bx, by]] = corners;
  const house = newBuilding({
    id,
    name: `${row.name}, ${tower && row.towers ? "tower" : "house"} ${at + 1}`.slice(0, 200),
    row: row.id,
    footprint: corners.map(point),
    base: 0,
    height: floors * row.storey,
    storeys: floors,
    roof,
    ...(row.blind
      ? {}
      : {
          windows: { ...DEFAULT_WINDOWS, ...(party ? { party } : {}) },
          doors: [{ x: (ax + bx) / 2, y: (ay + by) / 2, ...DEFAULT_DOOR }],
        }),
  });
  // A corner that is not square takes no roof that needs it to be.
  const whole: Building = validateBuilding(house) ? { ...house, roof: { kind: "flat", rise: 0.8 } } : house;
  // At a corner, the house looks at both streets.
  const facing = [middleOf(corners[0], corners[1]), ...(party ? [] : [middleOf(corners[3], corners[0])])];
  if (front && !row.blind) return withKitFront(whole, front, facing);
  const own = row.seed * MAX_HOUSES + at;
  return row.fitted && !row.blind ? withRolledFronts(whole, facing, row.fitted.shops, own) : whole;
}

/**
 * The houses of a row, from its seed: fronts along its line or around its lot, wall to wall but for alleys, around
 * those that are kept.
 * @param kept houses of the row that stay as they are
 * @param id a fresh name for each house
 * @param from the kits that some of them are rolled from
 */
export function fillRow(
  row: Row,
  kept: readonly Building[],
  id: (at: number) => string,
  from: readonly RowKit[] = [],
): Building[] {
  const { fronts: widths, depth, alleys, roofs, kits, storeys } = row;
  const roll = seededRandom(row.seed);
  const between = (least: number, most: number) => least + (roll(1001) / 1000) * (most - least);
  const [least, most] = [Math.min(widths.least, widths.most), Math.max(widths.least, widths.most)];
  const houses: Building[] = [];
  /** A kit for a lot, where one is rolled: one whose house fits into what is left, and leaves no gap behind it. */
  const rolledKit = (rest: number): RowKit | undefined => {
    if (!kits || from.length === 0 || roll(100) >= kits.share) return undefined;
    const fit = from.filter((kit) => !("house" in kit) || leavesNoGap(rest - kit.wide, least));
    return fit.length ? fit[roll(fit.length)] : undefined;
  };
  const build = (corners: readonly Vec2[], size: number, as: Pick<Rolled, "tower" | "party" | "front">) => {
    const floors =
      Math.min(storeys.least, storeys.most) +
      roll(Math.abs(storeys.most - storeys.least) + 1) +
      (as.tower ? (row.towers?.storeys ?? 0) : 0);
    const chance = roofs[roll(roofs.length)];
    const kind = as.tower && row.towers ? row.towers.roof : chance;
    const steep = between(0.25, 0.4);
    const roof = kind === "flat" ? { kind, rise: 0.8 } : { kind, rise: size * (kind === "spire" ? 1.5 : steep) };
    houses.push(houseOn(row, corners, { ...as, id: id(houses.length), floors, roof, at: houses.length }));
  };
  const { fronts, corners } = layoutOf(row);
  const standing = kept.map(({ footprint }) => ({
    footprint,
    middle: centroid(footprint.map(({ x, y }): Vec2 => [x, y])),
  }));
  for (const line of fronts) {
    const { length, at, along, into, towers: ends } = line;
    const taken = standing.flatMap(({ footprint, middle: [x, y] }) => {
      const places = footprint.map(along);
      const span = [Math.min(...places), Math.max(...places)] as const;
      return into({ x, y }) > 0 && into({ x, y }) < depth && span[1] > 0 && span[0] < length ? [span] : [];
    });
    for (const [start, end] of free(length, taken)) {
      for (let s = start; end - s >= least && houses.length < MAX_HOUSES;) {
        const rest = end - s;
        const kit = rolledKit(rest);
        if (kit && "house" in kit) {
          houses.push(kitHouse(kit, line, s, row, id(houses.length)));
          s += kit.wide + (roll(100) < alleys ? ALLEY : 0);
          continue;
        }
        // The last front takes what is left, rather than leaving a gap too narrow for a house.
        const width = rest < least + most ? Math.min(rest, most) : between(least, most);
        const deep = depth * between(0.9, 1);
        const tower = ends && (s === 0 || s + width > length - 1e-6);
        const lot = [at(s, 0), at(s + width, 0), at(s + width, deep), at(s, deep)];
        build(lot, Math.min(width, deep), { tower, party: true, front: kit?.front });
        s += width + (roll(100) < alleys ? ALLEY : 0);
      }
    }
  }
  for (const corner of corners) {
    const place = centroid(corner);
    if (!standing.some(({ middle }) => distance2(middle, place) < depth / 2))
      build(corner, depth, { tower: true, party: false, front: undefined });
  }
  return houses;
}
