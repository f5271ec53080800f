import type { Card } from "@zanvo/core/answers";
import { toldBy } from "@zanvo/core/problem";
import { fileName, newScene } from "@zanvo/core/scene";
import { useNavigate } from "react-router";
import { createScene, deleteScene, openScene, restoreScene, saveScene } from "../api";
import { download, pickText } from "../files";
import { say } from "../ui/say";

/** What can be done with the scenes on the shelf. @param refresh shows the shelf again */
export function useShelf(refresh: () => unknown) {
  const navigate = useNavigate();

  /** Does something to the shelf, shows it again, and says what went wrong. */
  const work = (job: () => Promise<void>) => {
    void job()
      .catch((wrong: Error) => say(toldBy(wrong)))
      .finally(() => void refresh());
  };
  const begin = () =>
    work(async () => {
      const { id } = await createScene(JSON.stringify(newScene("Untitled scene")));
      await navigate(`/scenes/${id}`);
    });
  const bringIn = () =>
    work(async () => {
      const picked = await pickText(".json,application/json");
      if (!picked) return;
      try {
        const { title } = await createScene(picked.text);
        say(`“${title}” is on the shelf.`);
      } catch (wrong) {
        say(`${picked.name} was not brought in. ${(wrong as Error).message}`);
      }
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
      download(
        new Blob([`${JSON.stringify(scene, null, 2)}\n`], { type: "application/json" }),
        `${fileName(scene.title)}.zanvo.json`,
      );
    });

  return { begin, bringIn, rename, duplicate, remove, saveFile };
}
