import { Sailboat } from "lucide-react";
import { headingAlong } from "@zanvo/core/geometry";
import { BOATS, newBoat, type Boat, type BoatThing } from "@zanvo/core/world";
import { Select } from "../ui";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";

const CHOICES = (Object.keys(BOATS) as BoatThing[]).map((thing) => [thing, BOATS[thing].label] as const);

/** What a boat is, its measures, and where it lies. */
function BoatFields({ element, change }: { readonly element: Boat; readonly change: Change }) {
  const { id, name, at, heading } = element;
  return (
    <>
      <Select
        labelled
        label="Is a"
        className="min-w-0 grow"
        value={element.thing}
        options={CHOICES}
        onChange={(thing) => change({ ...newBoat(thing, at, heading), id, name }, "thing")}
      />
      <Measures
        element={element}
        of={["length", "width", "side", "draught", "heading", "at/z", "at/x", "at/y"]}
        change={change}
      />
    </>
  );
}

export const boat: ElementView<Boat> = {
  kind: "boat",
  look: { fill: INK, fillOpacity: 0.2, order: 6 },
  tools: [
    {
      id: "boat",
      label: "Boat",
      icon: <Sailboat size={14} aria-hidden />,
      hint: "Draw from its stern to its stem.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) => {
        const long = Math.hypot(u - x, v - y);
        const thing =
          long < 5 ? "dinghy" : long < 10 ? "sailing" : long < 18 ? "fishing" : long < 32 ? "barge" : "ferry";
        const heading = Number(headingAlong([u - x, v - y]).toFixed(2));
        return newBoat(thing, { x: (x + u) / 2, y: (y + v) / 2, z: 0 }, heading);
      },
    },
  ],
  Fields: BoatFields,
};
