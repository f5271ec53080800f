import { requireValid, wallLengths, withFront, type Building, type Front } from "@zanvo/core/world";

/** Puts a changed building in its place; what is told is one step of undoing. */
export type ChangeBuilding = (building: Building, what: string) => void;

/** A building with a front on several of its walls. @throws Error with why it cannot stand so */
export const onWalls = (building: Building, sides: readonly number[], front: (side: number) => Front): Building =>
  requireValid(sides.reduce((one, side) => withFront(one, { ...front(side), side }), building));

/** The sides of all walls of a building. */
export const allSides = (building: Building): readonly number[] => wallLengths(building).map((_, side) => side);
