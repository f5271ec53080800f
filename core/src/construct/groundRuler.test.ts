import fc from "fast-check";
import { between, shotWith } from "../../testing";
import { project, viewOf } from "../shot";
import { groundRuler } from ".";

const how = { height: 1.75, heads: [1.55, 1.85], heading: 0 };

describe("a ruler on the ground", () => {
  it("is drawn H (foot - horizon) / eye height tall in a level straight view (similar triangles)", () => {
    fc.assert(
      fc.property(between(3, 80), between(-5, 5), between(0.8, 6), between(0.5, 2.2), (y, x, z, height) => {
        const view = viewOf(shotWith({ eye: { x: 0, y: 0, z }, gaze: { heading: 0, pitch: 0, roll: 0 } }));
        const { drawn } = groundRuler(view, [x, y], 0, { ...how, height });
        const [foot, horizon] = [project(view, [x, y, 0])![1], project(view, [0, 1e7, z])![1]];
        expect(drawn).toBeCloseTo(((foot - horizon) * height) / z, 3);
      }),
    );
  });

  it("has guides of heads that meet the line of feet on the horizon, and heads between them at any depth", () => {
    const view = viewOf(shotWith({ eye: { x: 0, y: 0, z: 1.6 }, gaze: { heading: 0, pitch: 0, roll: 0 } }));
    const { guides } = groundRuler(view, [2, 9], 0, how);
    expect(guides.map(({ height }) => height)).toEqual([0, 1.55, 1.85]);
    const far = guides.map(({ line }) => project(view, line[1])!);
    for (const [x, y] of far) {
      expect(x).toBeCloseTo(far[0][0], 0);
      expect(y).toBeCloseTo(far[0][1], 0);
    }
    // Someone of 1.55 m farther off has their head on the guide of 1.55 m.
    const [, { line }] = guides;
    const [p, q] = line.map((at) => project(view, at)!);
    const head = project(view, [2, 31, 1.55])!;
    const off = Math.abs((q[0] - p[0]) * (head[1] - p[1]) - (q[1] - p[1]) * (head[0] - p[0]));
    expect(off / Math.hypot(q[0] - p[0], q[1] - p[1])).toBeLessThan(1e-6);
  });

  it("has ticks every half metre, and one at its top", () => {
    const view = viewOf(shotWith());
    const { ticks } = groundRuler(view, [0, 9], 0.4, how);
    expect(ticks.map(([[, , z]]) => Number((z - 0.4).toFixed(9)))).toEqual([0.5, 1, 1.5, 1.75]);
  });

  it("says nothing of its size where it is not seen", () => {
    const view = viewOf(shotWith({ eye: { x: 0, y: 0, z: 1.6 }, gaze: { heading: 0, pitch: 0, roll: 0 } }));
    expect(groundRuler(view, [0, -9], 0, how).drawn).toBeNull();
  });
});
