import { Copy, Trash2 } from "lucide-react";
import { useState } from "react";
import { aligned, LINES, spread, type Line } from "@zanvo/core/construct";
import { isBuilding, type Element } from "@zanvo/core/world";
import { sentence } from "@zanvo/core/units";
import { Button, Check, Fold, optionsOf, Select } from "../ui";
import { alike } from "../document/alike";
import { dressMany } from "../document/dress";
import { replaceMany, flagMany, deleteMany, duplicateMany } from "../document/elements";
import { viewOfElement, type Change } from "../elements";
import { KitFields } from "../kits/KitFields";
import { useStores } from "../stores";

/** The measures of several things of one kind: what is typed of the first holds for all. */
function AlikeFields({ things }: { readonly things: readonly Element[] }) {
  const { edit, say } = useStores();
  const [first] = things;
  const { Fields } = viewOfElement(first);
  const change: Change = (next, what) => {
    const { changed, kept, placed } = alike(things, next);
    if (placed) say("Places are typed for one thing at a time.");
    if (changed.length) edit(replaceMany(changed), `${what} ${things.map(({ id }) => id).join(" ")}`);
    if (kept.length) say(sentence`${kept[0].name} stays as it is. ${kept[0].why}`);
  };
  return (
    <Fold title={`Measures of all ${things.length}`}>
      <Fields element={first} change={change} />
    </Fold>
  );
}

/** What can be done with several things at once: one group, one line, evenly spread, left out, locked. */
export function ManyFields({ things }: { readonly things: readonly Element[] }) {
  const stores = useStores();
  const { edit } = stores;
  const [name, setName] = useState(things[0].group ?? "");
  const [line, setLine] = useState<Line>("left-sides");
  const grouped = things.some(({ group }) => group !== undefined);
  const free = things.filter(({ locked }, i) => i === 0 || !locked);
  return (
    <section aria-label="Chosen things" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">{things.length} things</h2>
      {things.every(({ kind }) => kind === things[0].kind) && <AlikeFields things={things} />}
      <p className="truncate text-pencil">In line with {things[0].name}, which was chosen first.</p>
      <div className="flex gap-1">
        <Select
          label="What is brought in line"
          className="min-w-0 grow"
          value={line}
          options={optionsOf(LINES)}
          onChange={setLine}
        />
        <Button onClick={() => edit(replaceMany(aligned(free, line)))}>Bring in line</Button>
      </div>
      <Button className="w-full" disabled={things.length < 3} onClick={() => edit(replaceMany(spread(things)))}>
        Spread evenly
      </Button>
      <div className="flex gap-1">
        <input
          aria-label="Name of the group"
          placeholder="Name of the group"
          maxLength={200}
          className="h-7 min-w-0 grow rounded border border-hair bg-transparent px-1.5"
          value={name}
          onChange={(event) => setName(event.target.value)}
          onKeyDown={(event) => event.stopPropagation()}
        />
        <Button disabled={name.trim() === ""} onClick={() => flagMany(stores, things, { group: name.trim() })}>
          Group
        </Button>
        <Button disabled={!grouped} onClick={() => flagMany(stores, things, { group: undefined })}>
          Ungroup
        </Button>
      </div>
      <Check
        label="Left out of all pictures"
        checked={things.every(({ hidden }) => hidden)}
        onChange={(hidden) => flagMany(stores, things, { hidden: hidden || undefined })}
      />
      <Check
        label="Kept from being moved"
        checked={things.every(({ locked }) => locked)}
        onChange={(locked) => flagMany(stores, things, { locked: locked || undefined })}
      />
      {things.some(isBuilding) && (
        <Button className="w-full" onClick={() => dressMany(stores, things)}>
          Give them roofs and windows by rule
        </Button>
      )}
      <KitFields things={things} />
      <div className="flex gap-2 pt-1">
        <Button className="grow" title="Ctrl+D" onClick={() => duplicateMany(stores, things)}>
          <Copy size={14} aria-hidden />
          Duplicate
        </Button>
        <Button className="grow" title="Delete" onClick={() => deleteMany(stores, things)}>
          <Trash2 size={14} aria-hidden />
          Delete
        </Button>
      </div>
    </section>
  );
}
