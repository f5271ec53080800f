import { boats } from "./boats";
import { fixtures } from "./fixtures";
import { furniture } from "./furniture";
import { people } from "./people";
import { plants } from "./plants";
import { sky } from "./sky";
import { signs } from "./signs";
import { stairs } from "./stairs";
import { streetFurniture } from "./streetFurniture";
import type { Thing } from "./thing";
import { vehicles } from "./vehicles";
export type { PressedPlace, Thing } from "./thing";

/** What can be put where one presses in the picture, in the order of its samples. */
export const THINGS: readonly (readonly [title: string, things: readonly Thing[]])[] = [
  ["Stairs", stairs],
  ["Signs", signs],
  ["On walls and roofs", fixtures],
  ["Furniture", furniture],
];

/** What can be put in streets, in the order of its samples. */
export const STREET_THINGS: typeof THINGS = [
  ["People", people],
  ["Trees", plants],
  ["Street furniture", streetFurniture],
  ["Vehicles", vehicles],
  ["Boats", boats],
  ["Sky", sky],
];

/** What is to be put, by its id. */
export const thingOf = (id: string): Thing | undefined =>
  [...THINGS, ...STREET_THINGS].flatMap(([, things]) => things).find((thing) => thing.id === id);
