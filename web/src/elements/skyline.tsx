import { Dices, Mountain } from "lucide-react";
import { requireValid, DEFAULT_RIDGES, DEFAULT_SKYLINE, type Skyline } from "@zanvo/core/world";
import { newSeed } from "../seed";
import { Button, Choice, NumberField } from "../ui";
import { SIZE } from "./measures";
import { points, type Change, type ElementView } from "./view";

/** Measures of a skyline: rows of blocks, or ridges of hills. */
function SkylineFields({ element: skyline, change }: { readonly element: Skyline; readonly change: Change }) {
  const set = (part: Partial<Skyline>, what: string) => change(requireValid({ ...skyline, ...part }), what);
  const { of, rows, behind, widths, heights } = skyline;
  return (
    <>
      <Choice
        label="What closes the view"
        value={of}
        options={{ blocks: "Blocks", ridges: "Ridges" }}
        onChange={(to) =>
          set(
            to === "ridges"
              ? { of: to, ...DEFAULT_RIDGES }
              : {
                  of: to,
                  behind: DEFAULT_SKYLINE.behind,
                  widths: DEFAULT_SKYLINE.widths,
                  heights: DEFAULT_SKYLINE.heights,
                },
            "of",
          )
        }
      />
      <Button className="w-full" onClick={() => set({ seed: newSeed() }, "seed")}>
        <Dices size={14} aria-hidden />
        Roll it again
      </Button>
      <NumberField
        label="Seed"
        unit=""
        digits={0}
        min={0}
        max={4294967295}
        step={1}
        value={skyline.seed}
        onChange={(to) => set({ seed: Math.round(to) }, "seed typed")}
      />
      <NumberField
        label="Rows"
        unit=""
        digits={0}
        min={1}
        max={12}
        step={1}
        value={rows}
        onChange={(to) => set({ rows: Math.round(to) }, "rows")}
      />
      <NumberField label="From row to row" {...SIZE} value={behind} onChange={(to) => set({ behind: to }, "behind")} />
      <NumberField
        label="Widths from"
        {...SIZE}
        value={widths.least}
        onChange={(least) => set({ widths: { ...widths, least } }, "widths least")}
      />
      <NumberField
        label="Widths to"
        {...SIZE}
        value={widths.most}
        onChange={(most) => set({ widths: { ...widths, most } }, "widths most")}
      />
      <NumberField
        label="Heights from"
        {...SIZE}
        value={heights.least}
        onChange={(least) => set({ heights: { ...heights, least } }, "heights least")}
      />
      <NumberField
        label="Heights to"
        {...SIZE}
        value={heights.most}
        onChange={(most) => set({ heights: { ...heights, most } }, "heights most")}
      />
    </>
  );
}

export const skyline: ElementView<Skyline> = {
  kind: "skyline",
  look: { fill: "#9a937f", order: 1 },
  tools: [
    {
      id: "skyline",
      label: "Skyline",
      icon: <Mountain size={14} aria-hidden />,
      hint:
        "Press for each bend of a line far away, its rows to the right of your way; press the last again, or " +
        "Enter, to end it.",
      gesture: "path",
      draw: (places) => ({ kind: "skyline", path: points(places), ...DEFAULT_SKYLINE, seed: newSeed() }),
    },
  ],
  far: true,
  Fields: SkylineFields,
};
