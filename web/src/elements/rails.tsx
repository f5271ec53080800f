import { TrainTrack } from "lucide-react";
import { requireValid, type Rails } from "@zanvo/core/world";
import { BedChoice } from "./BedChoice";
import { CurveFields } from "./CurveFields";
import { Measures } from "./Measures";
import { GROUND, points, type Change, type ElementView } from "./view";

/** Measures of a track. */
function RailsFields({ element: rails, change }: { readonly element: Rails; readonly change: Change }) {
  return (
    <>
      <Measures element={rails} of={["gauge"]} change={change} />
      <CurveFields element={rails} change={change} />
      <BedChoice bed={rails.bed} onChange={(bed) => change(requireValid({ ...rails, bed }), "bed")} />
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
      draw: (places) => ({ kind: "rails", path: points(places), bed: "sleepers" }),
    },
  ],
  Fields: RailsFields,
};
