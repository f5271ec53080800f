import { CircleDot, Route } from "lucide-react";
import { measureOf } from "@zanvo/core/fields";
import { distance2 } from "@zanvo/core/geometry";
import {
  centroid,
  DEFAULT_STREET,
  kindOf,
  lengthOf,
  pathOf,
  requireValid,
  roundabout,
  type RoadwayEnd,
  type Street,
} from "@zanvo/core/world";
import { Check, Choice, Fold, optionsOf, Select } from "../ui";
import { BedChoice } from "./BedChoice";
import { ClimbFields } from "./ClimbFields";
import { CurveFields } from "./CurveFields";
import { Measures, measuresOf } from "./Measures";
import { Parts } from "./Parts";
import { GROUND, OPAQUE_GROUND, points, type Change, type ElementView } from "./view";

const STOP_LINES = optionsOf({ none: "None", right: "Driving on the right", left: "Driving on the left" });

const ENDS = optionsOf<RoadwayEnd | "open">({
  open: "Open",
  pavement: "Pavement",
  "turning head": "Turning head",
  gate: "Gate",
  steps: "Steps up",
});

/** What a street has where it meets others, and how its ends are closed where it meets none. */
function JunctionFields({ street, change }: { readonly street: Street; readonly change: Change }) {
  const { junctions = {}, ends = {} } = street;
  const set = (part: Partial<Street>, what: string) => change(requireValid({ ...street, ...part }), what);
  return (
    <Fold title="Junctions and ends">
      <Measures element={street} of={["junctions/radius"]} change={change} />
      <Check
        label="Crossings at junctions"
        checked={junctions.crossings ?? false}
        onChange={(on) => set({ junctions: { ...junctions, crossings: on || undefined } }, "crossings at junctions")}
      />
      <Select
        label="Stop lines"
        labelled
        value={junctions.stopLines ?? "none"}
        options={STOP_LINES}
        onChange={(to) => set({ junctions: { ...junctions, stopLines: to === "none" ? undefined : to } }, "stop lines")}
      />
      {(["first", "last"] as const).map((end) => (
        <Select
          key={end}
          label={end === "first" ? "First end" : "Last end"}
          labelled
          value={ends[end] ?? "open"}
          options={ENDS}
          onChange={(to) => set({ ends: { ...ends, [end]: to === "open" ? undefined : to } }, `${end} end`)}
        />
      ))}
    </Fold>
  );
}

/** Measures of a street: its carriageway, pavements and kerb, and what is drawn on them. */
function StreetFields({ element: street, change }: { readonly element: Street; readonly change: Change }) {
  const { slabs, dashes, rails, bed, crossings = [], driveways = [] } = street;
  const set = (part: Partial<Street>, what: string) => change(requireValid({ ...street, ...part }), what);
  const middle = Number((lengthOf(pathOf(street)) / 2).toFixed(1));
  return (
    <>
      <Measures element={street} of={["carriageway", "pavement", "kerb"]} change={change} />
      <CurveFields element={street} change={change} />
      <Check
        label="Slab joints"
        checked={slabs !== undefined}
        onChange={(on) => set({ slabs: on ? DEFAULT_STREET.slabs : undefined }, "slabs")}
      />
      {slabs !== undefined && <Measures element={street} of={["slabs"]} change={change} />}
      <Check
        label="Dashes between lanes"
        checked={dashes !== undefined}
        onChange={(on) => set({ dashes: on ? DEFAULT_STREET.dashes : undefined }, "dashes")}
      />
      {dashes && <Measures element={street} of={["lanes", "dashes/line", "dashes/gap"]} change={change} />}
      <Check label="Tram rails" checked={rails ?? false} onChange={(on) => set({ rails: on || undefined }, "rails")} />
      {rails && <BedChoice bed={bed} onChange={(to) => set({ bed: to }, "bed")} />}
      <Parts
        name="Crossing"
        add="A crossing"
        parts={crossings.map((at) => ({ at }))}
        fields={["at"]}
        measure={() => measureOf(kindOf(street).schema, "crossings/*")}
        fresh={() => ({ at: (crossings.at(-1) ?? 0) + 10 })}
        onChange={(to, what) => set({ crossings: to.map(({ at }) => at) }, what)}
      />
      <Parts
        name="Driveway"
        add="A driveway"
        parts={driveways}
        fields={["at", "width"]}
        measure={measuresOf(street, "driveways")}
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
      <ClimbFields element={street} />
      <JunctionFields street={street} change={change} />
    </>
  );
}

export const street: ElementView<Street> = {
  kind: "street",
  look: { fill: GROUND, order: 2, joined: OPAQUE_GROUND },
  tools: [
    {
      id: "street",
      label: "Street",
      icon: <Route size={14} aria-hidden />,
      hint: "Press for each bend of its middle line; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => ({ kind: "street", path: points(places), ...DEFAULT_STREET }),
    },
    {
      id: "roundabout",
      label: "Roundabout",
      iconOnly: true,
      icon: <CircleDot size={14} aria-hidden />,
      hint: "Draw from its middle to the middle of its carriageway; let streets end there.",
      gesture: "drawn",
      shape: "circle",
      draw: (rim) => {
        const middle = centroid(rim);
        const radius = distance2(middle, rim[0]);
        return radius > DEFAULT_STREET.carriageway / 2 + DEFAULT_STREET.pavement
          ? roundabout(middle, radius)
          : "A roundabout leaves room for an island with its pavement: draw it larger.";
      },
    },
  ],
  Fields: StreetFields,
};
