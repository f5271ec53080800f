import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { distance2, type Vec2 } from "../geometry";
import {
  branchOf,
  build,
  built,
  CANOPY,
  kindOf,
  lengthOf,
  PLATFORM,
  validateElement,
  type Platform,
  type Points,
  type Rails,
} from ".";

const PATH = [
  { x: 0, y: 0 },
  { x: 100, y: 0 },
];

describe("points of a track", () => {
  const rails = (points: Points[]): Rails => ({ id: "r", name: "Track", kind: "rails", path: PATH, points });

  it("lead along a circle that touches the track where they are, to its right or its left, ahead or back", () => {
    const turns = fc.record({ left: fc.boolean(), back: fc.boolean() });
    fc.assert(
      fc.property(between(10, 90), between(20, 300), between(5, 40), turns, (at, radius, long, { left, back }) => {
        const branch = branchOf(rails([]), { at, radius, long, left, back });
        // A track that runs east has its right in the south.
        const centre: Vec2 = [at, left ? radius : -radius];
        for (const place of branch) expect(distance2(place, centre)).toBeCloseTo(radius, 9);
        expect(branch[0]).toEqual([expect.closeTo(at, 9), expect.closeTo(0, 9)]);
        expect(Math.sign(branch[1][0] - at)).toBe(back ? -1 : 1);
        // Its chords are a little shorter than its arc.
        expect(lengthOf(branch) / long).toBeGreaterThan(0.999);
        expect(lengthOf(branch)).toBeLessThanOrEqual(long + 1e-9);
      }),
    );
  });

  it("are drawn as two more rails, and as sleepers where the branch is clear of the track", () => {
    const count = (of: Rails, kind: string) => built([of]).details.filter((one) => one.kind === kind).length;
    const [plain, branched] = [rails([]), rails([{ at: 30, radius: 50, long: 40 }])];
    expect(count(branched, "rail")).toBeGreaterThan(count(plain, "rail") + 2);
    const bed = (of: Rails) => count({ ...of, bed: "sleepers" }, "bed") / 4;
    // Clear where the branch is a sleeper's length off: after 50 acos(1 - 2.5 / 50) m. One sleeper every 0.65 m.
    const clear = 40 - 50 * Math.acos(1 - 2.5 / 50);
    expect(Math.abs(bed(branched) - bed(plain) - clear / 0.65)).toBeLessThan(1.5);
  });

  it("are refused beyond the track's ends, and where they would turn back", () => {
    expect(validateElement(rails([{ at: 101, radius: 50, long: 10 }]))?.field).toBe("points/0");
    expect(validateElement(rails([{ at: 10, radius: 10, long: 40 }]))?.field).toBe("points/0");
  });
});

describe("a platform", () => {
  const platform = (change: Partial<Platform> = {}): Platform => ({
    ...{ id: "p", name: "Platform 1", kind: "platform", path: PATH },
    ...PLATFORM,
    ...change,
  });

  it("is as wide and high as it is said to be, and its canopy stands on posts along its middle", () => {
    fc.assert(
      fc.property(between(1.5, 9), between(0.2, 1.2), between(4, 20), (width, height, every) => {
        const canopy = { ...CANOPY, width: 1.1 * width, every };
        const [slab, roof, ...posts] = build([platform({ width, height, canopy })]);
        const reach = (solid: typeof slab, axis: 0 | 1 | 2) => {
          const along = solid.vertices.map((p) => p[axis]);
          return [Math.min(...along), Math.max(...along)];
        };
        expect(reach(slab, 1)).toEqual([expect.closeTo(-width / 2, 6), expect.closeTo(width / 2, 6)]);
        expect(reach(slab, 2)).toEqual([0, expect.closeTo(height, 9)]);
        expect(reach(roof, 1)[1]).toBeCloseTo(0.55 * width, 6);
        expect(posts).toHaveLength(Math.round(98 / every) + 1);
        for (const post of posts) {
          expect(reach(post, 2)).toEqual([expect.closeTo(height, 9), expect.closeTo(reach(roof, 2)[0], 9)]);
          expect(whyOpen(post, 0)).toBeNull();
        }
      }),
      { numRuns: 20 },
    );
  });

  it("is told where its height is unusual, and refused with a canopy far wider than itself", () => {
    const { figures } = kindOf(platform());
    const [figure] = figures!(platform({ height: 1.2 }));
    expect(figure.value).toBeGreaterThan(figure.limits[1]);
    expect(validateElement(platform({ canopy: { ...CANOPY, width: 20 } }))?.field).toBe("canopy/width");
  });
});
