import { drawnIn } from "./farPlace";

const size = { width: 1000, height: 600 };
/** How far a place is from the middle of the picture, in picture widths. */
const off = ([x, y]: readonly [number, number]) => Math.hypot(x - 500, y - 300) / 1000;

it("a point near the picture is drawn where it is; a far one in its direction, so far as its distance doubles", () => {
  expect(drawnIn([1400, 300], size)).toEqual([1400, 300]);
  const drawn = [3, 6, 12, 38].map((far) => drawnIn([500 + 800 * far, 300 - 600 * far], size));
  // Always the same way: 600 up for 800 to the right.
  for (const [x, y] of drawn) expect((300 - y) / (x - 500)).toBeCloseTo(0.75, 9);
  const widths = drawn.map(off);
  expect([...widths].sort((a, b) => a - b)).toEqual(widths);
  // 1.5 widths, and half as much again for each doubling of 3, 6 and 12.
  expect(widths.slice(0, 3)).toEqual([2.25, 3, 3.75].map((one) => expect.closeTo(one, 9)));
  // The farthest that is drawn at all leaves a sixth of the map to the picture.
  expect(1 / (widths[3] + 0.5)).toBeGreaterThan(1 / 6);
});
