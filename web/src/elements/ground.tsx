import { Layers, TriangleRight } from "lucide-react";
import { headingAlong, type Vec2 } from "@zanvo/core/geometry";
import {
  build,
  centroid,
  contoursOf,
  cornersOf,
  DEFAULT_GROUND,
  requireValid,
  type Element,
  type Ground,
} from "@zanvo/core/world";
import { Check, Fold } from "../ui";
import { Measures, measuresOf } from "./Measures";
import { Parts } from "./Parts";
import { GROUND, points, type Change, type ElementView } from "./view";

/** What a slope, an embankment and contour lines are at first (common practice), m in a hundred and m. */
const GRADE = 8;
const BANK = 3;
const CONTOURS = 1;
/** On the plan there are about so many contour lines. */
const ON_PLAN = 10;

/** Measures of raised ground: its rim, and the places of known height within it. */
function GroundFields({ element: ground, change }: { readonly element: Ground; readonly change: Change }) {
  const set = (part: Partial<Ground>, what: string) => change(requireValid({ ...ground, ...part }), what);
  const { slope, bank, contours, spots = [], height } = ground;
  const fresh = () => {
    const [x, y] = centroid(cornersOf(ground));
    // Beside the ones that are there already.
    return { x: Number((x + 2 * spots.length).toFixed(2)), y: Number(y.toFixed(2)), z: height + 2 };
  };
  return (
    <>
      <Measures element={ground} of={["height"]} change={change} />
      <Check
        label="Slopes up"
        checked={slope !== undefined}
        onChange={(on) => set({ slope: on ? { heading: 0, grade: GRADE } : undefined }, "slope")}
      />
      {slope && <Measures element={ground} of={["slope/heading", "slope/grade"]} change={change} />}
      <Check
        label="Embankment in place of walls"
        checked={bank !== undefined}
        onChange={(on) => set({ bank: on ? BANK : undefined }, "bank")}
      />
      {bank !== undefined && <Measures element={ground} of={["bank"]} change={change} />}
      <Check
        label="Contour lines"
        checked={contours !== undefined}
        onChange={(on) => set({ contours: on ? CONTOURS : undefined }, "contours")}
      />
      {contours !== undefined && <Measures element={ground} of={["contours"]} change={change} />}
      <Fold title="Points of known height">
        <Parts
          name="Point"
          add="A point of known height"
          parts={spots}
          fields={["x", "y", "z"]}
          measure={measuresOf(ground, "spots")}
          fresh={fresh}
          onChange={(to, what) => set({ spots: to.length > 0 ? [...to] : undefined }, what)}
        />
      </Fold>
    </>
  );
}

type Marks = readonly (readonly [Vec2, Vec2])[];

/** The plan is drawn with every move of its camera: the lines of ground that does not change are worked out once. */
const known = new WeakMap<Ground, Marks>();

function contourMarks(ground: Ground): Marks {
  const marks = known.get(ground) ?? contoursOnPlan(ground);
  known.set(ground, marks);
  return marks;
}

/** Contour lines on the plan, about as many as can be read. */
function contoursOnPlan(ground: Ground): Marks {
  const solids = build([ground] satisfies Element[]);
  const top = Math.max(0, ...solids.flatMap(({ vertices }) => vertices.map(([, , z]) => z)));
  const every = 10 ** Math.ceil(Math.log10(top / ON_PLAN || 1));
  return contoursOf(solids, top / every < ON_PLAN / 2 ? every / 2 : every).map(({ a, b }) => [
    [a[0], a[1]],
    [b[0], b[1]],
  ]);
}

/** The heading of the longer of the two sides that a drawn area begins with, degrees. */
function headingOf([p, q, r]: readonly Vec2[]): number {
  const [along, on] = [
    [q[0] - p[0], q[1] - p[1]],
    [r[0] - q[0], r[1] - q[1]],
  ];
  const [x, y] = Math.hypot(...along) >= Math.hypot(...on) ? along : on;
  return Number(headingAlong([x, y]).toFixed(2));
}

export const ground: ElementView<Ground> = {
  kind: "ground",
  look: { fill: GROUND, order: 0 },
  tools: [
    {
      id: "ground",
      label: "Terrace or hill",
      icon: <Layers size={14} aria-hidden />,
      hint: "Press for each corner of ground that is raised; press the first again, or Enter, to close.",
      gesture: "area",
      draw: (places) => ({ kind: "ground", footprint: points(places), ...DEFAULT_GROUND }),
    },
    {
      id: "slope",
      label: "Slope",
      iconOnly: true,
      icon: <TriangleRight size={14} aria-hidden />,
      hint: "Draw from a corner at its foot to the opposite one at its top: it rises along its longer side.",
      gesture: "drawn",
      shape: "rectangle",
      draw: (places) => ({
        kind: "ground",
        footprint: points(places),
        height: 0,
        slope: { heading: headingOf(places), grade: GRADE },
      }),
    },
  ],
  Fields: GroundFields,
  marks: contourMarks,
};
