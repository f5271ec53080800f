import { RectangleHorizontal } from "lucide-react";
import { CANOPY, PLATFORM, PLATFORM_HEIGHTS, requireValid, type Platform } from "@zanvo/core/world";
import { shortMetres } from "@zanvo/core/units";
import { useSpoken, useStores } from "../stores";
import { Button, Check } from "../ui";
import { CurveFields } from "./CurveFields";
import { Measures } from "./Measures";
import { INK, points, type Change, type ElementView } from "./view";

/** Measures of a platform, the two heights that are usual, and its canopy. */
function PlatformFields({ element, change }: { readonly element: Platform; readonly change: Change }) {
  const spoken = useSpoken();
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const set = (part: Partial<Platform>, what: string) =>
    spoken(() => change(requireValid({ ...element, ...part }), what));
  return (
    <>
      <Measures element={element} of={["width", "height"]} change={change} />
      <div className="flex gap-1.5">
        {PLATFORM_HEIGHTS.map((height) => (
          <Button key={height} className="grow" onClick={() => set({ height }, "height")}>
            {measures(shortMetres(height, 2))}
          </Button>
        ))}
      </div>
      <CurveFields element={element} change={change} />
      <Check
        label="A canopy"
        checked={element.canopy !== undefined}
        onChange={(on) => set({ canopy: on ? CANOPY : undefined }, "canopy")}
      />
      {element.canopy && (
        <Measures element={element} of={["canopy/clear", "canopy/width", "canopy/every"]} change={change} />
      )}
    </>
  );
}

export const platform: ElementView<Platform> = {
  kind: "platform",
  look: { fill: INK, fillOpacity: 0.12, order: 4 },
  tools: [
    {
      id: "platform",
      label: "Platform",
      iconOnly: true,
      icon: <RectangleHorizontal size={14} aria-hidden />,
      hint: "Press for each bend of its middle line; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => ({ kind: "platform", path: points(places), ...PLATFORM }),
    },
  ],
  Fields: PlatformFields,
};
