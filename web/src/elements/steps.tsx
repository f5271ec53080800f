import { ChartNoAxesColumnIncreasing } from "lucide-react";
import { degrees } from "@zanvo/core/geometry";
import { boxOf, comfortable, DEFAULT_STEPS, nextFlight, requireValid, upBy, type Steps } from "@zanvo/core/world";
import type { Measure } from "@zanvo/core/fields";
import { metres, sentence } from "@zanvo/core/units";
import { addThings } from "../document/elements";
import { newId } from "../id";
import { Button, MeasureField } from "../ui";
import { Measures } from "./Measures";
import { StairFields } from "./StairFields";
import { INK, type Change, type ElementView } from "./view";
import { useStores, type Stores } from "../stores";

/** How high stairs lead in all: their risers follow. */
const HEIGHT: Measure = { label: "Height in all", unit: "m", min: 0.01, max: 1000, whole: false, fallback: undefined };

/** Measures of a flight of steps or a ramp, and where it stands. */
function StepsFields({ element: steps, change }: { readonly element: Steps; readonly change: Change }) {
  const stores = useStores();
  const measures = stores.useMeasures();
  const { length, height } = boxOf(steps);
  return (
    <>
      <p className="measure text-pencil">{measures(sentence`${metres(length)} long, ${metres(height)} up`)}</p>
      <StairFields element={steps} change={change} />
      <MeasureField
        measure={HEIGHT}
        value={height}
        onChange={(to) => change(requireValid(upBy(steps, to)), "height")}
      />
      <Measures
        element={steps}
        of={["count", "riser", "tread", "width", "heading", "foot/z", "foot/x", "foot/y"]}
        change={change}
      />
      {!steps.ramp && (
        <Button className="w-full" onClick={() => change(comfortable(steps), "tread")}>
          Treads to go with the risers
        </Button>
      )}
      {(steps.plan ?? "straight") === "straight" && <NextFlights steps={steps} />}
    </>
  );
}

/** Second flights, straight on or turned back. */
function NextFlights({ steps }: { readonly steps: Steps }) {
  const stores = useStores();
  return (
    <div className="flex gap-1">
      <Button className="grow" onClick={() => addFlight(stores, steps, "on")}>
        Second flight on
      </Button>
      <Button className="grow" onClick={() => addFlight(stores, steps, "back")}>
        Turned back
      </Button>
    </div>
  );
}

/** Puts a second flight on a landing at the head of one, and chooses it. */
function addFlight(stores: Stores, steps: Steps, way: "on" | "back"): void {
  const { landing, steps: next } = nextFlight(steps, way);
  const name = steps.name.slice(0, 180);
  addThings(stores, [
    { ...next, id: newId(), name: `${name}, second flight` },
    { ...landing, id: newId(), name: `${name}, landing` },
  ]);
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
