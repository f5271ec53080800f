import { Eye, EyeOff, Lock, LockOpen } from "lucide-react";
import { useState } from "react";
import { edit, go, useBoard } from "../board/board";
import { IconButton } from "../ui";

/** Leaves a thing out of all pictures or shows it again; keeps it from being moved or lets it be. */
const flag = (id: string, what: "hidden" | "locked", on: boolean): void => edit((scene) => {
  const element = scene.elements.find((one) => one.id === id);
  if (element) element[what] = on || undefined;
});

/** Everything that stands in the scene, to be found by its name and chosen. */
export function Things() {
  const [word, setWord] = useState("");
  const elements = useBoard((board) => board.scene.elements);
  const selected = useBoard((board) => board.selected);
  const found = elements.filter(({ name }) => name.toLowerCase().includes(word.trim().toLowerCase()));
  return (
    <section aria-label="Things" className="space-y-1">
      <input type="search" aria-label="Find a thing" placeholder={`Find one of ${elements.length}`} className="h-7 w-full rounded border border-hair bg-transparent px-1.5" value={word} onChange={(event) => setWord(event.target.value)} onKeyDown={(event) => event.stopPropagation()} />
      <ul className="max-h-40 overflow-y-auto">
        {found.map(({ id, name, hidden, locked }) => (
          <li key={id} className="flex items-center"><button type="button" aria-pressed={id === selected} className={`min-h-7 min-w-0 grow truncate rounded px-1 text-left hover:bg-wash ${id === selected ? "bg-wash font-medium" : ""}`} onClick={() => go({ selected: id })}>{name || "Nameless"}</button>
            <IconButton className="shrink-0" label={hidden ? `Show ${name}` : `Hide ${name}`} onClick={() => flag(id, "hidden", !hidden)}>{hidden ? <EyeOff size={13} /> : <Eye size={13} className="opacity-45" />}</IconButton>
            <IconButton className="shrink-0" label={locked ? `Let ${name} be moved` : `Keep ${name} from being moved`} onClick={() => flag(id, "locked", !locked)}>{locked ? <Lock size={13} /> : <LockOpen size={13} className="opacity-45" />}</IconButton>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-pencil">{elements.length ? "Nothing here is called so." : "Nothing stands here yet: draw a footprint on the plan."}</p>}
    </section>
  );
}
