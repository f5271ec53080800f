import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { plainHouse, whyNot } from "../../testing/houses";
import { built, elevationOf, floorsOf, volumeOf, withStorey, type Building, type OwnBay, type Solid } from ".";

const withOwn = (...own: OwnBay[]): Building => plainHouse({ fronts: [{ side: 0, bays: "3 x4", own }] });
const partsOf = (building: Building, part: string): readonly Solid[] =>
  built([building]).solids.filter((one) => one.part?.startsWith(part));

describe("storeys", () => {
  it("have heights of their own, and those that are not said share what is left", () => {
    const heights = (of: Building) => floorsOf(of, of.height, true).map(({ low, height }) => [low, height]);
    expect(heights(plainHouse({ storeyHeights: [4] }))).toEqual([
      [0, 4],
      [4, 2.5],
      [6.5, 2.5],
    ]);
    expect(heights(plainHouse({ storeyHeights: [4, 3] }))).toEqual([
      [0, 4],
      [4, 3],
      [7, 2],
    ]);
    // Of the last one nothing is said: it takes what is left.
    expect(heights(plainHouse({ storeyHeights: [4, 3, 8, 8] }))[2]).toEqual([7, 2]);
    expect(whyNot(plainHouse({ storeyHeights: [5, 4] }))).toBe("storeyHeights leave no room for the last storey.");
  });

  it("keep their heights while one is changed, and the eaves rise or fall", () => {
    const taller = withStorey(plainHouse({ groundFloor: 4 }), 1, 3.1);
    expect(floorsOf(taller, taller.height, true).map(({ height }) => Number(height.toFixed(9)))).toEqual([4, 3.1, 2.5]);
    expect(taller.height).toBeCloseTo(9.6, 9);
    const top = withStorey(taller, 2, 2);
    expect(top.height).toBeCloseTo(9.1, 9);
    // Windows follow their floors.
    const { openings } = elevationOf({ ...top, fronts: [{ side: 0, bays: "4" }] }, 0);
    expect([...new Set(openings.map(({ low }) => Number(low.toFixed(6))))]).toEqual([0.9, 4.9, 8]);
  });
});

describe("a window that stands out", () => {
  it("is a closed solid against its wall, with slanting cheeks or square ones", () => {
    fc.assert(
      fc.property(
        fc.record({
          out: between(0.2, 0.7),
          square: fc.boolean(),
          storeys: fc.subarray([0, 1, 2], { minLength: 1 }),
          by: between(-0.2, 0.2),
        }),
        ({ out, square, storeys, by }) => {
          const building = withOwn(...storeys.map((storey) => ({ bay: 1, storey, out, square, by })));
          expect(whyNot(building)).toBe("");
          const bays = partsOf(building, "bay window");
          expect(bays).toHaveLength(storeys.length);
          for (const bay of bays) expect(whyOpen(bay)).toBeNull();
        },
      ),
    );
  });

  it("holds what plain arithmetic makes of it: a prism, its bracket and its roof", () => {
    const [bay] = partsOf(
      withOwn({ bay: 1, storey: 1, out: 0.6, square: true, width: 1.2, height: 1.4, sill: 0.9 }),
      "bay",
    );
    // Its face is 1.2 m and twice 0.12 m wide; from the floor at 3 m to 0.25 m over its head at 5.3 m.
    const wide = 1.44;
    const [prism, bracket, roof] = [wide * 0.6 * 2.55, (wide * 0.6 * 0.6) / 2, (wide * 0.6 * 0.35) / 2];
    expect(volumeOf(bay)).toBeCloseTo(prism + bracket + roof, 9);
    // On the ground it stands on its foot, and one over another goes on without a roof between.
    const two = partsOf(withOwn(...[0, 1].map((storey) => ({ bay: 1, storey, out: 0.6, square: true }))), "bay");
    const span = ({ vertices }: Solid) => [
      Math.min(...vertices.map((p) => p[2])),
      Math.max(...vertices.map((p) => p[2])),
    ];
    expect(span(two[0])).toEqual([0, 3]);
    expect(span(two[1])[0]).toBe(3);
  });

  it("has panes in its front and its cheeks, and leaves no opening in the wall behind it", () => {
    const building = withOwn({ bay: 1, storey: 0, out: 0.6 });
    const { solids, details } = built([building]);
    const [bay] = solids.filter(({ part }) => part?.startsWith("bay window"));
    const faces = new Set(details.filter(({ on }) => on?.solid === bay).map(({ on }) => bay.faces[on!.face].name));
    expect(faces).toEqual(new Set(["front", "left", "right"]));
    const inWall = details.filter(({ on, kind }) => kind === "window" && on && on.solid !== bay);
    expect(new Set(inWall.map(({ item }) => item)).size).toBe(11);
  });

  it("is what a bay is called after on the ground, and must have room", () => {
    const named = plainHouse({ fronts: [{ side: 0, bays: "bay 4, door 2, bay 4" }] });
    expect(partsOf(named, "bay window")).toHaveLength(2);
    const narrow = plainHouse({ fronts: [{ side: 0, bays: "bay 1 x5" }] });
    expect(whyNot(narrow)).toMatch(/runs into the next one/);
    const corner = plainHouse({
      fronts: [{ side: 0, bays: "3 x4", own: [{ bay: 0, storey: 0, out: 1.4, by: -0.7 }] }],
    });
    expect(whyNot(corner)).toMatch(/reaches over the corner of its wall/);
  });
});

describe("doors", () => {
  const door = (own: Partial<OwnBay>, rooms = false): Building =>
    plainHouse({
      fronts: [{ side: 0, bays: "gate 4, 4 x2", own: [{ bay: 0, storey: 0, ...own }], ends: 0 }],
      ...(rooms ? { rooms: { wall: 0.3, slab: 0.15 } } : {}),
    });
  const leavesOf = (building: Building) => {
    expect(whyNot(building)).toBe("");
    return partsOf(building, "leaf");
  };

  it("that open outwards stand before their wall, with rooms behind it or without", () => {
    for (const rooms of [false, true]) {
      const leaves = leavesOf(door({ opens: "outwards", open: 90 }, rooms));
      expect(leaves).toHaveLength(2);
      for (const leaf of leaves) {
        expect(whyOpen(leaf)).toBeNull();
        expect(volumeOf(leaf)).toBeGreaterThan(0);
        // The wall stands at y = 0, its outside to the south: half of 3 m stands out of it.
        const ys = leaf.vertices.map(([, y]) => y);
        expect(Math.max(...ys)).toBeLessThan(0);
        expect(Math.min(...ys)).toBeCloseTo(-1.5, 2);
      }
    }
    expect(leavesOf(door({ open: 90 }))).toHaveLength(0);
  });

  it("that slide or roll up are seen through as far as they are open", () => {
    const slid = leavesOf(door({ opens: "slides", clear: 40 }, true));
    const widths = slid.map(({ vertices }) => {
      const xs = vertices.map(([x]) => x);
      return Math.max(...xs) - Math.min(...xs);
    });
    // Of two leaves 1.5 m wide, 60 of a hundred are left before the opening.
    expect(widths).toEqual([expect.closeTo(0.9, 1), expect.closeTo(0.9, 1)]);
    const [rolled] = leavesOf(door({ opens: "rolls", clear: 75 }, true));
    const zs = rolled.vertices.map(([, , z]) => z);
    expect(Math.min(...zs)).toBeCloseTo(0.75 * 2.8, 1);
    for (const solid of built([door({ opens: "rolls", clear: 75 }, true)]).solids)
      expect(solid.edges.length).toBeGreaterThan(5);
    // Shut, nothing is cut; quite open, nothing is left of it.
    expect(leavesOf(door({ opens: "slides", clear: 100 }, true))).toHaveLength(0);
    expect(leavesOf(door({ opens: "rolls" }, true))).toHaveLength(0);
  });

  it("that roll up show their slats, as far as they are down", () => {
    const slats = (clear: number) =>
      built([door({ opens: "rolls", clear })]).details.filter(
        ({ kind, a, b, on }) => kind === "glazing" && on && a[2] === b[2] && a[2] < 2.9 && Math.abs(a[0] - b[0]) > 2,
      ).length;
    expect(slats(0)).toBeGreaterThan(2 * slats(60));
    expect(slats(100)).toBe(0);
  });
});
