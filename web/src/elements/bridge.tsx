import { Spline } from "lucide-react";
import { requireValid, DEFAULT_BRIDGE, type Bridge } from "@zanvo/core/world";
import { Check } from "../ui";
import { Measures } from "./Measures";
import { points, type Change, type ElementView } from "./view";

/** Measures of a bridge. */
function BridgeFields({ element: bridge, change }: { readonly element: Bridge; readonly change: Change }) {
  const set = (part: Partial<Bridge>, what: string) => change(requireValid({ ...bridge, ...part }), what);
  const { parapet } = bridge;
  return (
    <>
      <Measures element={bridge} of={["width", "level", "thickness", "arch"]} change={change} />
      <Check
        label="Parapets"
        checked={parapet !== undefined}
        onChange={(on) => set({ parapet: on ? DEFAULT_BRIDGE.parapet : undefined }, "parapet")}
      />
      {parapet && <Measures element={bridge} of={["parapet/height", "parapet/thickness"]} change={change} />}
    </>
  );
}

export const bridge: ElementView<Bridge> = {
  kind: "bridge",
  look: { fill: "#5d584b", order: 3 },
  tools: [
    {
      id: "bridge",
      label: "Bridge",
      icon: <Spline size={14} aria-hidden />,
      hint: "Draw from one end of its deck to the other.",
      gesture: "drawn",
      draw: (places) => ({ kind: "bridge", path: points(places), ...DEFAULT_BRIDGE }),
    },
  ],
  Fields: BridgeFields,
};
