import { toldBy } from "@zanvo/core/problem";
import type { Reference } from "@zanvo/core/scene";
import { takeIn } from "../api";
import { pickFile } from "../files";
import { say } from "../ui";
import { tellArrival } from "./arrivals";
import { edit } from "../document";
import { newReference, photoName, PICTURES } from "./newReference";

/** Takes a picture in and lays it among the scene's references. @returns its id, or null where it could not be taken */
export async function bringIn(sceneId: string, file: File): Promise<string | null> {
  try {
    const reference = newReference(await takeIn(sceneId, file), photoName(file));
    edit((scene) => {
      scene.references = [...(scene.references ?? []), reference];
    });
    return reference.id;
  } catch (error) {
    say(toldBy(error));
    return null;
  }
}

/**
 * Takes in again a picture that a scene speaks of but this machine has not; it must have the size of what was traced.
 */
export async function bringAgain(sceneId: string, { id, width, height }: Reference): Promise<void> {
  const file = await pickFile(PICTURES);
  if (!file) return;
  try {
    const taken = await takeIn(sceneId, file);
    if (taken.width !== width || taken.height !== height)
      return say(
        `This picture has ${taken.width} × ${taken.height} px; the one that was traced has ${width} × ${height}.`,
      );
    edit((scene) => {
      const one = scene.references?.find((reference) => reference.id === id);
      if (one) one.picture = taken.picture;
    });
    tellArrival(taken.picture);
  } catch (error) {
    say(toldBy(error));
  }
}
