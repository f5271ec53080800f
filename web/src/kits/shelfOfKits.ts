import { kitIn, withKit } from "@zanvo/core/kits";
import type { Kit, Scene } from "@zanvo/core/scene";
import type { Card } from "@zanvo/core/answers";
import useSWR, { mutate } from "swr";
import { createScene, deleteScene, listKits, openScene, Refusal, saveScene } from "../api";
import type { Recipe } from "../document";

const ADDRESS = "/api/scenes?kits";

/** The kits on their shelf; undefined until they have come. */
export const useKits = (): readonly Card[] | undefined => useSWR<Card[], Error>(ADDRESS, listKits).data;

const refresh = (): void => void mutate(ADDRESS);

/** A kit as it is on the shelf. @throws Error where nothing is left in it, or it is gone */
export async function fetchKit(id: string): Promise<Kit> {
  const { scene, revision } = await openScene(id);
  const kit = kitIn(id, revision, scene);
  if (!kit) throw new Error(`Nothing is left in the kit “${scene.title}”.`);
  return kit;
}

/** Puts a new kit on the shelf. @returns it, and how it is taken off again */
export async function shelveKit(scene: Scene): Promise<{ readonly kit: Kit; readonly undo: () => Promise<void> }> {
  const { id, revision } = await createScene(JSON.stringify(scene));
  refresh();
  return {
    kit: kitIn(id, revision, scene)!,
    undo: async () => {
      await deleteScene(id, revision);
      refresh();
    },
  };
}

/**
 * Changes a kit on the shelf. @returns it with its new revision; as it was given where it is no longer on the shelf
 */
export async function saveKit(kit: Kit): Promise<{ readonly kit: Kit; readonly gone: boolean }> {
  try {
    const { scene, revision } = await openScene(kit.id);
    const card = await saveScene(kit.id, JSON.stringify({ ...scene, elements: kit.elements }), revision);
    refresh();
    return { kit: { ...kit, name: scene.title, revision: card.revision }, gone: false };
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) return { kit, gone: true };
    throw error;
  }
}

/** A recipe that keeps a kit in the scene, as it was taken over. */
export const keepsKit =
  (kit: Kit): Recipe =>
  (scene) =>
    void (scene.kits = withKit(scene, kit));
