import fc from "fast-check";
import { between } from "../../testing";
import type { Vec2 } from "../geometry";
import { linesTo } from ".";

const size = { width: 1200, height: 800 };
/** How far a place is from the line through two others, px. */
const off = ([px, py]: Vec2, [[ax, ay], [bx, by]]: readonly [Vec2, Vec2]) =>
  Math.abs((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / Math.hypot(bx - ax, by - ay);

describe("lines to a vanishing point over a picture", () => {
  it("all run through it, within the picture, wherever it lies", () => {
    fc.assert(
      fc.property(between(-5000, 5000), between(-5000, 5000), fc.constantFrom(1, -2), (x, y, w) => {
        const lines = linesTo([x * w, y * w, w], size);
        expect(lines.length).toBeGreaterThan(8);
        for (const line of lines) {
          expect(off([x, y], line)).toBeLessThan(1e-6 * (1 + Math.hypot(x, y)));
          for (const [px, py] of line)
            expect(px > -1e-6 && px < size.width + 1e-6 && py > -1e-6 && py < size.height + 1e-6).toBe(true);
        }
      }),
    );
  });

  it("are parallel where the point is nowhere, and cover the picture from side to side", () => {
    const lines = linesTo([0, 1, 0], size);
    expect(lines.every(([[ax], [bx]]) => Math.abs(ax - bx) < 1e-9)).toBe(true);
    const places = lines.map(([[x]]) => x).sort((a, b) => a - b);
    expect([places[0] < 100, places[places.length - 1] > 1100]).toEqual([true, true]);
  });
});
