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
      others: [],
      tilt: expect.closeTo(5.4403, 4),
    });
    // Number 8 rises by 80 mm in 210: from 68.5 it leaves the sheet over its top, 68.5 * 210 / 80 mm from the left.
    expect(aids.ticks.find(({ number }) => number === 8)).toMatchObject({
      near: 68.5,
      far: null,
      others: [{ edge: "top", at: expect.closeTo(179.8125, 6) }],
    });
  });

  it("of one number lie on one line with the point, which has the tilt that is given", () => {
    fc.assert(
      fc.property(between(1, 5000), between(-200, 500), between(2, 40), fc.boolean(), (distance, y, spacing, left) => {
        const x = left ? -distance : sheet.width + distance;
        const aids = offPageAids(sheet, [x, y], spacing);
        if (aids?.side !== "left" && aids?.side !== "right") return;
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

  it("stand on all four edges for a point wherever off the sheet, both marks of a number on a line with it", () => {
    fc.assert(
      fc.property(between(-3000, 3400), between(-3000, 3300), between(2, 40), (x, y, spacing) => {
        const aids = offPageAids(sheet, [x, y], spacing);
        fc.pre(aids !== null);
        const { side, ticks, level, distance } = aids!;
        const place = (edge: string, at: number): readonly [number, number] =>
          edge === "left" ? [0, at] : edge === "right" ? [420, at] : edge === "top" ? [at, 0] : [at, 297];
        const opposite = { left: "right", right: "left", top: "bottom", bottom: "top" }[side];
        for (const { number, near, far, others, tilt } of ticks) {
          const marks = [
            ...(near === null ? [] : [place(side, near)]),
            ...(far === null ? [] : [place(opposite, far)]),
            ...others.map(({ edge, at }) => place(edge, at)),
          ];
          for (const [mx, my] of marks) {
            // The line's own slope, told by its tilt, leads from the mark to the point.
            const turn = (tilt * Math.PI) / 180;
            const [ux, uy] =
              side === "left" || side === "right"
                ? [Math.cos(turn), -Math.sin(turn)]
                : [Math.sin(turn), -Math.cos(turn)];
            expect(Math.abs((mx - x) * uy - (my - y) * ux)).toBeLessThan(1e-6);
          }
          const along = side === "left" || side === "right" ? level - number * spacing : level + number * spacing;
          if (near !== null) expect(near).toBeCloseTo(along, 6);
        }
        expect(
          ticks.filter(({ near, far, others }) => [near, far].filter((one) => one !== null).length + others.length < 1),
        ).toEqual([]);
        expect(distance).toBeGreaterThan(0);
      }),
    );
  });

  it("are only for points off the sheet", () => {
    expect(offPageAids(sheet, [100, 100], 10)).toBeNull();
    // A third point 603 mm below: 10 mm on the bottom edge are 10 * 900 / 603 on the top one.
    const below = offPageAids(sheet, [200, 900], 10)!;
    expect(below).toMatchObject({
      side: "bottom",
      distance: 603,
      level: 200,
      spacing: { far: expect.closeTo(14.9254, 4) },
    });
    expect(below.ticks.find(({ number }) => number === 3)).toMatchObject({
      near: expect.closeTo(230, 9),
      far: expect.closeTo(200 + (30 * 900) / 603, 9),
      tilt: expect.closeTo(2.8482, 4),
    });
    expect(below.centrolinead).toMatchObject({ pegs: 150 });
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
