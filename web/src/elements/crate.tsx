import { crateAxes, type Crate } from "@zanvo/core/world";
import { viewOf } from "@zanvo/core/shot";
import { fromEdge, vanishingPoint } from "@zanvo/core/vanishing";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";
import { useStores } from "../stores";

const EDGES = ["Its length", "Its width", "Its height"] as const;

/** Where the edges of a leaning box run in the shot that is drawn: three points of its own. */
function Points({ crate }: { readonly crate: Crate }) {
  const { useShot, useMeasures } = useStores();
  const shot = useShot();
  const measures = useMeasures();
  const view = viewOf(shot);
  return (
    <dl aria-label="Points of its edges">
      {crateAxes(crate).map((way, i) => {
        const { at } = vanishingPoint(view, way);
        return (
          <div key={EDGES[i]} className="py-0.5">
            <dt className="text-pencil">{EDGES[i]} runs to</dt>
            <dd className="measure">{at ? measures(fromEdge(shot.sheet, ...at)) : "no point: drawn parallel"}</dd>
          </div>
        );
      })}
    </dl>
  );
}

/** Measures of a leaning box, how it leans, and the points of its edges. */
function CrateFields({ element, change }: { readonly element: Crate; readonly change: Change }) {
  return (
    <>
      <Measures
        element={element}
        of={["length", "width", "height", "heading", "tilt", "roll", "middle/z", "middle/x", "middle/y"]}
        change={change}
      />
      <Points crate={element} />
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
