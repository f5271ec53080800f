import { toldBy } from "@zanvo/core/problem";
import type { Reference } from "@zanvo/core/scene";
import { newId } from "../id";
import { takeIn } from "../api";
import { pickFile } from "../files";
import { say } from "../ui";
import { tellArrival } from "./arrivals";
import { edit } from "../document";

/** The sets that a fresh reference has: the streets to both sides, and uprights. */
const SETS: Reference["sets"] = [
  { id: "left", name: "Left", role: "left", edges: [] },
  { id: "right", name: "Right", role: "right", edges: [] },
  { id: "upright", name: "Uprights", role: "upright", edges: [] },
];

/** What the file dialog offers. */
export const PICTURES = "image/jpeg,image/png,image/webp";

/** The first picture among some files, if there is one. */
export const pictureIn = (files: Iterable<File>): File | undefined =>
  [...files].find(({ type }) => type.startsWith("image/"));

/** Takes a picture in and lays it among the scene's references. @returns its id, or null where it could not be taken */
export async function bringIn(sceneId: string, file: File): Promise<string | null> {
  try {
    const { picture, width, height, focal35 } = await takeIn(sceneId, file);
    const id = newId();
    const name = file.name.replace(/\.[a-z]+$/i, "").slice(0, 200) || "Photo";
    edit((scene) => {
      scene.references = [
        ...(scene.references ?? []),
        {
          id,
          name,
          picture,
          width,
          height,
          ...(focal35 === null ? {} : { focal35 }),
          sets: structuredClone(SETS),
        },
      ];
    });
    return id;
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
