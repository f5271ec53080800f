import { ChartNoAxesColumnIncreasing } from "lucide-react";
import { degrees } from "@zanvo/core/geometry";
import { DEFAULT_STEPS, sizeOf, type Steps } from "@zanvo/core/world";
import { metres, sentence } from "@zanvo/core/units";
import { Check, NumberField } from "../ui";
import { useMeasures } from "../units";
import { INK, type Change, type ElementView } from "./view";

/** Measures of a flight of steps or a ramp, and where it stands. */
function StepsFields({ element: steps, change }: { readonly element: Steps; readonly change: Change }) {
  const measures = useMeasures();
  const { length, height } = sizeOf(steps);
  const size = { unit: "m", digits: 3, min: 0.01, max: 100, step: 0.01 } as const;
  const place = { unit: "m", digits: 2, min: -1e5, max: 1e5, step: 0.1 } as const;
  const stand = (axis: "x" | "y" | "z") => (to: number) =>
    change({ ...steps, foot: { ...steps.foot, [axis]: to } }, axis);
  return (
    <>
      <p className="measure text-pencil">{measures(sentence`${metres(length)} long, ${metres(height)} up`)}</p>
      <Check
        label="A ramp"
        checked={steps.ramp ?? false}
        onChange={(on) => change({ ...steps, ramp: on || undefined }, "ramp")}
      />
      <NumberField
        label="Risers"
        unit=""
        digits={0}
        min={1}
        max={500}
        step={1}
        value={steps.count}
        onChange={(to) => change({ ...steps, count: Math.round(to) }, "count")}
      />
      <NumberField
        label="Riser"
        {...size}
        value={steps.riser}
        onChange={(riser) => change({ ...steps, riser }, "riser")}
      />
      <NumberField
        label="Tread"
        {...size}
        value={steps.tread}
        onChange={(tread) => change({ ...steps, tread }, "tread")}
      />
      <NumberField
        label="Width"
        {...size}
        digits={2}
        value={steps.width}
        onChange={(width) => change({ ...steps, width }, "width")}
      />
      <NumberField
        label="Up along the heading"
        unit="°"
        min={-360}
        max={360}
        value={steps.heading}
        onChange={(heading) => change({ ...steps, heading }, "heading")}
      />
      <NumberField label="Foot over the ground" {...place} value={steps.foot.z} onChange={stand("z")} />
      <NumberField label="East of the origin" {...place} value={steps.foot.x} onChange={stand("x")} />
      <NumberField label="North of the origin" {...place} value={steps.foot.y} onChange={stand("y")} />
    </>
  );
}

/** No flight has more steps than these. */
const MAX_COUNT = 500;

export const steps: ElementView<Steps> = {
  kind: "steps",
  look: { fill: INK, order: 4 },
  tools: [
    {
      id: "steps",
      label: "Steps",
      icon: <ChartNoAxesColumnIncreasing size={14} aria-hidden />,
      hint: "Draw from the middle of the foot up to the head.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) => {
        const count = Math.round(Math.hypot(u - x, v - y) / DEFAULT_STEPS.tread);
        if (count < 1) return "The flight is too short: draw it from its foot to its head.";
        return {
          kind: "steps",
          foot: { x, y, z: 0 },
          heading: Number(degrees(Math.atan2(u - x, v - y)).toFixed(2)),
          count: Math.min(MAX_COUNT, count),
          ...DEFAULT_STEPS,
        };
      },
    },
  ],
  Fields: StepsFields,
};
