import { Route } from "lucide-react";
import { requireValid, DEFAULT_STREET, lengthOf, pathOf, type Street } from "@zanvo/core/world";
import { Check, Choice, NumberField } from "../ui";
import { Parts } from "./Parts";
import { GROUND, points, type Change, type ElementView } from "./view";

/** Measures of a street: its carriageway, pavements and kerb, and what is drawn on them. */
function StreetFields({ element: street, change }: { readonly element: Street; readonly change: Change }) {
  const { carriageway, pavement, kerb, slabs, dashes, lanes = 2, rails, bed, crossings = [], driveways = [] } = street;
  const set = (part: Partial<Street>, what: string) => change(requireValid({ ...street, ...part }), what);
  const size = { unit: "m", digits: 2, min: 0.1, max: 200, step: 0.1 } as const;
  const far = { min: 0, max: 1e5 } as const;
  const middle = Number((lengthOf(pathOf(street)) / 2).toFixed(1));
  return (
    <>
      <NumberField
        label="Carriageway"
        {...size}
        value={carriageway}
        onChange={(to) => set({ carriageway: to }, "carriageway")}
      />
      <NumberField
        label="Pavements"
        {...size}
        min={0}
        value={pavement}
        onChange={(to) => set({ pavement: to }, "pavement")}
      />
      <NumberField
        label="Kerb"
        {...size}
        min={0}
        max={2}
        step={0.01}
        value={kerb}
        onChange={(to) => set({ kerb: to }, "kerb")}
      />
      <Check
        label="Slab joints"
        checked={slabs !== undefined}
        onChange={(on) => set({ slabs: on ? DEFAULT_STREET.slabs : undefined }, "slabs")}
      />
      {slabs !== undefined && (
        <NumberField label="Joints every" {...size} value={slabs} onChange={(to) => set({ slabs: to }, "slabs")} />
      )}
      <Check
        label="Dashes between lanes"
        checked={dashes !== undefined}
        onChange={(on) => set({ dashes: on ? DEFAULT_STREET.dashes : undefined }, "dashes")}
      />
      {dashes && (
        <NumberField
          label="Lanes"
          unit=""
          digits={0}
          min={1}
          max={20}
          step={1}
          value={lanes}
          onChange={(to) => set({ lanes: Math.round(to) }, "lanes")}
        />
      )}
      {dashes && (
        <NumberField
          label="Dash"
          {...size}
          value={dashes.line}
          onChange={(line) => set({ dashes: { ...dashes, line } }, "dash")}
        />
      )}
      {dashes && (
        <NumberField
          label="Gap"
          {...size}
          value={dashes.gap}
          onChange={(gap) => set({ dashes: { ...dashes, gap } }, "gap")}
        />
      )}
      <Check label="Tram rails" checked={rails ?? false} onChange={(on) => set({ rails: on || undefined }, "rails")} />
      {rails && (
        <Choice
          label="Rails lie"
          value={bed ?? "flush"}
          options={{ flush: "In the paving", sleepers: "On sleepers", plates: "In plates" }}
          onChange={(to) => set({ bed: to === "flush" ? undefined : to }, "bed")}
        />
      )}
      <Parts
        name="Crossing"
        add="A crossing"
        parts={crossings.map((at) => ({ at }))}
        fields={[{ key: "at", label: "Along the street", ...far }]}
        fresh={() => ({ at: (crossings.at(-1) ?? 0) + 10 })}
        onChange={(to, what) => set({ crossings: to.map(({ at }) => at) }, what)}
      />
      <Parts
        name="Driveway"
        add="A driveway"
        parts={driveways}
        fields={[
          { key: "at", label: "Along the street", ...far },
          { key: "width", label: "Width", min: 0.5 },
        ]}
        fresh={() => ({
          at: driveways.length ? driveways[driveways.length - 1].at + 8 : middle,
          width: 3,
          side: "right" as const,
        })}
        more={({ side }, put, name) => (
          <Choice
            label={`Side of ${name.toLowerCase()}`}
            value={side}
            options={{ left: "On the left", right: "On the right" }}
            onChange={(to) => put({ side: to })}
          />
        )}
        onChange={(to, what) => set({ driveways: [...to] }, what)}
      />
    </>
  );
}

export const street: ElementView<Street> = {
  kind: "street",
  look: { fill: GROUND, order: 2 },
  tools: [
    {
      id: "street",
      label: "Street",
      icon: <Route size={14} aria-hidden />,
      hint: "Press for each bend of its middle line; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => ({ kind: "street", path: points(places), ...DEFAULT_STREET }),
    },
  ],
  Fields: StreetFields,
};
