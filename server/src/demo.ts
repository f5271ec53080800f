import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { Pictures, Store } from "@zanvo/store";
import type { Jobs } from "./jobs";

interface Photographed {
  readonly references?: readonly { readonly "x-photo"?: string; readonly picture?: string }[];
}

/** The scene with the photos of its references taken in from beside it. */
async function withPhotos<S extends Photographed>(scene: S, pictures: Pictures, folder: string): Promise<S> {
  if (!scene.references) return scene;
  const references = await Promise.all(
    scene.references.map(async ({ "x-photo": photo, ...rest }) =>
      photo ? { ...rest, picture: (await pictures.add(readFileSync(join(folder, "photos", photo)))).picture } : rest,
    ),
  );
  return { ...scene, references };
}

/** The documents in a folder, by their names. */
const documentsIn = (folder: string): Photographed[] =>
  readdirSync(folder)
    .filter((name) => name.endsWith(".zanvo.json"))
    .sort()
    .map((file) => JSON.parse(readFileSync(join(folder, file), "utf8")) as Photographed);

/**
 * Puts the demo scenes on a shelf that nothing was ever put on, the first of them last, so that it stands first; and
 * the kits that ship on theirs, where none was ever kept.
 */
export async function putDemo(
  store: Store,
  pictures: Pictures,
  jobs: Pick<Jobs, "check">,
  folder: string,
): Promise<void> {
  const kits = (await store.hasNoKits()) ? documentsIn(join(folder, "kits")) : [];
  const scenes = (await store.isNew()) ? documentsIn(folder) : [];
  const whole = await Promise.all([...scenes, ...kits].map((scene) => withPhotos(scene, pictures, folder)));
  await store.createAll(await Promise.all(whole.reverse().map((scene) => jobs.check(JSON.stringify(scene)))));
}
