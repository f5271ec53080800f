import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { inMetric } from "../units";
import { build, boxOf, built, FURNITURE, kindOf, newFurniture, volumeOf, type FurnitureThing } from ".";

const THINGS = Object.keys(FURNITURE) as FurnitureThing[];
const thing = (of: FurnitureThing, heading = 0) => ({
  ...newFurniture(of, { x: 3, y: 4, z: 1 }, heading),
  id: of,
  name: FURNITURE[of].label,
});

describe("furniture", () => {
  it("is as high as people sit, eat and serve at", () => {
    // Common practice: a seat 0.45, a table 0.73, a counter 0.90 m.
    const levels = (of: FurnitureThing) =>
      build([thing(of)]).flatMap(({ vertices }) => vertices.map(([, , z]) => Number((z - 1).toFixed(6))));
    expect(levels("chair")).toContain(0.45);
    expect(levels("bench")).toContain(0.45);
    expect(Math.max(...levels("table"))).toBeCloseTo(0.73, 9);
    expect(Math.max(...levels("counter"))).toBeCloseTo(0.9, 9);
    const high = { ...thing("chair"), height: 0.7 };
    const [figure] = kindOf(high).figures!(high);
    expect(inMetric(figure.told)).toBe("Chair is 0.70 m high.");
    expect(figure.value > figure.limits[1]).toBe(true);
  });

  it("is closed boxes within its outline, whatever its size and heading, which do not run into each other", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...THINGS),
        between(-180, 180),
        between(0.2, 3),
        between(0.2, 3),
        between(0.05, 3),
        (of, heading, width, depth, height) => {
          const one = { ...thing(of, heading), width, depth, height };
          const { length, origin } = boxOf(one);
          expect([length, origin.z]).toEqual([depth, 1]);
          const solids = build([one]);
          for (const solid of solids) {
            expect(whyOpen(solid)).toBeNull();
            expect(volumeOf(solid)).toBeGreaterThan(0);
          }
          const whole = solids.reduce((sum, solid) => sum + volumeOf(solid), 0);
          expect(whole).toBeLessThan(width * depth * height * 2.1);
        },
      ),
      { numRuns: 100, seed: 2 },
    );
  });

  it("faces along its heading: a chair's back is behind, a picture's frame before it", () => {
    // Facing east, the back stands to the west of the middle of the seat.
    const solids = build([thing("chair", 90)]);
    const back = solids.reduce((high, one) => (one.vertices[4][2] > high.vertices[4][2] ? one : high));
    expect(Math.max(...back.vertices.map(([x]) => x))).toBeLessThan(3);
    const { details } = built([thing("picture", 90)]);
    expect(details).toHaveLength(4);
    expect(details.every(({ a }) => a[0] > 3)).toBe(true);
  });
});
