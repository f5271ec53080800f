import { Armchair } from "lucide-react";
import { degrees } from "@zanvo/core/geometry";
import { FURNITURE, newFurniture, type Furniture, type FurnitureThing } from "@zanvo/core/world";
import { Select } from "../ui";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";

const THINGS = (Object.keys(FURNITURE) as FurnitureThing[]).map((thing) => [thing, FURNITURE[thing].label] as const);

/** What a thing is, its measures, and where it stands. */
function FurnitureFields({ element, change }: { readonly element: Furniture; readonly change: Change }) {
  const { id, name, at, heading } = element;
  return (
    <>
      <Select
        labelled
        label="Is a"
        className="min-w-0 grow"
        value={element.thing}
        options={THINGS}
        onChange={(thing) => change({ ...newFurniture(thing, at, heading), id, name }, "thing")}
      />
      <Measures
        element={element}
        of={["width", "depth", "height", "heading", "at/z", "at/x", "at/y"]}
        change={change}
      />
    </>
  );
}

export const furniture: ElementView<Furniture> = {
  kind: "furniture",
  look: { fill: INK, order: 5 },
  tools: [
    {
      id: "furniture",
      label: "Furniture",
      icon: <Armchair size={14} aria-hidden />,
      hint: "Press where it stands, and draw the way it faces.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) =>
        newFurniture("chair", { x, y, z: 0 }, Number(degrees(Math.atan2(u - x, v - y)).toFixed(2))),
    },
  ],
  Fields: FurnitureFields,
};
