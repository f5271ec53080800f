import { cornersOf } from "../../outline";
import { metres, sentence, type Told } from "../../../units";
import type { Oddity } from "../kind";
import { tiersUp, validateBuilding } from "./build";
import { CLEAR_UNDER, ownBay } from "./front";
import type { Front } from "./frontSchema";
import { elevationOf } from "./fronted";
import { blindOpenings, type Rooms } from "./rooms";
import type { Building } from "./schema";
import { fittedTiers } from "./wallOpenings";

/** A sill lower over its floor wants a rail before it; who walks under less knocks the head, m (common practice). */
const [SILL, HEADROOM] = [0.8, 2] as const;
/** Who steps over a threshold steps no higher than this, m (common practice). */
const STEP = 0.25;
const SAME = 1e-6;

/** What is odd about the openings of a building: each stands, and somebody would ask. */
export function odditiesOf(building: Building): readonly Oddity[] {
  const { fronts = [], rooms } = building;
  if ((fronts.length === 0 && !rooms) || cornersOf(building).length < 3 || validateBuilding(building)) return [];
  return [...fronts.flatMap((front) => inFront(building, front)), ...(rooms ? blindWindows(building, rooms) : [])];
}

/** Openings of a building with rooms that one cannot see through, wall by wall. */
const blindWindows = (building: Building, rooms: Rooms): readonly Oddity[] =>
  [...blindOpenings(rooms, fittedTiers(building, tiersUp(building))[0])].map(([side, n]) => ({
    id: `blind-${side}`,
    value: n,
    unit: "" as const,
    told: sentence`Through ${String(n)} of the openings in wall ${side + 1} of ${building.name || "a building"} nothing
      is seen: right behind them is a floor, or the wall between two rooms.`,
  }));

/** What is odd about the openings of one front. */
function inFront(building: Building, front: Front): readonly Oddity[] {
  const { name } = building;
  const { side } = front;
  const { openings, floors } = elevationOf(building, side);
  const inBays = openings.flatMap(({ kind, low, high, index, storey }): Oddity[] => {
    const where = `wall ${side + 1}, bay ${index + 1}, storey ${storey + 1} of ${name || "a building"}`;
    const odd = (what: string, value: number, told: Told): Oddity => ({
      id: `${what}-${side}-${index}-${storey}`,
      value,
      told,
    });
    const own = ownBay(front, index, storey);
    const floor = floors[storey];
    const over = high - floor.low - floor.height;
    const sill = low - floor.low;
    return [
      ...(over > SAME
        ? [odd("floor", over, sentence`The ${kind} in ${where} crosses the floor above it by ${metres(over)}.`)]
        : []),
      ...(kind === "door" && low > STEP + SAME && !own?.balcony && !own?.steps
        ? [
            odd(
              "ground",
              low,
              sentence`The door in ${where} has no ground before it: it wants steps, a balcony or a rail.`,
            ),
          ]
        : []),
      ...(kind === "door" && high - low < HEADROOM - SAME
        ? [
            odd(
              "head",
              high - low,
              sentence`The door in ${where} is ${metres(high - low)} high: people need ${metres(HEADROOM)}.`,
            ),
          ]
        : []),
      ...(kind === "window" && storey > 0 && sill < SILL - SAME && !own?.balcony
        ? [
            odd(
              "sill",
              sill,
              sentence`The sill in ${where} is ${metres(sill)} over its floor:
                below ${metres(SILL)} a rail is wanted.`,
            ),
          ]
        : []),
    ];
  });
  return [...inBays, ...lowAwning(building, front)];
}

/** An awning under which people would stoop. */
function lowAwning({ name }: Building, { side, awning }: Front): readonly Oddity[] {
  const { over = CLEAR_UNDER } = awning ?? {};
  return over < CLEAR_UNDER - SAME
    ? [
        {
          id: `awning-${side}`,
          value: over,
          told: sentence`The awnings on wall ${side + 1} of ${name || "a building"} leave ${metres(over)} clear: over a
            pavement ${metres(CLEAR_UNDER)} are usual.`,
        },
      ]
    : [];
}
