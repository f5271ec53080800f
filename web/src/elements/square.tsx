import { Grid3x3 } from "lucide-react";
import { requireValid, DEFAULT_SQUARE, type Square } from "@zanvo/core/world";
import { Check } from "../ui";
import { Measures } from "./Measures";
import { GROUND, points, type Change, type ElementView } from "./view";

/** Measures of a paved square. */
function SquareFields({ element: square, change }: { readonly element: Square; readonly change: Change }) {
  const set = (part: Partial<Square>, what: string) => change(requireValid({ ...square, ...part }), what);
  const { slabs } = square;
  return (
    <>
      <Measures element={square} of={["kerb"]} change={change} />
      <Check
        label="Slab joints"
        checked={slabs !== undefined}
        onChange={(on) => set({ slabs: on ? DEFAULT_SQUARE.slabs : undefined }, "slabs")}
      />
      {slabs !== undefined && <Measures element={square} of={["slabs", "heading"]} change={change} />}
    </>
  );
}

export const square: ElementView<Square> = {
  kind: "square",
  look: { fill: GROUND, order: 2 },
  tools: [
    {
      id: "square",
      label: "Plaza",
      icon: <Grid3x3 size={14} aria-hidden />,
      hint: "Press for each corner; press the first again, or Enter, to close.",
      gesture: "area",
      draw: (places, heading) => ({ kind: "square", footprint: points(places), heading, ...DEFAULT_SQUARE }),
    },
  ],
  Fields: SquareFields,
};
