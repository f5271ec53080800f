import { areaTwice, outlineOf, type Building } from "../world";
import { block } from "../../testing";
import { pickOnPlan, planBounds, shapeOnPlan } from ".";

// A block at heading 0 runs its length north and its width east.
const house = block("house", 10, 20, 8, 6, 5);
const corners = outlineOf(house);

describe("the plan", () => {
  it("draws rectangles, Ls and Us along a heading, either way round, and circles about their middle", () => {
    const area = (points: readonly (readonly [number, number])[] | null) => Math.abs(areaTwice(points!)) / 2;
    for (const to of [
      [10, 5],
      [-10, 5],
      [10, -5],
      [-10, -5],
    ] as const) {
      expect(area(shapeOnPlan("rectangle", [0, 0], to, 0))).toBeCloseTo(50, 9);
      // Wings are 2 m wide, 0.4 of 5: 10 x 2 and 3 x 2.
      expect(area(shapeOnPlan("ell", [0, 0], to, 90))).toBeCloseTo(26, 9);
      expect(area(shapeOnPlan("horseshoe", [0, 0], to, 90))).toBeCloseTo(10 * 2 + 2 * 1.6 * 3, 9);
    }
    expect(area(shapeOnPlan("circle", [3, 3], [3, 8], 0))).toBeCloseTo(16 * 25 * Math.sin((2 * Math.PI) / 32), 9);
    expect(shapeOnPlan("rectangle", [0, 0], [4, 0.1], 0)).toBeNull();
  });

  it("takes up what stands within another's outline, and holds everything", () => {
    const inner: Building = {
      id: "inner",
      kind: "building",
      name: "inner",
      footprint: [
        { x: 12, y: 22 },
        { x: 14, y: 22 },
        { x: 13, y: 24 },
      ],
      base: 0,
      height: 3,
      roof: { kind: "flat" },
    };
    expect(pickOnPlan([house, inner], [13, 22.5])?.id).toBe("inner");
    expect(pickOnPlan([house, inner], [11, 27])?.id).toBe("house");
    expect(pickOnPlan([house], [9, 27])).toBeUndefined();
    const { x, y, width, height } = planBounds([house], [[-3, -40]]);
    for (const [px, py] of [...corners, [-3, -40]])
      expect(px >= x && px <= x + width && py >= y && py <= y + height).toBe(true);
  });
});
