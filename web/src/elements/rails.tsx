import { TrainTrack } from "lucide-react";
import { branchOf, lengthOf, pathOf, requireValid, type Points, type Rails } from "@zanvo/core/world";
import { BedChoice } from "./BedChoice";
import { CurveFields } from "./CurveFields";
import { Check } from "../ui";
import { Measures, measuresOf } from "./Measures";
import { Parts } from "./Parts";
import { GROUND, points as placesOf, type Change, type ElementView } from "./view";

/** Measures of a track. */
function RailsFields({ element: rails, change }: { readonly element: Rails; readonly change: Change }) {
  const { points = [] } = rails;
  return (
    <>
      <Measures element={rails} of={["gauge"]} change={change} />
      <CurveFields element={rails} change={change} />
      <BedChoice bed={rails.bed} onChange={(bed) => change(requireValid({ ...rails, bed }), "bed")} />
      <Parts
        name="Points"
        add="Points, where another track leaves"
        parts={points}
        fields={["at", "radius", "long"]}
        measure={measuresOf(rails, "points")}
        fresh={(): Points => ({ at: lengthOf(pathOf(rails)) / 3, radius: 50, long: 20 })}
        more={({ left = false, back = false }, put) => (
          <>
            <Check label="To the left" checked={left} onChange={(on) => put({ left: on || undefined })} />
            <Check label="Backwards" checked={back} onChange={(on) => put({ back: on || undefined })} />
          </>
        )}
        onChange={(to, what) => change(requireValid({ ...rails, points: to.length > 0 ? [...to] : undefined }), what)}
      />
    </>
  );
}

export const rails: ElementView<Rails> = {
  kind: "rails",
  look: { fill: GROUND, order: 3 },
  tools: [
    {
      id: "rails",
      label: "Rails",
      icon: <TrainTrack size={14} aria-hidden />,
      hint: "Press for each bend of the track; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => ({ kind: "rails", path: placesOf(places), bed: "sleepers" }),
    },
  ],
  Fields: RailsFields,
  // The middle lines of the tracks that leave it.
  marks: (rails) =>
    (rails.points ?? []).flatMap((one) => {
      const branch = branchOf(rails, one);
      return branch.slice(1).map((q, i) => [branch[i], q] as const);
    }),
};
