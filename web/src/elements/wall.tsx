import { BrickWall } from "lucide-react";
import { BOUNDARIES, DEFAULT_WALLS, requireValid, type Boundary, type Wall } from "@zanvo/core/world";
import { Choice } from "../ui";
import { CurveFields } from "./CurveFields";
import { Measures, measuresOf } from "./Measures";
import { Parts } from "./Parts";
import { INK, points, type Change, type ElementView } from "./view";

const NAMES: Readonly<Record<Boundary, string>> = { wall: "Wall", hedge: "Hedge", fence: "Fence", railing: "Railing" };

/** Measures of a wall, a hedge, a fence or a railing, and its gates. */
function WallFields({ element: wall, change }: { readonly element: Wall; readonly change: Change }) {
  const { of = "wall", gates = [] } = wall;
  const barred = of === "fence" || of === "railing";
  const fresh = { at: gates.length ? gates[gates.length - 1].at + 4 : 2, width: 1.2 };
  return (
    <>
      <Choice
        label="It is a"
        value={of}
        options={Object.fromEntries(BOUNDARIES.map((one) => [one, NAMES[one]])) as Record<Boundary, string>}
        onChange={(to) =>
          // Its measures become those that are usual for what it is now.
          change(requireValid({ ...wall, bars: undefined, ...DEFAULT_WALLS[to], of: to }), "kind of wall")
        }
      />
      <Measures element={wall} of={["height", "thickness", ...(barred ? (["bars"] as const) : [])]} change={change} />
      <CurveFields element={wall} change={change} />
      <Parts
        name="Gate"
        add="A gate"
        parts={gates}
        fields={["at", "width"]}
        measure={measuresOf(wall, "gates")}
        fresh={() => fresh}
        onChange={(to, what) => change(requireValid({ ...wall, gates: to.length > 0 ? [...to] : undefined }), what)}
      />
    </>
  );
}

export const wall: ElementView<Wall> = {
  kind: "wall",
  look: { fill: INK, fillOpacity: 0.3, order: 4 },
  tools: [
    {
      id: "wall",
      label: "Wall or fence",
      icon: <BrickWall size={14} aria-hidden />,
      hint: "Press for each corner of it; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => ({ kind: "wall", path: points(places), ...DEFAULT_WALLS.wall }),
    },
  ],
  Fields: WallFields,
};
