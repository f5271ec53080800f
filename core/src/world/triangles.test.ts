import fc from "fast-check";
import { anyStar } from "../../testing";
import { areaTwice, isConvex } from "./polygon";
import { convexParts, trianglesOf } from "./triangles";

it("an area falls into convex parts of its whole size, no more than triangles, and one where it is convex", () => {
  fc.assert(
    fc.property(anyStar(14), (star) => {
      const { places, triangles } = trianglesOf({ outer: star, holes: [] });
      const parts = convexParts(places, triangles).map((part) => part.map((n) => places[n]));
      const whole = parts.reduce((sum, part) => sum + areaTwice(part), 0);
      expect(whole / areaTwice(star)).toBeCloseTo(1, 9);
      for (const part of parts) expect(isConvex(part)).toBe(true);
      // Hertel and Mehlhorn: at most four times the least number, which is one more than the reflex corners halved.
      const n = star.length;
      const reflex = star.filter(([x, y], i) => {
        const [[ax, ay], [bx, by]] = [star[(i + n - 1) % n], star[(i + 1) % n]];
        return (x - ax) * (by - y) - (y - ay) * (bx - x) < 0;
      }).length;
      expect(parts.length).toBeLessThanOrEqual(Math.min(triangles.length, 2 * reflex + 1));
    }),
  );
});

it("a ring around a hole keeps its hole", () => {
  const square = (r: number) =>
    [
      [-r, -r],
      [r, -r],
      [r, r],
      [-r, r],
    ] as const;
  const { places, triangles } = trianglesOf({ outer: square(10), holes: [[...square(4)].reverse()] });
  const parts = convexParts(places, triangles);
  expect(triangles).toHaveLength(8);
  expect(parts.length).toBeLessThan(8);
  expect(parts.reduce((sum, part) => sum + areaTwice(part.map((n) => places[n])) / 2, 0)).toBeCloseTo(400 - 64, 9);
});
