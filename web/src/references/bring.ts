import { toldBy } from "@zanvo/core/problem";
import type { Reference } from "@zanvo/core/scene";
import { takeIn } from "../api";
import { pickFile } from "../files";
import { newReference, photoName, PICTURES } from "./newReference";
import type { Stores } from "../stores";

/** Takes a picture in and lays it among the scene's references. @returns its id, or null where it could not be taken */
export async function bringIn(stores: Stores, sceneId: string, file: File): Promise<string | null> {
  try {
    const reference = newReference(await takeIn(sceneId, file), photoName(file));
    stores.edit((scene) => {
      scene.references = [...(scene.references ?? []), reference];
    });
    return reference.id;
  } catch (error) {
    stores.say(toldBy(error));
    return null;
  }
}

/**
 * Takes in again a picture that a scene speaks of but this machine has not; it must have the size of what was traced.
 */
export async function bringAgain(stores: Stores, sceneId: string, { id, width, height }: Reference): Promise<void> {
  const file = await pickFile(PICTURES);
  if (!file) return;
  try {
    const taken = await takeIn(sceneId, file);
    if (taken.width !== width || taken.height !== height)
      return stores.say(
        `This picture has ${taken.width} × ${taken.height} px; the one that was traced has ${width} × ${height}.`,
      );
    stores.edit((scene) => {
      const one = scene.references?.find((reference) => reference.id === id);
      if (one) one.picture = taken.picture;
    });
    stores.tellArrival(taken.picture);
  } catch (error) {
    stores.say(toldBy(error));
  }
}
