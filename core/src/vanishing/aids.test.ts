import fc from "fast-check";
import { between } from "../../testing";
import { centrolinead, offPageAids, scaledSetUp } from ".";

const sheet = { width: 420, height: 297 };

describe("edge ticks", () => {
  it("follow the worked example", () => {
    // A point 210 mm left of a sheet 420 mm wide: 10 mm on the near edge are 10 * 630 / 210 = 30 mm on the far one.
    const aids = offPageAids(sheet, [-210, 148.5], 10)!;
    expect(aids).toMatchObject({ side: "left", distance: 210, level: 148.5, spacing: { near: 10, far: 30 } });
    expect(aids.ticks.find(({ number }) => number === 2)).toEqual({
      number: 2,
      near: 128.5,
      far: 88.5,
      tilt: expect.closeTo(5.4403, 4),
    });
    expect(aids.ticks.find(({ number }) => number === 8)).toMatchObject({ near: 68.5, far: null });
  });

  it("of one number lie on one line with the point, which has the tilt that is given", () => {
    fc.assert(
      fc.property(between(1, 5000), between(-200, 500), between(2, 40), fc.boolean(), (distance, y, spacing, left) => {
        const x = left ? -distance : sheet.width + distance;
        const aids = offPageAids(sheet, [x, y], spacing);
        if (!aids) return;
        const [near, far] = left ? [0, sheet.width] : [sheet.width, 0];
        for (const tick of aids.ticks) {
          const slope = Math.tan((tick.tilt * Math.PI) / 180);
          if (tick.near !== null) expect(y - slope * (near - x)).toBeCloseTo(tick.near, 6);
          if (tick.far !== null) expect(y - slope * (far - x)).toBeCloseTo(tick.far, 6);
        }
        expect(aids.ticks.length).toBeLessThanOrEqual(401);
      }),
    );
  });

  it("are only for points beyond the left or right edge", () => {
    expect(offPageAids(sheet, [100, 100], 10)).toBeNull();
    expect(offPageAids(sheet, [200, 900], 10)).toBeNull();
  });
});

describe("a centrolinead", () => {
  it("aims at its point from wherever its head stands: the inscribed angle", () => {
    // Pegs A and B, the point V and the head P lie on one circle; the leg to A makes the given angle with the ruler P
    // V.
    fc.assert(
      fc.property(between(50, 3000), between(20, 150), between(-0.9, 0.9), (distance, pegs, turn) => {
        const { angle } = centrolinead(distance, pegs);
        const middle = (pegs ** 2 - distance ** 2) / (2 * distance);
        const radius = middle + distance;
        const half = Math.atan2(pegs, -middle);
        const at = turn * Math.abs(half);
        // V at the origin's left, pegs at x = distance; the head on the far arc.
        const head = [radius + radius * Math.cos(at), radius * Math.sin(at)];
        fc.pre(head[0] > distance + 1);
        const leg = [distance - head[0], pegs - head[1]];
        const ruler = [-head[0], -head[1]];
        const cos = (leg[0] * ruler[0] + leg[1] * ruler[1]) / Math.hypot(...leg) / Math.hypot(...ruler);
        expect((Math.acos(cos) * 180) / Math.PI).toBeCloseTo(angle, 5);
      }),
    );
  });
});

describe("the scaled set-up", () => {
  it("holds sheet and pins on one sheet, at the largest whole scale", () => {
    const pins = [
      [-900, 150],
      [1300, 150],
    ] as const;
    const set = scaledSetUp(sheet, pins);
    // 2200 mm into 400 mm: 1 : 6.
    expect(set.factor).toBe(6);
    expect(set.pins[1][0] - set.pins[0][0]).toBeCloseTo(2200 / 6, 9);
    for (const [x, y] of set.pins) {
      expect(x).toBeGreaterThanOrEqual(10);
      expect(x).toBeLessThanOrEqual(410);
      expect(y).toBeGreaterThan(0);
    }
    expect(scaledSetUp(sheet, []).factor).toBe(2);
  });
});
