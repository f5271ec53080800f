import type { Card } from "@zanvo/core/answers";
import { Link } from "react-router";
import { picturePath } from "../api";
import { useKits } from "./shelfOfKits";

/** The kits on their shelf as small pictures, each taken up by a press. */
export function KitCards({ taken, onTake }: { readonly taken: string | null; readonly onTake: (card: Card) => void }) {
  const kits = useKits();
  if (!kits) return <p className="text-pencil">Looking along the shelf…</p>;
  return (
    <>
      {kits.length === 0 && <p className="text-pencil">No kit is kept yet: choose things, and keep them as one.</p>}
      <div role="group" aria-label="Kits" className="grid grid-cols-3 gap-1">
        {kits.map((card) => (
          <button
            key={card.id}
            type="button"
            aria-pressed={card.id === taken}
            title={card.title}
            className={
              "flex flex-col rounded border p-1 text-center text-[11px] leading-tight " +
              (card.id === taken ? "border-accent bg-wash" : "border-hair hover:bg-wash")
            }
            onClick={() => onTake(card)}
          >
            <span className="flex h-12 grow items-center justify-center">
              <img src={picturePath(card)} alt="" loading="lazy" className="max-h-12 max-w-full bg-[#fbf9f3]" />
            </span>
            <span className="line-clamp-2">{card.title}</span>
          </button>
        ))}
      </div>
      <Link className="text-pencil underline" to="/kits">
        The shelf of kits
      </Link>
    </>
  );
}
