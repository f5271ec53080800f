import { Grid3x3, Trees } from "lucide-react";
import { DEFAULT_LAWN, DEFAULT_SQUARE, LAID, requireValid, type Square } from "@zanvo/core/world";
import { useSpoken } from "../stores";
import { Check, Choice, optionsOf, Select } from "../ui";
import { Measures } from "./Measures";
import { GROUND, points, type Change, type ElementView } from "./view";

/** Measures of a plaza or a park. */
function SquareFields({ element: square, change }: { readonly element: Square; readonly change: Change }) {
  const set = (part: Partial<Square>, what: string) => change(requireValid({ ...square, ...part }), what);
  const { slabs } = square;
  const spoken = useSpoken();
  return (
    <>
      <Measures element={square} of={["kerb"]} change={change} />
      <Choice
        label="Surface"
        value={square.surface ?? "paving"}
        options={{ paving: "Paving", lawn: "Lawn" }}
        onChange={(to) =>
          set(to === "lawn" ? { surface: to, slabs: undefined, laid: undefined } : { surface: undefined }, "surface")
        }
      />
      {square.surface !== "lawn" && (
        <Check
          label="Slab joints"
          checked={slabs !== undefined}
          onChange={(on) => set({ slabs: on ? DEFAULT_SQUARE.slabs : undefined }, "slabs")}
        />
      )}
      {slabs !== undefined && (
        <>
          <Select
            labelled
            label="Slabs are"
            className="min-w-0 grow"
            value={square.laid ?? "square"}
            options={optionsOf(LAID)}
            onChange={(laid) => spoken(() => set({ laid: laid === "square" ? undefined : laid }, "laid"))}
          />
          <Measures element={square} of={["slabs", "heading"]} change={change} />
        </>
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
      label: "Plaza",
      icon: <Grid3x3 size={14} aria-hidden />,
      hint: "Press for each corner; press the first again, or Enter, to close.",
      gesture: "area",
      draw: (places, heading) => ({ kind: "square", footprint: points(places), heading, ...DEFAULT_SQUARE }),
    },
    {
      id: "park",
      label: "Park",
      iconOnly: true,
      icon: <Trees size={14} aria-hidden />,
      hint: "Press for each corner of its lawn; press the first again, or Enter, to close.",
      gesture: "area",
      draw: (places, heading) => ({ kind: "square", footprint: points(places), heading, ...DEFAULT_LAWN }),
    },
  ],
  Fields: SquareFields,
};
