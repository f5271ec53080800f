import { fixtures } from "./fixtures";
import { furniture } from "./furniture";
import { signs } from "./signs";
import { stairs } from "./stairs";
import type { Thing } from "./thing";
export type { PressedPlace, Thing } from "./thing";

/** What can be put where one presses in the picture, in the order of its samples. */
export const THINGS: readonly (readonly [title: string, things: readonly Thing[]])[] = [
  ["Stairs", stairs],
  ["Signs", signs],
  ["On walls and roofs", fixtures],
  ["Furniture", furniture],
];

/** What is to be put, by its id. */
export const thingOf = (id: string): Thing | undefined =>
  THINGS.flatMap(([, things]) => things).find((thing) => thing.id === id);
