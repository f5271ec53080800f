import { FIXTURES, fixtureSlopes, newFixture, type Fixture, type FixtureThing } from "@zanvo/core/world";
import { Select } from "../ui";
import { EdgePoints } from "./EdgePoints";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";

const THINGS = (Object.keys(FIXTURES) as FixtureThing[]).map((thing) => [thing, FIXTURES[thing].label] as const);

/** What is fixed to a building, its measures, where it is, and the points of what slopes of it. */
function FixtureFields({ element, change }: { readonly element: Fixture; readonly change: Change }) {
  const { id, name, at, heading, pitch } = element;
  const slopes = fixtureSlopes(element);
  return (
    <>
      <Select
        labelled
        label="Is a"
        className="min-w-0 grow"
        value={element.thing}
        options={THINGS}
        onChange={(thing) => change({ ...newFixture(thing, at, heading), id, name }, "thing")}
      />
      <Measures element={element} of={["width", "out", "drop", "height"]} change={change} />
      {pitch !== undefined && <Measures element={element} of={["pitch"]} change={change} />}
      {slopes.length > 0 && <EdgePoints label="Points of its slopes" ways={slopes} />}
      <Measures element={element} of={["heading", "at/z", "at/x", "at/y"]} change={change} />
    </>
  );
}

export const fixture: ElementView<Fixture> = {
  kind: "fixture",
  look: { fill: INK, order: 6 },
  // It is fixed where the picture is pressed, among fittings.
  tools: [],
  Fields: FixtureFields,
};
