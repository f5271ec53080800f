import { useMemo } from "react";
import { useBoard } from "../../useBoard";
import { thingOf, type Thing, type THINGS } from ".";
import { sampleOf } from "./sample";
import { usePutting } from "../usePutting";

/** The size of a sample, px, and what it keeps clear around it. */
const [WIDE, HIGH, CLEAR] = [46, 38, 3] as const;

/** A thing as a small drawing of itself, to be taken up and put down in the picture. */
function Sample({ thing, taken, onTake }: { thing: Thing; taken: boolean; onTake: () => void }) {
  const lines = useMemo(() => sampleOf(thing, WIDE - 2 * CLEAR, HIGH - 2 * CLEAR), [thing]);
  return (
    <button
      type="button"
      aria-label={thing.label}
      title={thing.label}
      aria-pressed={taken}
      className={`rounded border ${taken ? "border-accent bg-wash" : "border-hair hover:bg-wash"}`}
      onClick={onTake}
    >
      <svg viewBox={`${-CLEAR} ${-CLEAR} ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} aria-hidden>
        <path
          d={lines
            .map(([[x, y], [u, v]]) => `M${x.toFixed(2)} ${y.toFixed(2)}L${u.toFixed(2)} ${v.toFixed(2)}`)
            .join("")}
          fill="none"
          stroke="currentColor"
          strokeWidth={0.8}
        />
      </svg>
    </button>
  );
}

/** Rows of small drawings of what can be put where one presses; one that is taken up is put back again. */
export function ThingChoice({ things: all }: { readonly things: typeof THINGS }) {
  const { useFittings, fit } = useBoard();
  const putting = useFittings((fittings) => fittings.putting);
  usePutting();
  const taken = putting && "thing" in putting ? thingOf(putting.thing) : undefined;
  return (
    <>
      {all.map(([title, things]) => (
        <div key={title} role="group" aria-label={title} className="flex flex-wrap gap-1">
          {things.map((thing) => (
            <Sample
              key={thing.id}
              thing={thing}
              taken={thing === taken}
              onTake={() => fit({ putting: thing === taken ? null : { thing: thing.id } })}
            />
          ))}
        </div>
      ))}
      {taken && <p className="text-pencil">{taken.label}: press in the picture where it goes. Escape: no more.</p>}
    </>
  );
}
