import { Plus, X } from "lucide-react";
import { DEFAULT_STREET, elementFault, type Element, type Street } from "@zanvo/core/world";
import { Button, Check, IconButton, NumberField } from "../../ui";

/** Measures of a street: its carriageway, pavements and kerb, and what is drawn on them. */
export function StreetFields({ street, change }: { readonly street: Street; readonly change: (next: Element, what: string) => void }) {
  const { carriageway, pavement, kerb, slabs, dashes, rails, crossings = [] } = street;
  const set = (part: Partial<Street>, what: string) => {
    const next = { ...street, ...part };
    const fault = elementFault(next);
    if (fault) throw new Error(`The ${fault.field} ${fault.message}`);
    change(next, what);
  };
  const size = { unit: "m", digits: 2, min: 0.1, max: 200, step: 0.1 } as const;
  return (
    <>
      <NumberField label="Carriageway" {...size} value={carriageway} onChange={(to) => set({ carriageway: to }, "carriageway")} />
      <NumberField label="Pavements" {...size} min={0} value={pavement} onChange={(to) => set({ pavement: to }, "pavement")} />
      <NumberField label="Kerb" {...size} min={0} max={2} step={0.01} value={kerb} onChange={(to) => set({ kerb: to }, "kerb")} />
      <Check label="Slab joints" checked={slabs !== undefined} onChange={(on) => set({ slabs: on ? DEFAULT_STREET.slabs : undefined }, "slabs")} />
      {slabs !== undefined && <NumberField label="Joints every" {...size} value={slabs} onChange={(to) => set({ slabs: to }, "slabs")} />}
      <Check label="Dashes on the middle line" checked={dashes !== undefined} onChange={(on) => set({ dashes: on ? DEFAULT_STREET.dashes : undefined }, "dashes")} />
      {dashes && <NumberField label="Dash" {...size} value={dashes.line} onChange={(line) => set({ dashes: { ...dashes, line } }, "dash")} />}
      {dashes && <NumberField label="Gap" {...size} value={dashes.gap} onChange={(gap) => set({ dashes: { ...dashes, gap } }, "gap")} />}
      <Check label="Tram rails" checked={rails ?? false} onChange={(on) => set({ rails: on || undefined }, "rails")} />
      {crossings.map((at, i) => (
        <div key={i} className="flex items-start gap-1">
          <div className="min-w-0 grow"><NumberField label={`Crossing ${i + 1} at`} {...size} min={0} max={1e5} value={at} onChange={(to) => set({ crossings: crossings.map((one, k) => (k === i ? to : one)) }, `crossing ${i}`)} /></div>
          <IconButton label={`Delete crossing ${i + 1}`} onClick={() => set({ crossings: crossings.filter((_, k) => k !== i) }, "crossings")}><X size={14} /></IconButton>
        </div>
      ))}
      <Button className="w-full" onClick={() => set({ crossings: [...crossings, (crossings.at(-1) ?? 0) + 10] }, "crossings")}><Plus size={14} aria-hidden />A crossing</Button>
    </>
  );
}
