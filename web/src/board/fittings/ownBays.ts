import {
  elevationOf,
  frontOn,
  requireValid,
  withFront,
  type Building,
  type Front,
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

/** What an opening has of its own once it is moved by so many m along its wall and up. */
export function movedBy(
  building: Building,
  side: number,
  { bay, storey }: ChosenBay,
  [along, up]: readonly [number, number],
  free = false,
): Partial<OwnBay> | null {
  const { openings, bays, floors } = elevationOf(building, side);
  const its = openings.find((one) => one.index === bay && one.storey === storey);
  const cell = bays[bay];
  if (!its || !cell) return null;
  const middle = (its.from + its.to) / 2 - (cell.from + cell.to) / 2;
  return {
    by: inSteps(middle + along, free),
    ...(its.kind === "window" ? { sill: Math.max(0, inSteps(its.low - floors[storey].low + up, free)) } : {}),
  };
}
