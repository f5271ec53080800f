import { Spline } from "lucide-react";
import { requireValid, DEFAULT_BRIDGE, type Bridge } from "@zanvo/core/world";
import { Check, NumberField } from "../ui";
import { SIZE } from "./measures";
import { points, type Change, type ElementView } from "./view";

/** Measures of a bridge. */
function BridgeFields({ element: bridge, change }: { readonly element: Bridge; readonly change: Change }) {
  const set = (part: Partial<Bridge>, what: string) => change(requireValid({ ...bridge, ...part }), what);
  const { width, level, thickness, arch, parapet } = bridge;
  return (
    <>
      <NumberField label="Width" {...SIZE} value={width} onChange={(to) => set({ width: to }, "width")} />
      <NumberField
        label="Deck over the ground"
        {...SIZE}
        min={-1000}
        value={level}
        onChange={(to) => set({ level: to }, "level")}
      />
      <NumberField
        label="Thickness of the deck"
        {...SIZE}
        value={thickness}
        onChange={(to) => set({ thickness: to }, "thickness")}
      />
      <NumberField
        label="Rise of its arch"
        {...SIZE}
        min={0}
        max={100}
        value={arch}
        onChange={(to) => set({ arch: to }, "arch")}
      />
      <Check
        label="Parapets"
        checked={parapet !== undefined}
        onChange={(on) => set({ parapet: on ? DEFAULT_BRIDGE.parapet : undefined }, "parapet")}
      />
      {parapet && (
        <NumberField
          label="Height of the parapets"
          {...SIZE}
          max={50}
          value={parapet.height}
          onChange={(height) => set({ parapet: { ...parapet, height } }, "parapet height")}
        />
      )}
      {parapet && (
        <NumberField
          label="Thickness of the parapets"
          {...SIZE}
          max={50}
          value={parapet.thickness}
          onChange={(thickness) => set({ parapet: { ...parapet, thickness } }, "parapet thickness")}
        />
      )}
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
