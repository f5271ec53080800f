import type { Card } from "@zanvo/core/answers";
import { toldBy } from "@zanvo/core/problem";
import { begunScene, deskOf } from "@zanvo/core/beginnings";
import type { Scene } from "@zanvo/core/scene";
import { useNavigate } from "react-router";
import { createScene, deleteScene, openScene, restoreScene, saveScene } from "../api";
import { rememberView } from "../document/saving/place";
import { pickFile } from "../files";
import { useStores } from "../stores";

const UNTITLED = "Untitled scene";

/** What can be done with the scenes on the shelf. @param refresh shows the shelf again */
export function useShelf(refresh: () => unknown) {
  const { say } = useStores();
  const navigate = useNavigate();

  /** Does something to the shelf, shows it again, and says what went wrong. */
  const work = (job: () => Promise<void>) => {
    void job()
      .catch((wrong: Error) => say(toldBy(wrong)))
      .finally(() => void refresh());
  };
  const openNew = async (scene: Scene) => {
    const { id } = await createScene(JSON.stringify(scene));
    rememberView(id, { stage: "sheet" });
    await navigate(`/scenes/${id}`);
  };
  const begin = () => work(() => openNew(begunScene(UNTITLED)));
  const beginOn = (template: Card) =>
    work(async () => openNew({ ...begunScene(UNTITLED), ...deskOf((await openScene(template.id)).scene) }));
  /** Puts a scene from a file on the shelf. */
  const shelve = async (file: File) => {
    try {
      const { readSceneFile, shelveFile } = await import("../sceneFile");
      const { title, kit } = await shelveFile(await readSceneFile(file));
      say(`“${title}” is on the shelf${kit ? " of kits" : ""}.`);
    } catch (wrong) {
      say(`${file.name} was not brought in. ${(wrong as Error).message}`);
    }
  };
  const bringIn = () =>
    work(async () => {
      const file = await pickFile(".json,.zip,application/json,application/zip");
      if (file) await shelve(file);
    });
  /** Begins a scene from a photo, on the bench where its view is found. */
  const fromPhoto = async (file: File) => {
    const { beginFromPhoto, SEARCH } = await import("./fromPhoto");
    await navigate(await beginFromPhoto(file), { state: SEARCH });
  };
  const pickPhoto = () =>
    work(async () => {
      const file = await pickFile("image/jpeg,image/png,image/webp");
      if (file) await fromPhoto(file);
    });
  /** A photo that is dropped begins a scene; a scene's own file is put on the shelf. */
  const drop = (file: File | undefined) =>
    work(async () => {
      if (!file) say("Drop a photo here to begin a scene from it, or a scene’s file.");
      else if (/\.(json|zip)$/i.test(file.name)) await shelve(file);
      else await fromPhoto(file);
    });
  const rename = (card: Card, title: string) =>
    work(async () => {
      const { scene, revision } = await openScene(card.id);
      await saveScene(card.id, JSON.stringify({ ...scene, title }), revision);
    });
  const duplicate = (card: Card) =>
    work(async () => {
      const { scene } = await openScene(card.id);
      await createScene(JSON.stringify({ ...scene, title: `${scene.title} (copy)` }));
    });
  const remove = (card: Card) =>
    work(async () => {
      await deleteScene(card.id, card.revision);
      say(`“${card.title}” was taken off the shelf.`, {
        label: "Put it back",
        run: () => work(() => restoreScene(card.id)),
      });
    });
  const saveFile = (card: Card) =>
    work(async () => {
      const { scene } = await openScene(card.id);
      const { downloadWhole } = await import("../sceneFile");
      const missing = await downloadWhole(card.id, scene, new AbortController().signal);
      if (missing) say(`The file lacks ${missing} of its photos: they are not on this machine.`);
    });

  return { begin, beginOn, bringIn, pickPhoto, drop, rename, duplicate, remove, saveFile };
}
