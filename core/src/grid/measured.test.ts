import fc from "fast-check";
import { headingDirection, type Vec3 } from "../geometry";
import { project, unprojectTo, viewOf } from "../shot";
import { between, shotWith } from "../../testing";
import { vanishingPoint } from "../vanishing";
import { DEFAULT_LINE_SPACING } from "../scene";
import { FADES, fadeSteps, measuredGrid, planeOf, type MeasuredPlane } from ".";

const linesOf = ({ lines }: { lines: Float64Array }) =>
  Array.from({ length: lines.length / 4 }, (_, i) => lines.subarray(4 * i, 4 * i + 4));
const off = ([x1, y1, x2, y2]: ArrayLike<number> & Iterable<number>, [px, py]: readonly [number, number]) =>
  Math.abs((x2 - x1) * (py - y1) - (y2 - y1) * (px - x1)) / Math.hypot(x2 - x1, y2 - y1);

const anyView = fc
  .tuple(between(-60, 60), between(-35, 35), between(0.5, 30), between(100, 900))
  .map(([heading, pitch, z, distance]) =>
    shotWith({ gaze: { heading, pitch }, eye: { x: 3.3, y: -2.2, z }, distance }),
  );
const anyPlane: fc.Arbitrary<MeasuredPlane> = fc.record({
  plane: fc.constantFrom("level", "left", "right"),
  at: between(-8, 8),
  every: between(0.3, 5),
});

describe("a measured grid", () => {
  it("passes through the corners of its squares", () => {
    // Squares of 2 m on the ground, turned to heading 35: the corner 4 squares along, 3 across from the world's origin.
    const view = viewOf(shotWith());
    const { lines, numbers } = measuredGrid(view, 35, 0, { plane: "level", at: 0, every: 2 });
    const [left, right] = [headingDirection(-55), headingDirection(35)];
    const corner: Vec3 = [8 * left[0] + 6 * right[0], 8 * left[1] + 6 * right[1], 0];
    const seen = project(view, corner)!;
    const through = [...numbers.keys()].filter((i) => off(lines.subarray(4 * i, 4 * i + 4), seen) < 1e-6);
    expect(through.map((i) => numbers[i]).sort()).toEqual([3, 4]);
  });

  it(
    "makes true squares: the 45-degree direction joins their corners at its own point, the distance point of a " +
      "faced wall",
    () => {
      const view = viewOf(shotWith({ gaze: { heading: 35 } }));
      expect(vanishingPoint(view, headingDirection(35 + 45)).at![0]).toBeCloseTo(210 + 300, 6);
      const { lines, numbers } = measuredGrid(view, 35, 35, { plane: "level", at: 0, every: 1 });
      const [along, across] = [headingDirection(35), headingDirection(125)];
      for (const n of [4, 5, 6]) {
        const p = project(view, [n * along[0] + n * across[0], n * along[1] + n * across[1], 0])!;
        expect(
          [...numbers.keys()].filter((i) => numbers[i] === n && off(lines.subarray(4 * i, 4 * i + 4), p) < 1e-6),
        ).toHaveLength(2);
      }
    },
  );

  it("stays in the panel, runs to its points, and never clots", () => {
    fc.assert(
      fc.property(anyView, anyPlane, (shot, plane) => {
        const view = viewOf(shot);
        const grid = measuredGrid(view, 35, shot.gaze.heading, plane);
        const lines = linesOf(grid);
        expect(lines.length).toBeLessThan(4000);
        for (const line of lines) {
          for (let i = 0; i < 4; i += 2) {
            expect(line[i]).toBeGreaterThan(15 - 1e-6);
            expect(line[i]).toBeLessThan(405 + 1e-6);
            expect(line[i + 1]).toBeGreaterThan(15 - 1e-6);
            expect(line[i + 1]).toBeLessThan(282 + 1e-6);
          }
        }
        // Of two lines of one family, compared at the same distance from their point, none are nearer than the least
        // gap.
        const points = [headingDirection(-55), headingDirection(35), [0, 0, 1] as const].map(
          (d) => vanishingPoint(view, d).at,
        );
        for (const at of points) {
          if (!at || Math.hypot(...at) > 1e5) continue;
          const family = lines.filter((line) => off(line, at) < 1e-6 * (1 + Math.hypot(...at)));
          for (const r of [30, 120, 300]) {
            const angles = family
              .filter(
                ([x1, y1, x2, y2]) =>
                  Math.hypot(x1 - at[0], y1 - at[1]) <= r && Math.hypot(x2 - at[0], y2 - at[1]) >= r,
              )
              .map(([, , x2, y2]) => Math.atan2(y2 - at[1], x2 - at[0]))
              .sort((a, b) => a - b);
            angles
              .slice(1)
              .forEach((a, i) => expect((a - angles[i]) * r).toBeGreaterThan(DEFAULT_LINE_SPACING.gap - 1e-6));
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it("of a plane seen edge on is nothing", () => {
    expect(measuredGrid(viewOf(shotWith()), 35, 0, { plane: "level", at: 1.6, every: 1 }).lines).toHaveLength(0);
  });

  it("fades at true distances: each step's ends lie between its two, or at the panel's edge", () => {
    const shot = shotWith({ gaze: { pitch: -8, heading: 20 } });
    const view = viewOf(shot);
    const { normal, offset } = planeOf(view, 35, 20, { plane: "level", at: 0, every: 1 });
    const grid = measuredGrid(view, 35, 20, { plane: "level", at: 0, every: 1 });
    const steps = fadeSteps(view, { normal, offset }, grid, 24);
    expect(steps).toHaveLength(FADES.length);
    const all = (of: { lines: Float64Array }) =>
      linesOf(of).reduce((sum, [x1, y1, x2, y2]) => sum + Math.hypot(x2 - x1, y2 - y1), 0);
    steps.forEach((step, n) => {
      expect(step.lines.length).toBeGreaterThan(0);
      for (const [x1, y1, x2, y2] of linesOf(step)) {
        for (const end of [
          [x1, y1],
          [x2, y2],
        ] as const) {
          const seen = unprojectTo(view, end, normal, offset)!;
          const depth =
            (seen[0] - view.eye[0]) * view.forward[0] +
            (seen[1] - view.eye[1]) * view.forward[1] +
            (seen[2] - view.eye[2]) * view.forward[2];
          expect(depth).toBeGreaterThan(6 * n - 1e-6);
          expect(depth).toBeLessThan(6 * (n + 1) + 1e-6);
        }
      }
    });
    const whole = fadeSteps(view, { normal, offset }, grid, 1e5);
    expect(whole.reduce((sum, step) => sum + all(step), 0)).toBeCloseTo(all(grid), 1);
  });
});
