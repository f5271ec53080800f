import { newScene } from "@zanvo/core/scene";
import { createScene, deleteScene, saveScene, takeIn } from "../api";
import { newReference, photoName } from "../references/newReference";

export { SEARCH } from "../references/newReference";

/**
 * Puts a new scene on the shelf that begins from a photo. Where the photo cannot be taken, nothing is left there.
 * @returns the address of the bench where the photo's view is found
 * @throws Error with what is wrong with the photo
 */
export async function beginFromPhoto(file: File): Promise<string> {
  const name = photoName(file);
  const scene = newScene(name);
  const { id, revision } = await createScene(JSON.stringify(scene));
  try {
    const reference = newReference(await takeIn(id, file), name);
    await saveScene(id, JSON.stringify({ ...scene, references: [reference] }), revision);
    return `/scenes/${id}/references/${reference.id}`;
  } catch (error) {
    await deleteScene(id, revision).catch(() => undefined);
    throw error;
  }
}
