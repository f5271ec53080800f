import { useState } from "react";
import { go, useBoard } from "../board/board";

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
        {found.map(({ id, name }) => (
          <li key={id}><button type="button" aria-pressed={id === selected} className={`min-h-6 w-full truncate rounded px-1 text-left hover:bg-wash ${id === selected ? "bg-wash font-medium" : ""}`} onClick={() => go({ selected: id })}>{name || "Nameless"}</button></li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-pencil">{elements.length ? "Nothing here is called so." : "Nothing stands here yet: draw a footprint on the plan."}</p>}
    </section>
  );
}
