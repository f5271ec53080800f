import type { Card } from "@zanvo/core/answers";
import { BookOpen, FileInput, Lamp, Search } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import useSWR from "swr";
import { picturePath } from "../api";
import { Button, IconButton } from "../ui/Button";
import { Cards } from "./Cards";
import { SceneCard } from "./SceneCard";
import { Select } from "../ui/Select";
import { SORTS, sorted, type SortId } from "./sort";
import { useShelf } from "./useShelf";
import { useStores } from "../stores";

const ORDERS = (Object.keys(SORTS) as SortId[]).map((id) => [id, SORTS[id].label] as const);

/** How a way to another page looks in the header. */
export const LINK = "inline-flex h-7 items-center gap-1.5 rounded px-2 hover:bg-wash";

export type ShelfWork = ReturnType<typeof useShelf>;

interface ShelfProps {
  /** Where its cards are asked for, how, and what is there before they have come. */
  readonly of: { readonly address: string; readonly list: () => Promise<Card[]>; readonly first?: Card[] };
  readonly title: string;
  readonly find: string;
  /** What stands on it. */
  readonly word: string;
  readonly back?: ReactNode;
  readonly tools: (shelf: ShelfWork) => ReactNode;
  /** The card before the others. */
  readonly begin: (shelf: ShelfWork) => ReactNode;
}

interface ShelfHeaderProps extends Pick<ShelfProps, "title" | "find" | "tools" | "back"> {
  readonly wanted: string;
  readonly onWanted: (wanted: string) => void;
  readonly sort: SortId;
  readonly onSort: (sort: SortId) => void;
  readonly shelf: ShelfWork;
}

/** Searching, sorting, and where else one can go from the shelf. */
function ShelfHeader({ title, find, back, tools, wanted, onWanted, sort, onSort, shelf }: ShelfHeaderProps) {
  const { switchLamp } = useStores();
  return (
    <header className="flex flex-wrap items-center gap-3 border-b border-hair px-6 py-3">
      <img src="/zanvo.svg" alt="" className="size-6" />
      {back}
      <h1 className="mr-auto text-base font-semibold">{title}</h1>
      <label className="flex h-7 items-center gap-1.5 rounded border border-hair px-2 focus-within:border-ink">
        <Search size={14} aria-hidden />
        <input
          className="w-44 bg-transparent outline-none"
          placeholder={find}
          aria-label={find}
          value={wanted}
          onChange={(event) => onWanted(event.target.value)}
        />
      </label>
      <Select labelled label="Order" value={sort} options={ORDERS} onChange={onSort} />
      {tools(shelf)}
      <Button onClick={shelf.bringIn}>
        <FileInput size={14} aria-hidden />
        Import a file
      </Button>
      <Link className={LINK} to="/guide">
        <BookOpen size={14} aria-hidden />
        Pocket guide
      </Link>
      <IconButton label="Lamp (dark mode)" onClick={switchLamp}>
        <Lamp size={16} />
      </IconButton>
    </header>
  );
}

/** A shelf: all that stands on it as small drawings. */
export function Shelf({ of, word, begin, ...header }: ShelfProps) {
  const { data: cards, error, mutate } = useSWR<Card[], Error>(of.address, of.list, { fallbackData: of.first });
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
      <ShelfHeader {...header} wanted={wanted} onWanted={setWanted} sort={sort} onSort={setSort} shelf={shelf} />
      <main className="flex min-h-0 grow flex-col">
        {error && (
          <p role="alert" className="m-4 rounded border border-hair bg-slip p-3">
            {error.message} <Button onClick={() => void mutate()}>Try again</Button>
          </p>
        )}
        {cards && cards.length > 0 && shown.length === 0 && (
          <p className="px-6 pt-4">
            No {word} is called “{wanted}”. <Button onClick={() => setWanted("")}>Show all</Button>
          </p>
        )}
        {!cards && !error && <p className="px-6 pt-4">Looking along the shelf…</p>}
        <Cards
          count={shown.length + 1}
          keyOf={(at) => shown[at - 1]?.id ?? "new"}
          card={(at) => (at === 0 ? begin(shelf) : card(shown[at - 1]))}
        />
      </main>
    </div>
  );
}
