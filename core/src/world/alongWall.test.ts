import fc from "fast-check";
import type { Vec2 } from "../geometry";
import { alongWall, placeAtWall } from ".";

const LOFT: readonly Vec2[] = [
  [0, 0],
  [12, 0],
  [12, 8],
  [0, 8],
];

describe("a place by its wall", () => {
  it("counts from the wall's left corner as it is seen from outside, and in from it", () => {
    // Who looks north at the first wall has (0, 0) to the left; who looks west at the second, (12, 0).
    expect(alongWall(LOFT, { x: 3, y: 0 })).toEqual({ wall: 1, along: 3, inwards: 0 });
    expect(alongWall(LOFT, { x: 11, y: 5 })).toEqual({ wall: 2, along: 5, inwards: 1 });
    expect(placeAtWall(LOFT, { wall: 3, along: 2, inwards: 0.5 })).toEqual({ x: 10, y: 7.5 });
    // Beyond its end, at its end.
    expect(placeAtWall(LOFT, { wall: 4, along: 99, inwards: 0 })).toEqual({ x: 0, y: 0 });
    expect(placeAtWall(LOFT, { wall: 9, along: 1, inwards: 0 })).toEqual({ x: 0, y: 7 });
  });

  it("is the same place again", () => {
    const inside = fc.record({
      x: fc.double({ min: 0.01, max: 11.99, noNaN: true }),
      y: fc.double({ min: 0.01, max: 7.99, noNaN: true }),
    });
    fc.assert(
      fc.property(inside, (place) => {
        const { x, y } = placeAtWall(LOFT, alongWall(LOFT, place));
        expect(Math.hypot(x - place.x, y - place.y)).toBeLessThan(1e-9);
      }),
    );
  });
});
