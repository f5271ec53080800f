import { HEADS, outlineOfOpening, type Head } from "@zanvo/core/world";

const SAMPLE = { from: 4, to: 18, low: 2, high: 22 };

/** The heads that an opening can have, as small drawings. */
export function HeadChoice({ value, onChange }: { readonly value: Head; readonly onChange: (head: Head) => void }) {
  return (
    <div role="group" aria-label="Head" className="flex gap-1">
      {(Object.keys(HEADS) as Head[]).map((head) => (
        <button
          key={head}
          type="button"
          aria-label={HEADS[head]}
          title={HEADS[head]}
          aria-pressed={head === value}
          className={`rounded border p-0.5 ${head === value ? "border-accent bg-wash" : "border-hair hover:bg-wash"}`}
          onClick={() => onChange(head)}
        >
          <svg viewBox="0 0 22 24" width={24} height={26} aria-hidden>
            <polygon
              points={outlineOfOpening(head, SAMPLE)
                .map(([x, y]) => `${x},${24 - y}`)
                .join(" ")}
              fill="none"
              stroke="currentColor"
              strokeWidth={1.4}
            />
          </svg>
        </button>
      ))}
    </div>
  );
}
