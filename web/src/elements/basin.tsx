import { Droplets } from "lucide-react";
import { DEFAULT_BASIN, type Basin } from "@zanvo/core/world";
import { Measures } from "./Measures";
import { points, WATER, type Change, type ElementView } from "./view";

/** Measures of a basin. */
const BasinFields = ({ element, change }: { readonly element: Basin; readonly change: Change }) => (
  <Measures element={element} of={["quay", "depth", "coping"]} change={change} />
);

export const basin: ElementView<Basin> = {
  kind: "basin",
  look: { fill: WATER, fillOpacity: 0.25, order: 1 },
  tools: [
    {
      id: "basin",
      label: "Basin or pond",
      iconOnly: true,
      icon: <Droplets size={14} aria-hidden />,
      hint: "Press for each corner of its quay; press the first again, or Enter, to close.",
      gesture: "area",
      draw: (places) => ({ kind: "basin", footprint: points(places), ...DEFAULT_BASIN }),
    },
  ],
  Fields: BasinFields,
};
