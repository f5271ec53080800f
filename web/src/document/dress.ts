import { seededRandom } from "@zanvo/core/geometry";
import { dressed, isBuilding, type Element } from "@zanvo/core/world";
import { newSeed } from "../seed";
import type { Stores } from "../stores";
import { replaceMany } from "./elements";

/** Gives the buildings among things roofs and windows by rule, in one step. */
export function dressMany(stores: Stores, things: readonly Element[]): void {
  const roll = seededRandom(newSeed());
  const buildings = things.filter(isBuilding).filter(({ locked }) => !locked);
  stores.edit(replaceMany(buildings.map((one) => dressed(one, roll))));
}
