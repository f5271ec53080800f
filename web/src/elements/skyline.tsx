import { Dices, Mountain } from "lucide-react";
import { requireValid, DEFAULT_RIDGES, DEFAULT_SKYLINE, type Skyline } from "@zanvo/core/world";
import { newSeed } from "../seed";
import { Button, Choice } from "../ui";
import { Measures } from "./Measures";
import { points, type Change, type ElementView } from "./view";

/** Measures of a skyline: rows of blocks, or ridges of hills. */
function SkylineFields({ element: skyline, change }: { readonly element: Skyline; readonly change: Change }) {
  const set = (part: Partial<Skyline>, what: string) => change(requireValid({ ...skyline, ...part }), what);
  const { of } = skyline;
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
      <Measures
        element={skyline}
        of={["seed", "rows", "behind", "widths/least", "widths/most", "heights/least", "heights/most"]}
        change={change}
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
