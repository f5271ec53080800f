import { LampWallDown } from "lucide-react";
import {
  newStreetFurniture,
  requireValid,
  STREET_THINGS,
  type StreetFurniture,
  type StreetThing,
} from "@zanvo/core/world";
import { useSpoken } from "../stores";
import { Select } from "../ui";
import { CurveFields } from "./CurveFields";
import { Measures } from "./Measures";
import { INK, points, type Change, type ElementView } from "./view";

const CHOICES = (Object.keys(STREET_THINGS) as StreetThing[]).map(
  (thing) => [thing, STREET_THINGS[thing].label] as const,
);

/** Wires hang through by so much where nothing is said, as a part of their span. */
const SAG = 1 / 50;

/** A thing that stands in a street, and how far apart several stand along a line. */
function StreetFurnitureFields({ element, change }: { readonly element: StreetFurniture; readonly change: Change }) {
  const spoken = useSpoken();
  const { id, name, thing, path, heading, every, wires = 0, sag = SAG * every } = element;
  const isRow = path.length > 1;
  const hasWires = "wires" in STREET_THINGS[thing];
  return (
    <>
      <Select
        labelled
        label="Is a"
        className="min-w-0 grow"
        value={thing}
        options={CHOICES}
        onChange={(to) =>
          spoken(() => change(requireValid({ ...newStreetFurniture(to, path, heading), id, name }), "thing"))
        }
      />
      <Measures element={element} of={["height"]} change={change} />
      {isRow ? (
        <>
          <Measures element={element} of={["every"]} change={change} />
          {hasWires && <Measures element={{ ...element, wires, sag }} of={["wires", "sag"]} change={change} />}
          <CurveFields element={element} change={change} />
        </>
      ) : (
        <Measures element={element} of={["heading"]} change={change} />
      )}
    </>
  );
}

export const streetFurniture: ElementView<StreetFurniture> = {
  kind: "street-furniture",
  look: { fill: INK, order: 6 },
  tools: [
    {
      id: "street-furniture",
      label: "Lamps and poles",
      icon: <LampWallDown size={14} aria-hidden />,
      hint: "Press for each bend of a row of lamps or poles; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => newStreetFurniture("lamp", points(places)),
    },
  ],
  Fields: StreetFurnitureFields,
};
