import fc from "fast-check";
import { between } from "../../testing";
import type { Sightings } from "../scene";
import { pencilledTo, pencilOf, sightedPoints, sightLines, tiltedTo, TILT_HAND } from ".";

const LEVEL = 150;
const seen: Sightings = {
  x: 200,
  top: 60,
  bottom: 190,
  left: { upper: 20, lower: 9.2 },
  right: { upper: 25 },
  parts: { heightToWidth: 0.65, leftToRight: 1.5 },
};

describe("sightings as they are drawn", () => {
  it("run from the near corner to where their side's point is told to be", () => {
    const lines = sightLines(seen, LEVEL, TILT_HAND);
    expect(lines.map(({ side, edge }) => `${side} ${edge}`)).toEqual(["left upper", "left lower", "right upper"]);
    const [left, right] = sightedPoints(seen, LEVEL);
    // 90 mm over the level at 20 degrees: 90 / tan 20 = 247.3 mm away; 40 mm under it at 9.2: 247.0 mm.
    expect(lines[0].meets).toEqual([expect.closeTo(200 - 247.27, 1), LEVEL]);
    expect(lines.map(({ meets }) => meets![0])).toEqual([...left.each, ...right.each].map((x) => expect.closeTo(x, 9)));
    for (const { from, tip, meets } of lines) {
      const cross = (tip[0] - from[0]) * (meets![1] - from[1]) - (tip[1] - from[1]) * (meets![0] - from[0]);
      expect(cross).toBeCloseTo(0, 6);
    }
    expect(lines.every(({ asked }) => asked === null)).toBe(true);
    expect(sightLines({ ...seen, right: { upper: 0 } }, LEVEL, TILT_HAND)[2].meets).toBeNull();
  });

  it("say what a lower edge should tilt by that contradicts the upper one", () => {
    const wrong = sightLines({ ...seen, left: { upper: 20, lower: 14 } }, LEVEL, TILT_HAND);
    expect(wrong.find(({ edge }) => edge === "lower")!.asked).toBeCloseTo((Math.atan2(40, 247.27) * 180) / Math.PI, 2);
  });

  it("are turned by the tips of their hands, and stay where they were for a hand that is not moved", () => {
    fc.assert(
      fc.property(between(1, 88), between(1, 88), between(0, 300), (upper, lower, top) => {
        const s: Sightings = { ...seen, top, left: { upper, lower }, right: { upper: lower, lower: upper } };
        for (const { side, edge, tip, tilt } of sightLines(s, LEVEL, TILT_HAND)) {
          expect(tiltedTo(s, side, edge, LEVEL, tip)[side][edge]).toBeCloseTo(tilt, 6);
        }
      }),
    );
    // Past the upright, or away from the level, a hand stops.
    expect(tiltedTo(seen, "left", "upper", LEVEL, [260, 100]).left.upper).toBe(89);
    expect(tiltedTo(seen, "left", "upper", LEVEL, [150, 20]).left.upper).toBe(0);
  });

  it("compare parts by a pencil: 130 mm high at 0.65 are 200 mm wide, three fifths of them left of the corner", () => {
    expect(pencilOf(seen)).toEqual({
      left: [expect.closeTo(80, 9), 202],
      corner: [200, 202],
      right: [expect.closeTo(280, 9), 202],
    });
    // The left mark 40 mm in: 80 to each side, 160 in all.
    expect(pencilledTo(seen, "left", 120).parts).toEqual({
      heightToWidth: expect.closeTo(130 / 160, 9),
      leftToRight: expect.closeTo(1, 9),
    });
    expect(pencilOf(pencilledTo(seen, "right", 500))!.left[0]).toBeCloseTo(80, 9);
    expect(pencilledTo(seen, "right", 100).parts!.leftToRight).toBeLessThanOrEqual(240 + 1e-6);
    const { parts: _, ...bare } = seen;
    expect([pencilOf(bare), pencilledTo(bare, "left", 10)]).toEqual([null, bare]);
  });
});
