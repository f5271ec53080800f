import { Cylinder } from "lucide-react";
import { newTurned, requireValid, TURNED, type TurnedForm, type TurnedThing } from "@zanvo/core/world";
import { useSpoken } from "../stores";
import { Select } from "../ui";
import { HalfOutline } from "./HalfOutline";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";

const FORMS = (Object.keys(TURNED) as TurnedForm[]).map((form) => [form, TURNED[form].label] as const);

/** Which sizes each form is made by, besides its radius; one's own has its outline. */
const SIZES: Partial<Record<TurnedForm, readonly ("height" | "top" | "ribs" | "lantern")[]>> = {
  ball: [],
  own: [],
  dome: ["height", "ribs", "lantern"],
  frustum: ["height", "top"],
  chimney: ["height", "top"],
  lighthouse: ["height", "top"],
};

/** What is turned, its sizes, and how far it is turned. */
function TurnedFields({ element, change }: { readonly element: TurnedThing; readonly change: Change }) {
  const { id, name, form, at, heading } = element;
  const spoken = useSpoken();
  return (
    <>
      <Select
        labelled
        label="Is a"
        className="min-w-0 grow"
        value={form}
        options={FORMS}
        onChange={(to) => spoken(() => change(requireValid({ ...newTurned(to, at, heading), id, name }), "form"))}
      />
      {form === "own" ? (
        <HalfOutline element={element} change={change} />
      ) : (
        <Measures element={element} of={["radius", ...(SIZES[form] ?? (["height"] as const))]} change={change} />
      )}
      <Measures
        element={{ ...element, sweep: element.sweep ?? 360 }}
        of={["sweep", "heading", "at/z", "at/x", "at/y"]}
        change={change}
      />
    </>
  );
}

export const turned: ElementView<TurnedThing> = {
  kind: "turned",
  look: { fill: INK, order: 4 },
  tools: [
    {
      id: "turned",
      label: "Round thing",
      icon: <Cylinder size={14} aria-hidden />,
      hint: "Press its middle, and draw its radius; then say what it is.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) => {
        const radius = Number(Math.hypot(u - x, v - y).toFixed(3));
        return { ...newTurned("cylinder", { x, y, z: 0 }), radius, height: 2 * radius };
      },
    },
  ],
  Fields: TurnedFields,
};
