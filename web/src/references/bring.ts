import { wrap } from "comlink";
import { straightened, straightening, viewOfReference } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { fetchReference, takeIn } from "../api";
import { edit } from "../board/board";
import { pickFile } from "../files";
import { say } from "../ui";
import type { StraightenWorker } from "./straighten.worker";

/** The sets that a fresh reference has: the streets to both sides, and uprights. */
const SETS: Reference["sets"] = [
  { id: "left", name: "Left", role: "left", edges: [] },
  { id: "right", name: "Right", role: "right", edges: [] },
  { id: "upright", name: "Uprights", role: "upright", edges: [] },
];

/** What the file dialog offers. */
export const PICTURES = "image/jpeg,image/png,image/webp";

/** The first picture among some files, if there is one. */
export const pictureIn = (files: Iterable<File>): File | undefined => [...files].find(({ type }) => type.startsWith("image/"));

/** Takes a picture in and lays it among the scene's references. @returns its id, or null where it could not be taken */
export async function bringIn(sceneId: string, file: File): Promise<string | null> {
  try {
    const { picture, width, height, focal35 } = await takeIn(sceneId, file);
    const id = crypto.randomUUID();
    const name = file.name.replace(/\.[a-z]+$/i, "").slice(0, 200) || "Photo";
    edit((scene) => {
      scene.references = [...(scene.references ?? []), { id, name, picture, width, height, ...(focal35 === null ? {} : { focal35 }), sets: structuredClone(SETS) as never }];
    });
    return id;
  } catch (error) {
    say((error as Error).message);
    return null;
  }
}

/** Takes in again a picture that a scene speaks of but this machine has not; it must have the size of what was traced. */
export async function bringAgain(sceneId: string, { id, width, height }: Reference): Promise<void> {
  const file = await pickFile(PICTURES);
  if (!file) return;
  try {
    const taken = await takeIn(sceneId, file);
    if (taken.width !== width || taken.height !== height) return say(`This picture has ${taken.width} × ${taken.height} px; the one that was traced has ${width} × ${height}.`);
    edit((scene) => {
      const one = scene.references?.find((reference) => reference.id === id);
      if (one) one.picture = taken.picture;
    });
  } catch (error) {
    say((error as Error).message);
  }
}

/**
 * Makes a reference of a picture with its uprights upright and its horizon level, and all that was traced in it.
 * @returns its id, or null where it could not be made
 */
export async function straightenReference(sceneId: string, reference: Reference, signal: AbortSignal): Promise<string | null> {
  const worker = new Worker(new URL("./straighten.worker.ts", import.meta.url), { type: "module" });
  const stopped = new Promise<never>((_, reject) => signal.addEventListener("abort", () => reject(signal.reason as Error)));
  try {
    const plan = straightening(reference, viewOfReference(reference));
    const picture = await fetchReference(sceneId, reference.picture, signal);
    const straight = await Promise.race([wrap<StraightenWorker>(worker).straighten(picture, plan), stopped]);
    const taken = await takeIn(sceneId, straight, signal);
    const id = crypto.randomUUID();
    const next = straightened(reference, plan, { id, name: `${reference.name}, straight`.slice(0, 200), picture: taken.picture });
    edit((scene) => {
      scene.references = [...(scene.references ?? []), next as never];
    });
    return id;
  } catch (error) {
    say(signal.aborted ? "Straightening was stopped." : (error as Error).message);
    return null;
  } finally {
    worker.terminate();
  }
}
