import { Grid3x3 } from "lucide-react";
import { requireValid, DEFAULT_SQUARE, type Square } from "@zanvo/core/world";
import { Check, NumberField } from "../ui";
import { SIZE } from "./measures";
import { GROUND, points, type Change, type ElementView } from "./view";

/** Measures of a paved square. */
function SquareFields({ element: square, change }: { readonly element: Square; readonly change: Change }) {
  const set = (part: Partial<Square>, what: string) => change(requireValid({ ...square, ...part }), what);
  const { kerb, slabs, heading } = square;
  return (
    <>
      <NumberField
        label="Kerb"
        {...SIZE}
        min={0}
        max={100}
        step={0.01}
        value={kerb}
        onChange={(to) => set({ kerb: to }, "kerb")}
      />
      <Check
        label="Slab joints"
        checked={slabs !== undefined}
        onChange={(on) => set({ slabs: on ? DEFAULT_SQUARE.slabs : undefined }, "slabs")}
      />
      {slabs !== undefined && (
        <NumberField
          label="Joints every"
          {...SIZE}
          min={0.1}
          value={slabs}
          onChange={(to) => set({ slabs: to }, "slabs")}
        />
      )}
      {slabs !== undefined && (
        <NumberField
          label="Joints along the heading"
          unit="°"
          min={-360}
          max={360}
          value={heading}
          onChange={(to) => set({ heading: to }, "heading")}
        />
      )}
    </>
  );
}

export const square: ElementView<Square> = {
  kind: "square",
  look: { fill: GROUND, order: 2 },
  tools: [
    {
      id: "square",
      label: "Square",
      icon: <Grid3x3 size={14} aria-hidden />,
      hint: "Press for each corner; press the first again, or Enter, to close.",
      gesture: "area",
      draw: (places, heading) => ({ kind: "square", footprint: points(places), heading, ...DEFAULT_SQUARE }),
    },
  ],
  Fields: SquareFields,
};
