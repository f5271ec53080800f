import type { Card } from "@zanvo/core/answers";
import { BookOpen, FileInput, ImagePlus, Lamp, Plus, Search, Trash2 } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import useSWR, { preload } from "swr";
import { listScenes, picturePath } from "../api";
import { Button, IconButton } from "../ui/Button";
import { Cards } from "./Cards";
import { SceneCard } from "./SceneCard";
import { Select } from "../ui/Select";
import { SORTS, sorted, type SortId } from "./sort";
import { useShelf } from "./useShelf";
import { useStores } from "../stores";

/** What is on the shelf, asked for while the page itself is still being made. */
let first: Card[] | undefined;
/** Resolves once that has come, or has failed: what failed is asked for again by the page. */
export const listed: Promise<void> = preload("/api/scenes", listScenes).then(
  (cards) => void (first = cards),
  () => undefined,
);

const ORDERS = (Object.keys(SORTS) as SortId[]).map((id) => [id, SORTS[id].label] as const);

interface ShelfHeaderProps {
  readonly wanted: string;
  readonly onWanted: (wanted: string) => void;
  readonly sort: SortId;
  readonly onSort: (sort: SortId) => void;
  readonly shelf: ReturnType<typeof useShelf>;
}

/** Searching, sorting, and where else one can go from the shelf. */
function ShelfHeader({ wanted, onWanted, sort, onSort, shelf }: ShelfHeaderProps) {
  const { switchLamp } = useStores();
  return (
    <header className="flex flex-wrap items-center gap-3 border-b border-hair px-6 py-3">
      <img src="/zanvo.svg" alt="" className="size-6" />
      <h1 className="mr-auto text-base font-semibold">Zanvo</h1>
      <label className="flex h-7 items-center gap-1.5 rounded border border-hair px-2 focus-within:border-ink">
        <Search size={14} aria-hidden />
        <input
          className="w-44 bg-transparent outline-none"
          placeholder="Find a scene"
          aria-label="Find a scene"
          value={wanted}
          onChange={(event) => onWanted(event.target.value)}
        />
      </label>
      <Select labelled label="Order" value={sort} options={ORDERS} onChange={onSort} />
      <Link className="inline-flex h-7 items-center gap-1.5 rounded px-2 hover:bg-wash" to="/deleted">
        <Trash2 size={14} aria-hidden />
        Deleted
      </Link>
      <Button onClick={shelf.pickPhoto}>
        <ImagePlus size={14} aria-hidden />
        From a photo
      </Button>
      <Button onClick={shelf.bringIn}>
        <FileInput size={14} aria-hidden />
        Import a file
      </Button>
      <Link className="inline-flex h-7 items-center gap-1.5 rounded px-2 hover:bg-wash" to="/guide">
        <BookOpen size={14} aria-hidden />
        Pocket guide
      </Link>
      <IconButton label="Lamp (dark mode)" onClick={switchLamp}>
        <Lamp size={16} />
      </IconButton>
    </header>
  );
}

/** The shelf: every scene as a small drawing. */
export function ShelfPage() {
  const { data: cards, error, mutate } = useSWR<Card[], Error>("/api/scenes", listScenes, { fallbackData: first });
  const [wanted, setWanted] = useState("");
  const [sort, setSort] = useState<SortId>("saved");

  const shelf = useShelf(mutate);
  const shown = sorted(cards ?? [], wanted, sort);
  const card = (one: Card) => (
    <SceneCard
      key={`${one.id} ${one.revision}`}
      card={one}
      address={picturePath(one)}
      onBegin={() => shelf.beginOn(one)}
      onRename={(title) => shelf.rename(one, title)}
      onDuplicate={() => shelf.duplicate(one)}
      onSave={() => shelf.saveFile(one)}
      onDelete={() => shelf.remove(one)}
    />
  );
  return (
    <div
      className="flex h-full flex-col"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        shelf.drop(event.dataTransfer.files[0]);
      }}
    >
      <ShelfHeader wanted={wanted} onWanted={setWanted} sort={sort} onSort={setSort} shelf={shelf} />
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
          card={(at) => (at === 0 ? <NewScene onPress={shelf.begin} /> : card(shown[at - 1]))}
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
      className={
        "flex h-full w-full flex-col items-center justify-center " +
        "gap-2 rounded border border-dashed border-ink/50 text-ink hover:bg-black/5"
      }
    >
      <Plus size={28} aria-hidden />
      <span className="text-base font-medium">Start a new scene</span>
      <span>An empty sheet and two points</span>
    </button>
  );
}
