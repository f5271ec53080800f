import { crateAxes, type Crate } from "@zanvo/core/world";
import { EdgePoints } from "./EdgePoints";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";

const EDGES = ["Its length", "Its width", "Its height"] as const;

/** Measures of a leaning box, how it leans, and the points of its edges. */
function CrateFields({ element, change }: { readonly element: Crate; readonly change: Change }) {
  return (
    <>
      <Measures
        element={element}
        of={["length", "width", "height", "heading", "tilt", "roll", "middle/z", "middle/x", "middle/y"]}
        change={change}
      />
      <EdgePoints label="Points of its edges" ways={crateAxes(element).map((way, i) => [EDGES[i], way])} />
    </>
  );
}

export const crate: ElementView<Crate> = {
  kind: "crate",
  look: { fill: INK, order: 4 },
  // A block is raised, and then leant.
  tools: [],
  Fields: CrateFields,
};
