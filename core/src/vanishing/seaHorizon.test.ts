import fc from "fast-check";
import { between } from "../../testing";
import { dipOf, EARTH, hiddenBeyond, horizonDistance } from ".";

describe("the horizon of the sea", () => {
  it("is 3.57 km times the root of the eye's height in m away (handbook of the trade)", () => {
    for (const height of [1.6, 10, 40, 100])
      expect(horizonDistance(height) / (3570 * Math.sqrt(height))).toBeCloseTo(1, 3);
  });

  it("is where a line of sight touches the sphere", () => {
    fc.assert(
      fc.property(between(0.5, 3000), (height) => {
        const dip = dipOf(height);
        // From the eye along the dip: the nearest place of that line to the earth's middle is a radius off.
        expect((EARTH + height) * Math.cos(dip)).toBeCloseTo(EARTH, 3);
        expect(dip * EARTH).toBeCloseTo(horizonDistance(height), 6);
      }),
    );
  });

  it("hides what is lower than the line of sight that touches it, and nothing on this side of it", () => {
    fc.assert(
      fc.property(between(1, 200), between(0, 60_000), (height, distance) => {
        const hidden = hiddenBeyond(height, distance);
        if (distance <= horizonDistance(height)) return expect(hidden).toBe(0);
        // Both the eye and the top of what is hidden see the same horizon: their distances to it add up.
        expect(horizonDistance(height) + horizonDistance(hidden)).toBeCloseTo(distance, 2);
      }),
    );
    // A mast head of 20 m, 25 km off, from a quay at 4 m: 25 - 7.14 km are beyond, (17.86 / 3.57)^2 = 25 m.
    expect(hiddenBeyond(4, 25_000)).toBeCloseTo(25, 0);
  });
});
