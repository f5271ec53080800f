import { seededRandom, type Vec2 } from "../geometry";
import {
  doorOf,
  nearestSide,
  validateBuilding,
  wallLengths,
  withFront,
  type Building,
  type Dress,
  type Front,
  type Head,
} from "./kinds/building";
import { cornersOf } from "./outline";

/** A front is rolled with windows so far apart, m (common practice), and with blank wall at its ends. */
const BAY = { least: 2.1, most: 3.2 } as const;
const ENDS = 0.35;
/** A shop window is as wide as so many bays, and its storey so high, m (common practice). */
const SHOP = { bays: 1.4, storey: 3.7 } as const;
/** No wall shorter than this has a front, m. */
const SHORT = 2.5;

/** What is rolled once for all walls of a house: one of several, or whether something of so many in a hundred is. */
interface Rolls {
  readonly one: <T>(from: readonly T[]) => T;
  readonly chance: (percent: number) => boolean;
  readonly between: (least: number, most: number) => number;
}

function rolls(seed: number): Rolls {
  const roll = seededRandom(seed);
  // The first numbers of neighbouring seeds are alike.
  for (let i = 0; i < 3; i++) roll(1000);
  return {
    one: (from) => from[roll(from.length)],
    chance: (percent) => roll(100) < percent,
    between: (least, most) => Number((least + (roll(1001) / 1000) * (most - least)).toFixed(2)),
  };
}

const HEADS: readonly Head[] = ["flat", "flat", "flat", "segmental", "round"];

/** How the windows of a house look. */
function windowsOf({ one, chance, between }: Rolls, storey: number, bay: number): NonNullable<Front["window"]> {
  const head = one(HEADS);
  const height = Math.min(between(1.3, 1.8), 0.55 * storey);
  return {
    width: Math.min(between(0.85, 1.25), 0.55 * bay),
    height,
    sill: Math.min(0.85, 0.9 * (storey - height - 0.3)),
    reveal: between(0.1, 0.2),
    frame: 0.06,
    across: one([1, 2, 2]),
    up: one([2, 2, 3]),
    ...(head === "flat" ? {} : { head }),
    ...(chance(60) ? { ledge: 0.09 } : {}),
    ...(head !== "flat" || chance(40) ? { lintel: 0.2 } : {}),
    ...(chance(15) && bay > 2.4 ? { shutters: true } : {}),
  };
}

/** The bays of a front: windows about a door, or shops beside one. */
function baysOf({ one, chance }: Rolls, n: number, shops: boolean, door: boolean): string {
  const at = one(Array.from({ length: n }, (_, i) => i));
  const parts = Array.from({ length: n }, (_, i) => (door && i === at ? "door 1" : shops ? `shop ${SHOP.bays}` : "1"));
  return n === 1 && shops ? (chance(50) ? "shop 1" : "door 1") : parts.join(", ");
}

/** What a house is dressed with. */
const dressOf = ({ chance, between }: Rolls): Dress => ({
  ...(chance(70) ? { plinth: between(0.4, 0.8) } : {}),
  ...(chance(50) ? { courses: between(0.1, 0.16) } : {}),
  ...(chance(60) ? { cornice: between(0.25, 0.45) } : {}),
  ...(chance(20) ? { quoins: true } : {}),
});

/**
 * A house with fronts of its own on the sides that face its streets, by a seed: the same from the same.
 * @param facing a place on each of those sides
 * @param shops of a hundred houses, so many have shops on the ground
 */
export function withRolledFronts(house: Building, facing: readonly Vec2[], shops: number, seed: number): Building {
  const rolled = rolls(seed);
  const { chance, between, one } = rolled;
  const hasShops = chance(shops) && house.height > SHOP.storey;
  const storeys = house.storeys ?? 1;
  const raised = hasShops && storeys > 1 && house.height - SHOP.storey > 2.3 * (storeys - 1);
  const storey = raised ? (house.height - SHOP.storey) / (storeys - 1) : house.height / storeys;
  const bay = between(BAY.least, BAY.most);
  const window = windowsOf(rolled, storey, bay);
  const door = { ...doorOf({ side: 0, bays: "1" }), panels: one([2, 4, 6]), ...(chance(50) ? { fanlight: 0.4 } : {}) };
  const awning = hasShops && chance(60) ? { out: between(0.9, 1.4), drop: between(0.4, 0.6), over: 2.3 } : undefined;
  const dressed: Building = { ...house, dress: dressOf(rolled), ...(raised ? { groundFloor: SHOP.storey } : {}) };
  const lengths = wallLengths(house);
  const sides = [...new Set(facing.map((at) => nearestSide(cornersOf(house), at).side))];
  return sides.reduce(
    (now, side, i) => {
      const n = Math.floor((lengths[side] - 2 * ENDS) / bay);
      if (lengths[side] < SHORT || n < 1) return now;
      const bays = baysOf(rolled, n, hasShops, i === 0);
      const front: Front = {
        side,
        bays,
        ends: ENDS,
        window,
        door,
        ...(awning && bays.includes("shop") ? { awning } : {}),
      };
      // The door is in its front now.
      const next = withFront({ ...now, ...(i === 0 ? { doors: undefined } : {}) }, front);
      return validateBuilding(next) ? now : next;
    },
    validateBuilding(dressed) ? house : dressed,
  );
}
