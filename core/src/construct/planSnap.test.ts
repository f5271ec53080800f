import { readFileSync } from "node:fs";
import { block } from "../../testing";
import { readScene } from "../document";
import { distance2, fromStretch, seededRandom, type Vec2 } from "../geometry";
import { DEFAULT_STREET, outlineOf, type Street } from "../world";
import { heldTo, movedOnPlan, placeOnPlan } from ".";

// A block at heading 0 runs its length north and its width east.
const house = block("house", 10, 20, 8, 6, 5);
const street: Street = {
  id: "s",
  kind: "street",
  name: "Bell lane",
  path: [
    { x: 0, y: 17 },
    { x: 60, y: 17 },
  ],
  ...DEFAULT_STREET,
  carriageway: 4,
  pavement: 1,
};

describe("a place on the plan", () => {
  it("is drawn to a corner, then a side, then a side drawn out, then a round measure", () => {
    expect(placeOnPlan([house], [16.3, 20.2], 0.5, 0.5)).toEqual({
      at: [16, 20],
      on: { name: "house", what: "corner" },
    });
    expect(placeOnPlan([house], [13.1, 19.8], 0.5, 0.5)).toMatchObject({
      at: [13.1, expect.closeTo(20, 9)],
      on: { name: "house", what: "side" },
    });
    expect(placeOnPlan([house], [21.23, 19.8], 0.5, 0.5)).toMatchObject({
      at: [21.23, expect.closeTo(20, 9)],
      on: { name: "house", what: "street line" },
    });
    expect(placeOnPlan([house], [31.23, 19.8], 0.5, 0.5)).toEqual({ at: [31, 20], on: null });
    expect(placeOnPlan([house], [21.23, 33.9], 0.5, 0.5)).toEqual({ at: [21, 34], on: null });
    expect(placeOnPlan([{ ...house, hidden: true }], [16.3, 20.2], 0.5, 0.5).on).toBeNull();
  });

  it("is drawn to the edge and the middle line of a street before the side of a house", () => {
    const close = block("close", 20, 20.2, 8, 6, 5);
    // The pavement's back is at 20, the house's side at 20.2, the place nearer to that.
    expect(placeOnPlan([close, street], [23, 20.15], 0.5, 0.5)).toMatchObject({
      at: [23, expect.closeTo(20, 9)],
      on: { name: "Bell lane", what: "edge" },
    });
    expect(placeOnPlan([street], [23, 17.2], 0.5, 0.5)).toMatchObject({
      at: [23, expect.closeTo(17, 9)],
      on: { name: "Bell lane", what: "middle line" },
    });
  });

  it("stays on the line that it was drawn to while that is held, and anywhere else", () => {
    const last = placeOnPlan([house], [13.1, 19.8], 0.5, 0.5);
    expect(heldTo(last, [40, 70])).toMatchObject({ at: [40, expect.closeTo(20, 9)], on: { what: "side" } });
    expect(heldTo({ at: [16, 20], on: { name: "house", what: "corner" } }, [40, 70])).toEqual({
      at: [40, 70],
      on: null,
    });
  });

  it("catches nothing beyond its reach, nor a side drawn out by more than 8 m, in a whole quarter", () => {
    const { elements } = readScene(readFileSync("demo/5-the-whole-quarter.zanvo.json", "utf8"));
    elements.forEach(Object.freeze);
    const roll = seededRandom(4);
    const reach = 0.9;
    let caught = 0;
    for (let i = 0; i < 400; i++) {
      const point: Vec2 = [roll(3000) / 10 - 150, roll(3000) / 10 - 50];
      const { at, on } = placeOnPlan(elements, point, reach, 0.5);
      if (!on) {
        expect([at[0] * 2, at[1] * 2].every((half) => Math.abs(half - Math.round(half)) < 1e-9)).toBe(true);
        continue;
      }
      caught++;
      expect(distance2(at, point)).toBeLessThan(reach);
      if (on.line) expect(fromStretch(at, ...on.line)).toBeLessThan(8 + 1e-9);
    }
    expect(caught).toBeGreaterThan(20);
  });

  it("is where a corner of a moved thing meets another's, or round measures on", () => {
    const other = block("other", 30, 20, 4, 4, 3);
    const { element, on } = movedOnPlan(other, [house], [-13.8, 0.2], 0.5, 0.5);
    expect(on).toEqual({ name: "house", what: "corner" });
    expect(outlineOf(element)[0]).toEqual([expect.closeTo(16, 9), expect.closeTo(20, 9)]);
    expect(outlineOf(movedOnPlan(other, [], [3.2, -0.9], 0.5, 0.5).element)[0]).toEqual([
      expect.closeTo(33, 9),
      expect.closeTo(19, 9),
    ]);
  });
});
