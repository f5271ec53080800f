import type { Vec2 } from "@zanvo/core/geometry";
import {
  elevationOf,
  frontOn,
  requireValid,
  withFront,
  type Building,
  type Front,
  type Opening,
  type OwnBay,
} from "@zanvo/core/world";
import type { ChosenBay } from "./createFittings";

/** Lengths are drawn in steps of so much, m. */
export const STEP = 0.05;

const inSteps = (value: number, free: boolean): number =>
  Number((free ? value : Math.round(value / STEP) * STEP).toFixed(3));

/** What a bay has of its own. */
export const ownOf = ({ own = [] }: Front, { bay, storey }: ChosenBay): OwnBay | undefined =>
  own.find((one) => one.bay === bay && one.storey === storey);

/** A front with something of its own in a bay; with nothing, it follows its rule again. */
export function withOwn(front: Front, at: ChosenBay, change: Partial<OwnBay> | null): Front {
  const others = (front.own ?? []).filter((one) => one.bay !== at.bay || one.storey !== at.storey);
  const own = change ? [...others, { ...ownOf(front, at), ...change, bay: at.bay, storey: at.storey }] : others;
  return { ...front, own: own.length > 0 ? own : undefined };
}

/** A building whose bay is changed. @throws Error with why it cannot stand so */
export function changedBay(building: Building, side: number, at: ChosenBay, change: Partial<OwnBay> | null): Building {
  const front = frontOn(building, side);
  return front ? requireValid(withFront(building, withOwn(front, at, change))) : building;
}

/** The opening of a bay; undefined where it has none. */
export const openingIn = (building: Building, side: number, { bay, storey }: ChosenBay): Opening | undefined =>
  elevationOf(building, side).openings.find((one) => one.index === bay && one.storey === storey);

/** The middle of an opening, m along its wall and up. */
export const middleOfOpening = ({ from, to, low, high }: Opening): Vec2 => [(from + to) / 2, (low + high) / 2];

/** What an opening has of its own once its middle is at a place of its wall; null where the bay has none. */
export function movedTo(
  building: Building,
  side: number,
  at: ChosenBay,
  [along, up]: Vec2,
  free = false,
): Partial<OwnBay> | null {
  const its = openingIn(building, side, at);
  const { bays, floors } = elevationOf(building, side);
  const cell = bays[at.bay];
  if (!its || !cell) return null;
  const sill = up - (its.high - its.low) / 2 - floors[at.storey].low;
  return {
    by: inSteps(along - (cell.from + cell.to) / 2, free),
    // A door stays on its floor.
    ...(its.kind === "window" ? { sill: Math.max(0, inSteps(sill, free)) } : {}),
  };
}

/** What an opening has of its own once it is moved by so many m along its wall and up. */
export function movedBy(
  building: Building,
  side: number,
  at: ChosenBay,
  [along, up]: Vec2,
  free = false,
): Partial<OwnBay> | null {
  const its = openingIn(building, side, at);
  if (!its) return null;
  const [s, z] = middleOfOpening(its);
  return movedTo(building, side, at, [s + along, z + up], free);
}
