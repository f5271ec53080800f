import { ChevronRight, Eye, EyeOff, Lock, LockOpen } from "lucide-react";
import { memo, useId, useMemo, useState, type MouseEvent } from "react";
import { byStreet, type Place, type Cluster } from "@zanvo/core/construct";
import type { Element } from "@zanvo/core/world";
import { IconButton } from "../ui";
import { flagMany } from "../document/elements";
import { useStores } from "../stores";

/** What is left of places where only things whose name has a word in it count, or whose street's or row's name has. */
function holding(places: readonly Place[], word: string): readonly Place[] {
  const has = (name: string | null | undefined) => name?.toLowerCase().includes(word) ?? false;
  return places.flatMap(({ street, standing }): Place[] => {
    if (has(street?.name)) return [{ street, standing }];
    const left = standing.flatMap(({ name, elements }): Cluster[] => {
      const found = has(name) ? elements : elements.filter((one) => has(one.name));
      return found.length ? [{ name, elements: found }] : [];
    });
    return left.length ? [{ street, standing: left }] : [];
  });
}

/** No more single things than these are listed at once: others are found by name. */
const MAX_SHOWN = 300;

/** One thing: pressed it is chosen, with Shift or Ctrl besides; left out of all pictures or shown; locked or let be. */
const Thing = memo(function Thing({ element, on }: { readonly element: Element; readonly on: boolean }) {
  const stores = useStores();
  const { toggle, choose } = stores;
  const { id, name, hidden, locked } = element;
  const press = (event: MouseEvent) => (event.shiftKey || event.ctrlKey || event.metaKey ? toggle(id) : choose([id]));
  return (
    <li className="flex items-center">
      <button
        type="button"
        aria-pressed={on}
        className={
          "min-h-7 min-w-0 grow truncate rounded px-1 text-left hover:bg-wash " + `${on ? "bg-wash font-medium" : ""}`
        }
        onClick={press}
      >
        {name || "Nameless"}
      </button>
      <IconButton
        className="shrink-0"
        label={hidden ? `Show ${name}` : `Hide ${name}`}
        onClick={() => flagMany(stores, [element], { hidden: !hidden || undefined })}
      >
        {hidden ? <EyeOff size={13} /> : <Eye size={13} className="opacity-45" />}
      </IconButton>
      <IconButton
        className="shrink-0"
        label={locked ? `Let ${name} be moved` : `Keep ${name} from being moved`}
        onClick={() => flagMany(stores, [element], { locked: !locked || undefined })}
      >
        {locked ? <Lock size={13} /> : <LockOpen size={13} className="opacity-45" />}
      </IconButton>
    </li>
  );
});

/** Things one under the other. */
function Listed({
  elements,
  chosen,
  under = true,
}: {
  readonly under?: boolean;
  readonly elements: readonly Element[];
  readonly chosen: ReadonlySet<string>;
}) {
  return (
    <>
      <ul className={under ? "pl-3" : ""}>
        {elements.slice(0, MAX_SHOWN).map((element) => (
          <Thing key={element.id} element={element} on={chosen.has(element.id)} />
        ))}
      </ul>
      {elements.length > MAX_SHOWN && (
        <p className="pl-4 text-pencil">
          {(elements.length - MAX_SHOWN).toLocaleString("en")} more: find them by name.
        </p>
      )}
    </>
  );
}

/** Things that stand together, folded away; all of them are chosen, left out or locked at once. */
function Together({
  name,
  elements,
  open,
  chosen,
}: {
  readonly name: string;
  readonly elements: readonly Element[];
  readonly open: boolean;
  readonly chosen: ReadonlySet<string>;
}) {
  const stores = useStores();
  const { choose } = stores;
  const [unfolded, setUnfolded] = useState<boolean | null>(null);
  const list = useId();
  const [hidden, locked] = [elements.every((one) => one.hidden), elements.every((one) => one.locked)];
  const shown = unfolded ?? (open || elements.some(({ id }) => chosen.has(id)));
  return (
    <div className="pl-2">
      <div className="flex items-center">
        <button
          type="button"
          aria-expanded={shown}
          aria-controls={list}
          className="flex min-h-7 min-w-0 grow items-center gap-1 rounded text-left hover:bg-wash"
          onClick={() => setUnfolded(!shown)}
        >
          <ChevronRight size={12} aria-hidden className={`shrink-0 transition-transform ${shown ? "rotate-90" : ""}`} />
          <span className="min-w-0 grow truncate">{name}</span>
          <span className="measure shrink-0 text-pencil">{elements.length}</span>
        </button>
        <button
          type="button"
          className="min-h-7 min-w-7 shrink-0 rounded px-1 hover:bg-wash"
          aria-label={`Choose all of ${name}`}
          onClick={() => choose(elements.map(({ id }) => id))}
        >
          All
        </button>
        <IconButton
          className="shrink-0"
          label={hidden ? `Show all of ${name}` : `Hide all of ${name}`}
          onClick={() => flagMany(stores, elements, { hidden: !hidden || undefined })}
        >
          {hidden ? <EyeOff size={13} /> : <Eye size={13} className="opacity-45" />}
        </IconButton>
        <IconButton
          className="shrink-0"
          label={locked ? `Let all of ${name} be moved` : `Keep all of ${name} from being moved`}
          onClick={() => flagMany(stores, elements, { locked: !locked || undefined })}
        >
          {locked ? <Lock size={13} /> : <LockOpen size={13} className="opacity-45" />}
        </IconButton>
      </div>
      <div id={list}>{shown && <Listed elements={elements} chosen={chosen} />}</div>
    </div>
  );
}

/** Everything that stands in the scene, by street and row, to be found by its name and chosen. */
export function Things() {
  const { useDocument, useSelection } = useStores();
  const [word, setWord] = useState("");
  // While something is dragged, the list stays as it was: only places change.
  const elements = useDocument(({ scene, gesture }) => (gesture?.base ?? scene).elements);
  const rows = useDocument((document) => document.scene.rows);
  const [selected, also] = [useSelection((chosen) => chosen.selected), useSelection((chosen) => chosen.also)];
  const chosen = useMemo(() => new Set(selected === null ? [] : [selected, ...also]), [selected, also]);
  const places = useMemo(() => byStreet(elements, rows), [elements, rows]);
  const wanted = word.trim().toLowerCase();
  const found = wanted ? holding(places, wanted) : places;
  return (
    <section aria-label="Things" className="space-y-1">
      <input
        type="search"
        aria-label="Find a thing"
        placeholder={`Find one of ${elements.length}`}
        className="h-7 w-full rounded border border-hair bg-transparent px-1.5"
        value={word}
        onChange={(event) => setWord(event.target.value)}
        onKeyDown={(event) => event.stopPropagation()}
      />
      <div className="max-h-60 overflow-y-auto">
        {found.map(({ street, standing }) => (
          <section key={street?.id ?? "elsewhere"} aria-label={street?.name ?? "Elsewhere"}>
            {street ? (
              <ul>
                <Thing element={street} on={chosen.has(street.id)} />
              </ul>
            ) : (
              found.length > 1 && <h3 className="px-1 pt-1 text-pencil">Elsewhere</h3>
            )}
            {standing.map(({ name, elements: own }) =>
              name === null ? (
                <Listed key="single" elements={own} chosen={chosen} under={street !== null} />
              ) : (
                <Together
                  key={`${name} ${own[0].id}`}
                  name={name}
                  elements={own}
                  open={wanted !== ""}
                  chosen={chosen}
                />
              ),
            )}
          </section>
        ))}
      </div>
      {found.length === 0 && (
        <p className="text-pencil">
          {elements.length ? "Nothing here has that name." : "Nothing stands here yet: draw a footprint on the plan."}
        </p>
      )}
    </section>
  );
}
