import type { Card } from "@zanvo/core/answers";
import { BookOpen, FileInput, Lamp, Plus, Search, Trash2 } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import useSWR, { preload } from "swr";
import { toldBy } from "@zanvo/core/problem";
import { fileName, newScene } from "@zanvo/core/scene";
import { createScene, deleteScene, listScenes, openScene, picturePath, restoreScene, saveScene } from "../api";
import { download, pickText } from "../files";
import { switchLamp } from "../lamp";
import { Button, IconButton } from "../ui/Button";
import { say } from "../ui/say";
import { Cards } from "./Cards";
import { SceneCard } from "./SceneCard";
import { SORTS, sorted, type SortId } from "./sort";

/** What is on the shelf, asked for while the page itself is still being made. */
let first: Card[] | undefined;
/** Resolves once that has come, or has failed: what failed is asked for again by the page. */
export const listed: Promise<void> = preload("/api/scenes", listScenes).then(
  (cards) => void (first = cards),
  () => undefined,
);

/** The shelf: every scene as a small drawing. */
export function ShelfPage() {
  const { data: cards, error, mutate } = useSWR<Card[], Error>("/api/scenes", listScenes, { fallbackData: first });
  const [wanted, setWanted] = useState("");
  const [sort, setSort] = useState<SortId>("saved");
  const navigate = useNavigate();

  /** Does something to the shelf, shows it again, and says what went wrong. */
  const work = (job: () => Promise<void>) => {
    void job()
      .catch((wrong: Error) => say(toldBy(wrong)))
      .finally(() => void mutate());
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

  const shown = sorted(cards ?? [], wanted, sort);
  const card = (one: Card) => (
    <SceneCard
      key={`${one.id} ${one.revision}`}
      card={one}
      address={picturePath(one)}
      onRename={(title) => rename(one, title)}
      onDuplicate={() => duplicate(one)}
      onSave={() => saveFile(one)}
      onDelete={() => remove(one)}
    />
  );
  return (
    <div className="flex h-full flex-col">
      <header className="flex flex-wrap items-center gap-3 border-b border-hair px-6 py-3">
        <img src="/zanvo.svg" alt="" className="size-6" />
        <h1 className="mr-auto text-base font-semibold">Zanvo</h1>
        <label className="flex h-7 items-center gap-1.5 rounded border border-hair px-2">
          <Search size={14} aria-hidden />
          <input
            className="w-44 bg-transparent outline-none"
            placeholder="Find a scene"
            aria-label="Find a scene"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
        </label>
        <label className="flex items-center gap-1.5 text-pencil">
          Order
          <select
            className="h-7 rounded border border-hair bg-slip px-1 text-ink"
            value={sort}
            onChange={(event) => setSort(event.target.value as SortId)}
          >
            {Object.entries(SORTS).map(([id, { label }]) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <Link className="inline-flex h-7 items-center gap-1.5 rounded px-2 hover:bg-wash" to="/deleted">
          <Trash2 size={14} aria-hidden />
          Deleted
        </Link>
        <Button onClick={bringIn}>
          <FileInput size={14} aria-hidden />
          Bring in a file
        </Button>
        <Link className="inline-flex h-7 items-center gap-1.5 rounded px-2 hover:bg-wash" to="/guide">
          <BookOpen size={14} aria-hidden />
          Pocket guide
        </Link>
        <IconButton label="Lamp" onClick={switchLamp}>
          <Lamp size={16} />
        </IconButton>
      </header>
      <main className="flex min-h-0 grow flex-col">
        {error && (
          <p role="alert" className="m-4 rounded border border-hair bg-slip p-3">
            {error.message} <Button onClick={() => void mutate()}>Try again</Button>
          </p>
        )}
        {cards && cards.length > 0 && shown.length === 0 && (
          <p className="px-6 pt-4">
            No scene is called “{wanted}”. <Button onClick={() => setWanted("")}>Show all</Button>
          </p>
        )}
        {!cards && !error && <p className="px-6 pt-4">Looking along the shelf…</p>}
        <Cards
          count={shown.length + 1}
          keyOf={(at) => shown[at - 1]?.id ?? "new"}
          card={(at) => (at === 0 ? <NewScene onPress={begin} /> : card(shown[at - 1]))}
        />
      </main>
    </div>
  );
}

/** The first card: an empty sheet. */
function NewScene({ onPress }: { readonly onPress: () => void }) {
  return (
    <button
      type="button"
      onClick={onPress}
      className="flex h-full w-full flex-col items-center justify-center gap-2 rounded border border-dashed border-ink/50 text-ink hover:bg-black/5"
    >
      <Plus size={28} aria-hidden />
      <span className="text-base font-medium">Start a new scene</span>
      <span>An empty sheet and two points</span>
    </button>
  );
}
