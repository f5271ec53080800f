import type { Vec2, Vec3 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { sideOf } from "../../polygon";
import { extrude } from "../../shapes";
import { asPart, type Solid } from "../../solid";
import type { Detail } from "../../details";
import { bayWindows } from "./bayWindows";
import { straightOf } from "./curvedWalls";
import { elevationOf } from "./fronted";
import { CLEAR_UNDER, ownBay } from "./front";
import type { Building } from "./schema";

/** An awning's cloth is so thick, and leaves so much at each end of its bay, m. */
const CLOTH = { thick: 0.04, aside: 0.12 } as const;
/** A balcony stands out by so much, is so thick, reaches so far beside its opening, and has a rail so high, m. */
const BALCONY = { out: 0.9, thick: 0.15, aside: 0.25, rail: 1 } as const;
/** Balusters stand so far apart: nothing wider than a head goes through, m (common practice). */
const BALUSTER = 0.12;

/** Steps up to a door: their platform is so deep, they reach so far beside it, and are about so high and so deep, m. */
const STEPS = { platform: 0.9, aside: 0.3, riser: 0.17, tread: 0.29 } as const;
/** A door lower over the ground than this needs no steps, m. */
const NO_STEP = 0.05;

/** A place before a wall: m along it, out from it, and up from its foot. */
type Before = readonly [along: number, out: number, up: number];

/** Something that stands out of a wall, from one place along it to another: its section is m out and up, clockwise. */
interface Attached {
  readonly side: number;
  readonly part: string;
  readonly from: number;
  readonly to: number;
  readonly section: readonly Vec2[];
}

/** A balcony: the opening that it is before, m along its wall, and the height of its floor. */
interface Balcony {
  readonly side: number;
  readonly from: number;
  readonly to: number;
  readonly up: number;
}

/** Where a place before a wall is in the world, m. */
function beforeWall(building: Building, side: number): (at: Before) => Vec3 {
  const { p, u } = sideOf(cornersOf(building), side);
  return ([s, out, up]) => [p[0] + s * u[0] + out * u[1], p[1] + s * u[1] - out * u[0], building.base + up];
}

function awningsOf(building: Building): Attached[] {
  return (building.fronts ?? []).flatMap(({ side, awning }): Attached[] => {
    if (!awning) return [];
    const { out, drop, over = CLEAR_UNDER } = awning;
    return elevationOf(building, side)
      .bays.filter(({ name }) => name === "shop")
      .map(({ from, to }) => ({
        side,
        part: "awning",
        from: from + CLOTH.aside,
        to: to - CLOTH.aside,
        section: [
          [0, over + drop],
          [out, over],
          [out, over - CLOTH.thick],
          [0, over + drop - CLOTH.thick],
        ],
      }));
  });
}

function balconiesOf(building: Building): Balcony[] {
  return (building.fronts ?? []).flatMap((front) => {
    if (!front.own?.some(({ balcony }) => balcony)) return [];
    const { openings, floors } = elevationOf(building, front.side);
    const [first, last] = straightOf(building, cornersOf(building), front.side);
    return openings
      .filter(({ index, storey }) => storey > 0 && ownBay(front, index, storey)?.balcony)
      .map(({ from, to, storey }) => ({
        side: front.side,
        from: Math.max(first, from - BALCONY.aside),
        to: Math.min(last, to + BALCONY.aside),
        up: floors[storey].low,
      }));
  });
}

/** Steps up to doors, straight out from their walls. @param rises how high the ground rises over the foot of all, m */
function stepsOf(building: Building, rises: (at: Vec2) => number): Attached[] {
  return (building.fronts ?? []).flatMap((front) => {
    if (!front.own?.some(({ steps }) => steps)) return [];
    const { openings } = elevationOf(building, front.side);
    const [first, last] = straightOf(building, cornersOf(building), front.side);
    const at = beforeWall(building, front.side);
    return openings.flatMap((opening): Attached[] => {
      const { kind, from, to, low, index, storey } = opening;
      if (kind !== "door" || !ownBay(front, index, storey)?.steps) return [];
      const [x, y] = at([(from + to) / 2, STEPS.platform, 0]);
      const ground = rises([x, y]) - building.base;
      const high = low - ground;
      if (high < NO_STEP) return [];
      const n = Math.max(1, Math.round(high / STEPS.riser));
      const section = Array.from({ length: n }, (_, i): Vec2[] => {
        const [out, up] = [STEPS.platform + i * STEPS.tread, low - (i / n) * high];
        return [
          [out, up],
          [out, up - high / n],
        ];
      }).flat();
      return [
        {
          side: front.side,
          part: "steps",
          from: Math.max(first, from - STEPS.aside),
          to: Math.min(last, to + STEPS.aside),
          section: [[0, low], ...section, [0, ground]],
        },
      ];
    });
  });
}

const slabOf = ({ side, from, to, up }: Balcony): Attached => ({
  side,
  part: "balcony",
  from,
  to,
  section: [
    [0, up],
    [BALCONY.out, up],
    [BALCONY.out, up - BALCONY.thick],
    [0, up - BALCONY.thick],
  ],
});

/**
 * The solids that stand out of a building's walls: awnings over its shops, the floors of its balconies, steps up to its
 * doors, and windows that stand out.
 */
export function attachedTo(building: Building, rises: (at: Vec2) => number = () => 0): Solid[] {
  const all = [...awningsOf(building), ...balconiesOf(building).map(slabOf), ...stepsOf(building, rises)];
  const extruded = all.map(({ side, part, from, to, section }) => {
    const at = beforeWall(building, side);
    return asPart(
      extrude(building.id, section, ([out, up], end) => at([end ? to : from, out, up])),
      part,
    );
  });
  return [...extruded, ...bayWindows(building)];
}

/** The rails of a building's balconies: a handrail around each, and its balusters. */
export function railsOf(building: Building): Detail[] {
  return balconiesOf(building).flatMap(({ side, from, to, up }) => {
    const at = beforeWall(building, side);
    const { out, rail } = BALCONY;
    const corners: readonly Vec2[] = [
      [from, 0],
      [from, out],
      [to, out],
      [to, 0],
    ];
    const hand = { index: 0 };
    const rails = corners.slice(1).map(([s, o], i): Detail => {
      const [t, before] = corners[i];
      return {
        kind: "bar",
        a: at([t, before, up + rail]),
        b: at([s, o, up + rail]),
        item: hand,
        of: building.id,
      };
    });
    const balusters = corners.slice(1).flatMap(([t, before], i) => {
      const [s, o] = corners[i];
      const n = Math.max(1, Math.round((Math.abs(t - s) + Math.abs(before - o)) / BALUSTER));
      return Array.from({ length: n }, (_, k): Detail => {
        const [along, off] = [s + (k / n) * (t - s), o + (k / n) * (before - o)];
        return {
          kind: "bar",
          a: at([along, off, up]),
          b: at([along, off, up + rail]),
          item: { index: k },
          of: building.id,
        };
      });
    });
    return [...rails, ...balusters];
  });
}
