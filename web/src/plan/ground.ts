import { MAX_FEATURES } from "@zanvo/core/exchange";
import type { Told } from "@zanvo/core/units";
import { proxy } from "comlink";
import type { Going } from "../ui";
import { steady } from "../worker";
import { takenIn } from "./brought";
import type { GroundWorker } from "./ground.worker";
import type { Stores } from "../stores";

/** A scene holds no more things than these. */
export const MOST_THINGS = 20_000;

const here = (stores: Stores) => stores.useDocument.getState().scene;

/** How many more things the scene can hold. */
export const spaceLeft = (stores: Stores): number => MOST_THINGS - here(stores).elements.length;

/** What came of a file: how many things were taken, how many were too many, and what was left out. */
const told = (taken: number, left: number, notes: readonly Told[]): readonly Told[] => [
  taken === 1 ? "One thing was brought in." : `${taken.toLocaleString("en")} things were brought in.`,
  ...(left > 0 ? [`${left.toLocaleString("en")} more found no room in this scene.`] : []),
  ...notes,
];

/** What was brought in, by id, and what came of the file, a sentence each. */
export interface Brought {
  readonly ids: readonly string[];
  readonly notes: readonly Told[];
}

/** Brings the buildings and streets of a GeoJSON file in, read in a worker. */
export async function bringIn(
  stores: Stores,
  file: File,
  signal: AbortSignal,
  tell: (going: Going) => void,
): Promise<Brought> {
  const worker = steady<GroundWorker>(
    () => new Worker(new URL("./ground.worker.ts", import.meta.url), { type: "module" }),
  );
  try {
    const found = await worker.call(
      (remote) =>
        remote.bring(
          file,
          here(stores).ground,
          Math.min(spaceLeft(stores), MAX_FEATURES),
          proxy((share: number) => tell({ done: share, of: 1 })),
        ),
      signal,
    );
    const { elements, rows } = takenIn(here(stores), found, spaceLeft(stores));
    if (elements.length)
      stores.edit((scene) => {
        scene.ground = found.ground;
        scene.elements.push(...elements);
        if (rows.length > 0) scene.rows = [...(scene.rows ?? []), ...rows];
      });
    return {
      ids: elements.map(({ id }) => id),
      notes: told(elements.length, found.elements.length - elements.length, found.notes),
    };
  } finally {
    worker.end();
  }
}
