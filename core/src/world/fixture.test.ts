import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { dot } from "../geometry";
import { inMetric } from "../units";
import {
  build,
  built,
  fixtureSlopes,
  FIXTURES,
  kindOf,
  newFixture,
  volumeOf,
  type Fixture,
  type FixtureThing,
} from ".";

const THINGS = Object.keys(FIXTURES) as FixtureThing[];
const fixture = (thing: FixtureThing, change: Partial<Fixture> = {}): Fixture => ({
  ...newFixture(thing, { x: 4, y: 1, z: 3 }, 180),
  id: thing,
  name: FIXTURES[thing].label,
  ...change,
});

describe("what is fixed to buildings", () => {
  it("is closed solids before the wall, whatever its measures", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...THINGS),
        between(0, 360),
        between(0.05, 3),
        between(0.1, 3),
        between(0, 2),
        between(0.1, 4),
        between(0, 60),
        (thing, heading, width, out, drop, height, pitch) => {
          const one = fixture(thing, {
            heading,
            width,
            out,
            drop,
            height,
            ...(thing === "rooflight" || thing === "dormer" ? { pitch } : {}),
          });
          const solids = build([one]);
          for (const solid of solids) {
            expect(whyOpen(solid)).toBeNull();
            expect(volumeOf(solid)).toBeGreaterThan(0);
          }
          const hanging = kindOf(one).hangs?.(one);
          if (hanging)
            for (const p of solids.flatMap(({ vertices }) => vertices))
              expect(dot(hanging.normal, p) - dot(hanging.normal, hanging.at)).toBeGreaterThan(-1e-6);
        },
      ),
      { numRuns: 120, seed: 5 },
    );
  });

  it("stands in a slope as far back as that takes to reach its ridge, with a window in its front", () => {
    const dormer = fixture("dormer", { width: 1.4, height: 1.4, drop: 0.6, pitch: 45 });
    const { solids, details } = built([dormer]);
    // At 45 degrees 2 m of height are 2 m of depth; it faces south, its front at y = 1.
    const ys = solids[0].vertices.map(([, y]) => y);
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([expect.closeTo(1, 9), expect.closeTo(3, 9)]);
    expect(volumeOf(solids[0])).toBeCloseTo((1.4 * 1.4 + (1.4 * 0.6) / 2) * 2, 9);
    for (const { a, b } of details) for (const p of [a, b]) expect(p[1]).toBeCloseTo(1, 9);
    expect(details.filter(({ kind }) => kind === "window")).toHaveLength(4);
    // Down the slope it falls as steeply as that rises.
    const [[, way]] = fixtureSlopes(dormer);
    expect(way[2]).toBeCloseTo(-Math.SQRT1_2, 9);
  });

  it("falls, rises and lies on slopes as it is said to, and its ways are listed", () => {
    const [canopy] = build([fixture("canopy")]);
    // It falls by 0.15 m over 1.2 m, and its lower edge is where it was put.
    expect(Math.min(...canopy.vertices.map(([, , z]) => z))).toBeCloseTo(3, 9);
    expect(volumeOf(canopy)).toBeCloseTo(2 * 1.2 * 0.12, 9);
    const [[what, way]] = fixtureSlopes(fixture("canopy"));
    expect([what, way[2] / Math.hypot(way[0], way[1])]).toEqual(["Its fall", expect.closeTo(-0.125, 9)]);
    expect(fixtureSlopes(fixture("flag"))[0][1][2]).toBeGreaterThan(0);
    expect(fixtureSlopes(fixture("lantern"))).toEqual([]);
    // A roof light on a slope of 30 degrees: its far edge is half of its length higher.
    const light = fixture("rooflight", { pitch: 30 });
    const [solid] = build([light]);
    const [low, high] = [Math.min, Math.max].map((pick) => pick(...solid.vertices.map(([, , z]) => z)));
    expect(high - low).toBeCloseTo(1.2 * 0.5 + 0.08 * Math.cos(Math.PI / 6), 9);
    const { details } = built([light]);
    const { normal, offset } = solid.faces[details[0].on!.face];
    for (const { a } of details) expect(dot(normal, a)).toBeCloseTo(offset, 9);
  });

  it("tells of what hangs lower over a pavement than is usual", () => {
    const told = (one: Fixture) => kindOf(one).oddities!(one).map(({ told: of }) => inMetric(of));
    const at = (z: number) => ({ at: { x: 0, y: 0, z } });
    expect(told(fixture("canopy", at(2)))).toEqual(["Canopy leaves 2.00 m clear: over a pavement 2.20 m are usual."]);
    expect(told(fixture("canopy", at(2.2)))).toEqual([]);
    expect(told(fixture("drainpipe", at(0)))).toEqual([]);
    expect(told(fixture("flag", at(2.5)))).toHaveLength(1);
  });
});
