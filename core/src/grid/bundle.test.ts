import fc from "fast-check";
import { contains } from "../geometry";
import { between } from "../../testing";
import { DEFAULT_LINE_SPACING } from "../scene";
import { bundle } from ".";

const frame = { x: 15, y: 15, width: 390, height: 267 };
const linesOf = (xy: Float64Array) =>
  Array.from({ length: xy.length / 4 }, (_, i) => [...xy.subarray(4 * i, 4 * i + 4)]);

/**
 * Gaps between neighbouring lines of a bundle where they cross the circle of radius r about the pin, along the
 * circle.
 */
function gapsAt(lines: number[][], [px, py]: readonly [number, number], r: number): { gap: number; at: number }[] {
  const angles = lines
    .filter(([x1, y1, x2, y2]) => {
      const [a, b] = [Math.hypot(x1 - px, y1 - py), Math.hypot(x2 - px, y2 - py)];
      return Math.min(a, b) <= r && Math.max(a, b) >= r;
    })
    .map(([, , x2, y2]) => Math.atan2(y2 - py, x2 - px))
    .sort((a, b) => a - b);
  return angles.slice(1).map((a, i) => ({ gap: (a - angles[i]) * r, at: (a + angles[i]) / 2 }));
}

/**
 * The smaller turn, radians, from two lines through a pin outside the panel to the line that crosses the panel's far
 * side in the middle between them.
 */
function nearestOfMiddle([px, py]: readonly [number, number], from: number, to: number): number {
  const beyond = (p: number, start: number, length: number) => Math.max(start - p, p - start - length);
  const sideways = beyond(px, frame.x, frame.width) >= beyond(py, frame.y, frame.height);
  // How far along the far side, and how far to it, from the pin.
  const depth = sideways
    ? (px < frame.x ? frame.x + frame.width : frame.x) - px
    : (py < frame.y ? frame.y + frame.height : frame.y) - py;
  const along = (angle: number) => (sideways ? Math.tan(angle) : 1 / Math.tan(angle)) * depth;
  const middle = (along(from) + along(to)) / 2;
  const angle = sideways ? Math.atan2(middle, depth) : Math.atan2(depth, middle);
  const turn = (a: number) => Math.abs(Math.atan2(Math.sin(a - angle), Math.cos(a - angle)));
  return Math.min(turn(from), turn(to));
}

describe("a loose bundle", () => {
  it("runs to its pin, stays in the panel, never clots and leaves no gap wider than asked", () => {
    const law = fc.property(
      between(-3000, 3000),
      between(-2000, 2000),
      between(1, 40),
      fc.constantFrom("angle" as const, "edge" as const),
      (x, y, spacing, even) => {
        const lines = linesOf(bundle({ at: [x, y] }, frame, { spacing, even }, [210, y]));
        expect(lines.length).toBeGreaterThan(0);
        for (const [x1, y1, x2, y2] of lines) {
          const length = Math.hypot(x2 - x1, y2 - y1);
          expect(Math.abs((x2 - x1) * (y - y1) - (y2 - y1) * (x - x1))).toBeLessThan(1e-6 * (length + 1) * 4000);
          for (const [px, py] of [
            [x1, y1],
            [x2, y2],
          ]) {
            expect(px).toBeGreaterThan(frame.x - 1e-6);
            expect(px).toBeLessThan(frame.x + frame.width + 1e-6);
            expect(py).toBeGreaterThan(frame.y - 1e-6);
            expect(py).toBeLessThan(frame.y + frame.height + 1e-6);
            expect(Math.hypot(px - x, py - y)).toBeGreaterThan(4 - 1e-6);
          }
        }
        for (const r of [5, 12, 40, 90, 300])
          for (const { gap } of gapsAt(lines, [x, y], r)) expect(gap).toBeGreaterThan(DEFAULT_LINE_SPACING.gap - 1e-6);
        const far = Math.max(...[15, 405].flatMap((cx) => [15, 282].map((cy) => Math.hypot(cx - x, cy - y))));
        const r = far * 0.98;
        for (const { gap, at } of gapsAt(lines, [x, y], r)) {
          // Where the circle leaves the panel between two lines there is nothing to space.
          const inside = contains(frame, [x + r * Math.cos(at), y + r * Math.sin(at)]);
          if (!inside) continue;
          // Where lines would come nearer than the least gap every second one is left out.
          if (even === "angle" || contains(frame, [x, y]))
            expect(gap).toBeLessThan(Math.max(spacing, 2 * DEFAULT_LINE_SPACING.gap) + 1e-6);
          // Steps that are even on the far side are not so about the pin: what is open is wider than asked only where
          // the line through its middle there would come nearer than the least gap to one of its neighbours.
          else if (gap > spacing + 1e-6)
            expect(nearestOfMiddle([x, y], at - gap / r / 2, at + gap / r / 2) * r).toBeLessThan(
              DEFAULT_LINE_SPACING.gap + 1e-6,
            );
        }
      },
    );
    fc.assert(law, {
      examples: [
        [-3000, -2000, 1, "edge"],
        [-917.558388, -1288.311992, 1.025997751, "edge"],
      ],
    });
  });

  it("holds the line through the horizon", () => {
    const lines = linesOf(bundle({ at: [-300, 148.5] }, frame, { spacing: 12 }, [210, 148.5]));
    expect(lines.some(([, y1, , y2]) => Math.abs(y1 - 148.5) < 1e-9 && Math.abs(y2 - 148.5) < 1e-9)).toBe(true);
  });

  it("is a set of parallels when there is no point", () => {
    const lines = linesOf(bundle({ at: null, angle: 90 }, frame, { spacing: 10 }, [210, 148.5]));
    expect(lines).toHaveLength(39);
    for (const [x1, , x2] of lines) expect(x1).toBe(x2);
    expect(lines.map(([x]) => x)).toContain(210);
  });

  it(
    "is even at the edge: from outside its lines leave the far side in equal steps, from inside they divide the " +
      "edge all round",
    () => {
      fc.assert(
        fc.property(between(-3000, -250), between(-150, 450), between(3, 30), (x, y, spacing) => {
          const lines = linesOf(bundle({ at: [x, y] }, frame, { spacing, even: "edge" }, [210, y]));
          const heights = lines
            .map(([x1, y1, x2, y2]) => y1 + ((y2 - y1) * (405 - x1)) / (x2 - x1))
            .sort((a, b) => a - b);
          for (let i = 1; i < heights.length; i++)
            expect((heights[i] - heights[i - 1]) / spacing).toBeCloseTo(
              Math.round((heights[i] - heights[i - 1]) / spacing),
              6,
            );
          expect(Math.min(...heights.slice(1).map((h, i) => h - heights[i]))).toBeCloseTo(spacing, 6);
        }),
      );
      const inside = linesOf(bundle({ at: [210, 148.5] }, frame, { spacing: 12, even: "edge" }, [300, 148.5]));
      const walked = inside
        .map(([x, y]) =>
          y < 15.001 ? x - 15 : x > 404.999 ? 390 + y - 15 : y > 281.999 ? 657 + 405 - x : 1047 + 282 - y,
        )
        .sort((a, b) => a - b);
      const steps = walked.slice(1).map((at, i) => at - walked[i]);
      expect(Math.max(...steps)).toBeLessThanOrEqual(12);
      expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(1e-6);
    },
  );

  it("keeps the asked room: the least gap, and clear space around the point", () => {
    const room = { gap: 2.5, clear: 30 };
    for (const even of ["angle", "edge"] as const) {
      const lines = linesOf(bundle({ at: [120, 100] }, frame, { spacing: 9, even }, [210, 100], room));
      for (const [, , x, y] of lines) expect(Math.hypot(x - 120, y - 100)).toBeGreaterThan(30 - 1e-9);
      for (const r of [31, 40, 60, 90])
        for (const { gap } of gapsAt(lines, [120, 100], r)) expect(gap).toBeGreaterThan(2.5 - 1e-6);
    }
  });
});
