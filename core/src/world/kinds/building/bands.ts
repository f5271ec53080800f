import type { Vec2, Vec3 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { inset, sideOf } from "../../polygon";
import { extrude, loft, prism, ring } from "../../shapes";
import { asPart, type Solid } from "../../solid";
import { straightOf } from "./curvedWalls";
import { bandsAlong, takenAround, type Band } from "./dress";
import { elevationOf } from "./fronted";
import type { Building } from "./schema";
import { placeIn, type FittedTier, type FittedWall } from "./wallOpenings";

/** A stretch around a part that no opening takes: from a place of one side to a place of the same or a later one. */
interface Stretch {
  readonly from: readonly [side: number, s: number];
  readonly to: readonly [side: number, s: number];
}

/** The stretches around a part at the height of a band; null where nothing takes any of it. */
function stretchesAt(walls: readonly FittedWall[], band: Band): readonly Stretch[] | null {
  const gaps = walls.flatMap(({ openings }, side) =>
    takenAround(openings, band).map(([from, to]) => ({ side, from, to })),
  );
  if (gaps.length === 0) return null;
  const n = walls.length;
  return gaps.map(({ side, to }, i): Stretch => {
    const next = gaps[(i + 1) % gaps.length];
    const later = next.side > side || (next.side === side && next.from > to) ? next.side : next.side + n;
    return { from: [side, to], to: [later, next.from] };
  });
}

/** The plan of a stretch of a band: along its outside, and back along the wall. */
function planOf(points: readonly Vec2[], outer: readonly Vec2[], { from, to }: Stretch, out: number): Vec2[] {
  const n = points.length;
  const at = ([side, s]: readonly [number, number], off: number): Vec2 => {
    const { p, u } = sideOf(points, side % n);
    return [p[0] + s * u[0] + off * u[1], p[1] + s * u[1] - off * u[0]];
  };
  const corners = Array.from({ length: to[0] - from[0] }, (_, i) => (from[0] + 1 + i) % n);
  return [
    at(from, out),
    ...corners.map((i) => outer[i]),
    at(to, out),
    at(to, 0),
    ...[...corners].reverse().map((i) => points[i]),
    at(from, 0),
  ];
}

/** The bands of a part of a building that stand out of its walls, around its corners and up to what opens. */
export function bandsAround({ id, dress }: Building, tier: FittedTier, onFoot: boolean): Solid[] {
  const out = dress?.out;
  const { points, z, height, floors, walls } = tier;
  const outer = out === undefined ? null : inset(points, -out);
  if (!dress || out === undefined || !outer) return [];
  const around = walls.filter(({ wall }) => wall.side !== null);
  const bands = bandsAlong(onFoot ? dress : { ...dress, plinth: undefined }, { height, floors });
  return bands.flatMap((band, i) => {
    const span = [z + band.low, z + band.high] as const;
    const part = `band ${i}`;
    const stretches = stretchesAt(around, band);
    if (!stretches) return [asPart(prism(id, outer, [points], span), part)];
    return stretches.map((stretch) => {
      const plan = planOf(points, outer, stretch, out);
      return asPart(loft(id, [ring(plan, span[0]), ring(plan, span[1])], null), part);
    });
  });
}

/** Pilasters stand out by so much where nothing is said of bands, and by this part of them where it is, m. */
const [OUT, WITHIN_BANDS] = [0.1, 0.6] as const;

/** The pilasters of a building: between the bays of its fronts and at their ends, where nothing opens. */
export function pilastersOf(building: Building): Solid[] {
  const { id, dress, fronts = [], base } = building;
  const wide = dress?.pilasters;
  if (!dress || wide === undefined) return [];
  const out = dress.out === undefined ? OUT : WITHIN_BANDS * dress.out;
  return fronts.flatMap(({ side }) => {
    const { height, bays, openings } = elevationOf(building, side);
    const [first, last] = straightOf(building, cornersOf(building), side);
    const low = dress.out === undefined ? 0 : (dress.plinth ?? 0);
    const high = height - (dress.out === undefined ? 0 : (dress.cornice ?? 0));
    const at = placeIn({ ...sideOf(cornersOf(building), side) }, base);
    const middles = [...bays.map(({ from }) => from), ...bays.slice(-1).map(({ to }) => to)];
    return middles.flatMap((middle): Solid[] => {
      const from = Math.min(Math.max(first, middle - wide / 2), last - wide);
      const to = from + wide;
      if (from < first || openings.some((one) => one.from < to && one.to > from)) return [];
      const section: readonly Vec2[] = [
        [0, high],
        [out, high],
        [out, low],
        [0, low],
      ];
      const place = ([before, up]: Vec2, end: 0 | 1): Vec3 => at([end ? to : from, up, -before]);
      return [asPart(extrude(id, section, place), "pilaster")];
    });
  });
}
