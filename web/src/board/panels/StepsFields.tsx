import { sizeOf, type Element, type Steps } from "@zanvo/core/world";
import { Check, NumberField } from "../../ui";
import { useMeasures } from "../../units";

/** Measures of a flight of steps or a ramp, and where it stands. */
export function StepsFields({
  steps,
  change,
}: {
  readonly steps: Steps;
  readonly change: (next: Element, what: string) => void;
}) {
  const measures = useMeasures();
  const { length, height } = sizeOf(steps);
  const size = { unit: "m", digits: 3, min: 0.01, max: 100, step: 0.01 } as const;
  const place = { unit: "m", digits: 2, min: -1e5, max: 1e5, step: 0.1 } as const;
  const stand = (axis: "x" | "y" | "z") => (to: number) =>
    change({ ...steps, foot: { ...steps.foot, [axis]: to } }, axis);
  return (
    <>
      <p className="measure text-pencil">{measures(`${length.toFixed(2)} m long, ${height.toFixed(2)} m up`)}</p>
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
