import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readScene } from "@zanvo/core/document";
import type { Reference, Scene } from "@zanvo/core/scene";
import type { Pictures, Store } from "./store";

/** The scene with the photos of its references taken in from beside it. */
async function withPhotos(scene: Scene, pictures: Pictures, folder: string): Promise<Scene> {
  if (!scene.references) return scene;
  const references = await Promise.all(scene.references.map(async (reference: Reference & { "x-photo"?: string }) => {
    const { "x-photo": photo, ...rest } = reference;
    return photo ? { ...rest, picture: (await pictures.add(readFileSync(join(folder, "photos", photo)))).picture } : rest;
  }));
  return { ...scene, references };
}

/** Puts the demo scenes on a shelf that nothing was ever put on, the first of them last, so that it stands first. */
export async function putDemo(store: Store, pictures: Pictures, folder: string): Promise<void> {
  if (!(await store.isNew())) return;
  for (const file of readdirSync(folder).filter((name) => name.endsWith(".zanvo.json")).sort().reverse()) {
    await store.create(await withPhotos(readScene(readFileSync(join(folder, file), "utf8")), pictures, folder));
  }
}
