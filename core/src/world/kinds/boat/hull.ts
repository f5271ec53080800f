import type { Vec2, Vec3 } from "../../../geometry";
import type { Boat, BoatThing } from "./schema";

/**
 * Stations of a hull from its stern to its stem: how far along it, from -1 to 1, how wide it is there at its rail and
 * at its bilge, as parts of its half width, and how high its rail and how deep its keel are, as parts of its side and
 * its draught.
 */
type Station = readonly [along: number, rail: number, bilge: number, sheer: number, keel: number];

const FINE: readonly Station[] = [
  [-1, 0.72, 0.3, 1.05, 0.4],
  [-0.6, 0.94, 0.62, 0.98, 0.9],
  [-0.2, 1, 0.74, 0.94, 1],
  [0.2, 0.98, 0.68, 0.96, 1],
  [0.55, 0.78, 0.42, 1.08, 0.95],
  [0.82, 0.42, 0.16, 1.24, 0.75],
  [1, 0.02, 0.01, 1.42, 0.1],
];
const FULL: readonly Station[] = [
  [-1, 0.85, 0.7, 1, 0.8],
  [-0.85, 0.98, 0.95, 1, 1],
  [0.7, 1, 0.95, 1, 1],
  [0.88, 0.72, 0.6, 1.1, 0.9],
  [1, 0.1, 0.05, 1.3, 0.3],
];
const STATIONS: Readonly<Record<BoatThing, readonly Station[]>> = {
  dinghy: FINE,
  sailing: FINE,
  fishing: FINE,
  barge: FULL,
  ferry: FULL,
};

/** A place of a boat: to its right, ahead, and over the water, m. */
type Place = Vec3;

/** The places of a hull's stations: rail and bilge on the left, the keel, bilge and rail on the right. */
export function sectionsOf({ thing, length, width, side, draught }: Boat): readonly (readonly Place[])[] {
  return STATIONS[thing].map(([along, rail, bilge, sheer, keel]) => {
    const [y, top] = [(along * length) / 2, side * sheer];
    const [wide, narrow] = [(rail * width) / 2, (bilge * width) / 2];
    const [deep, turn] = [-draught * keel, -0.45 * draught * keel];
    return [
      [-wide, y, top],
      [-narrow, y, turn],
      [0, y, deep],
      [narrow, y, turn],
      [wide, y, top],
    ];
  });
}

/** How far under its rail a boat's deck or floor lies, as a part of its side. */
export const deckOf = ({ thing }: Boat): number => (thing === "dinghy" ? 0.75 : 0.12);

/** The outline of a boat on the plan at its rail, from its stern on the right around: to its right, and ahead, m. */
export function railOf(boat: Boat): readonly Vec2[] {
  const sections = sectionsOf(boat);
  const right = sections.map(([, , , , [x, y]]): Vec2 => [x, y]);
  const left = sections.map(([[x, y]]): Vec2 => [x, y]).reverse();
  return [...right, ...left];
}
