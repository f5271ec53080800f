import fc from "fast-check";
import { anyStar, between, rectangle, whyOpen, xy } from "../../testing";
import type { Vec2 } from "../geometry";
import {
  built,
  climbsOn,
  DEFAULT_BRIDGE,
  DEFAULT_CANAL,
  DEFAULT_SQUARE,
  DEFAULT_STREET,
  groundAt,
  terrainOf,
  validateElement,
  volumeOf,
  whyInvalid,
  type Element,
  type Ground,
} from ".";
import { inMetric } from "../units";
import { areaTwice, centroid } from "./polygon";

const ground = (of: Partial<Ground>, id = "g"): Ground => ({
  id,
  kind: "ground",
  name: "Gull Bank",
  footprint: rectangle(0, 0, 40, 30),
  height: 3,
  ...of,
});
const volumes = (elements: readonly Element[], id: string): number =>
  built(elements)
    .solids.filter((solid) => solid.id === id)
    .reduce((sum, solid) => sum + volumeOf(solid), 0);

describe("raised ground", () => {
  it("is a prism, a wedge, a frustum or a pyramid, by Euclid's volumes", () => {
    expect(volumes([ground({})], "g")).toBeCloseTo(40 * 30 * 3, 6);
    // A slope to the north of 10 in a hundred: a prism of the mean height.
    expect(volumes([ground({ height: 0, slope: { heading: 0, grade: 10 } })], "g")).toBeCloseTo((40 * 30 * 3) / 2, 6);
    // Simpson's rule is exact for a prismatoid: (h / 6) (bottom + 4 middle + top).
    expect(volumes([ground({ bank: 2 })], "g")).toBeCloseTo((3 / 6) * (40 * 30 + 4 * 38 * 28 + 36 * 26), 6);
    const hill = ground({ height: 0, spots: [{ x: 13, y: 11, z: 6 }] });
    expect(volumes([hill], "g")).toBeCloseTo((40 * 30 * 6) / 3, 6);
    expect(groundAt(terrainOf([hill]), [13, 11])).toBeCloseTo(6, 9);
    expect(groundAt(terrainOf([hill]), [6.5, 5.5])).toBeCloseTo(3, 9);
    expect(groundAt(terrainOf([hill]), [50, 5])).toBe(0);
  });

  it("is a closed solid on any outline, with as many points as one likes", () => {
    fc.assert(
      fc.property(
        anyStar(9),
        fc.array(fc.tuple(between(0.05, 0.9), fc.nat(40), between(0, 8)), { maxLength: 8 }),
        between(0, 4),
        fc.option(between(0.1, 1)),
        fc.option(between(1, 30)),
        (star, towards, height, bank, grade) => {
          const middle = centroid(star);
          const spots = towards.map(([share, corner, z]) => {
            const [x, y] = star[corner % star.length];
            return { x: middle[0] + share * (x - middle[0]), y: middle[1] + share * (y - middle[1]), z };
          });
          const one = ground({
            footprint: xy(star),
            height,
            ...(spots.length ? { spots } : {}),
            ...(bank === null ? {} : { bank }),
            ...(grade === null ? {} : { slope: { heading: 40, grade } }),
          });
          fc.pre(validateElement(one) === null);
          const { solids } = built([one]);
          expect(solids.map((solid) => whyOpen(solid))).toEqual(solids.map(() => null));
          for (const { x, y, z } of spots) expect(groundAt(terrainOf([one]), [x, y])).toBeCloseTo(z, 6);
        },
      ),
      { numRuns: 120 },
    );
  });

  it("yields to later ground and to what is dug, however they overlap", () => {
    const canal: Element = {
      id: "c",
      kind: "canal",
      name: "Old Cut",
      path: xy([
        [-20, 9],
        [60, 17],
      ]),
      ...DEFAULT_CANAL,
    };
    const terrace = ground({ footprint: rectangle(20, 10, 60, 50), height: 5 }, "t");
    const world = [ground({}), terrace, canal];
    const { solids } = built(world);
    for (const solid of solids.filter(({ id }) => id !== "")) expect(whyOpen(solid)).toBeNull();
    expect(groundAt(terrainOf(world), [30, 25])).toBe(5);
    expect(groundAt(terrainOf(world), [5, 25])).toBe(3);
    // The middle of the water.
    expect(groundAt(terrainOf(world), [20, 13])).toBe(0);
    expect(volumes([ground({}), terrace], "g")).toBeCloseTo(3 * (40 * 30 - 20 * 20), 5);
    expect(volumes([terrace, ground({})], "g")).toBeCloseTo(3 * 40 * 30, 5);
  });

  it("meets other ground without a gap where both are meant to, though typed and turned places are rounded", () => {
    const slope = ground({ height: 0, slope: { heading: 90, grade: 10 } });
    // The terrace begins 2 mm beyond the slope's end, and a little askew.
    const terrace = ground(
      {
        footprint: xy([
          [40.002, 0],
          [70, 0],
          [70, 30],
          [40.001, 30],
        ]),
        height: 4,
      },
      "t",
    );
    const lane: Element = {
      id: "l",
      kind: "street",
      name: "Oar Lane",
      path: xy([
        [-20, 12],
        [60, 14],
      ]),
      ...DEFAULT_STREET,
    };
    const { climbs, cliffs } = climbsOn(lane, terrainOf([slope, terrace]));
    expect(cliffs).toEqual([]);
    expect(climbs).toHaveLength(1);
    expect(climbs[0].heights[1]).toBeCloseTo(4, 3);
  });

  it("has contour lines at whole heights, on its own surface", () => {
    const hill = ground({ height: 0, spots: [{ x: 13, y: 11, z: 6 }], contours: 0.5 });
    const { details } = built([hill]);
    const terrain = terrainOf([hill]);
    // Eleven heights from 0.5 to 5.5 m, and the point itself; each line crosses all four sides of the pyramid.
    expect(new Set(details.map(({ a }) => a[2])).size).toBe(11);
    expect(details).toHaveLength(44);
    for (const { kind, a, b } of details) {
      expect([kind, b[2]]).toEqual(["contour", a[2]]);
      for (const [x, y, z] of [a, b]) expect(groundAt(terrain, [x, y])).toBeCloseTo(z, 6);
    }
  });

  it("says what and where it cannot be", () => {
    const told = (of: Partial<Ground>) => {
      const invalid = validateElement(ground(of));
      return invalid && inMetric(whyInvalid(invalid));
    };
    expect(told({ height: 0 })).toBe("The height is nothing, and neither a slope nor a point raises it.");
    expect(told({ bank: 16 })).toBe("The bank of 16 m leaves nothing within it.");
    expect(told({ spots: [{ x: 50, y: 3, z: 2 }] })).toMatch(/lies outside of its area/);
    expect(
      told({
        footprint: xy([
          [0, 0],
          [9, 9],
          [9, 0],
          [0, 5],
        ]),
      }),
    ).toMatch(/crosses itself/);
  });
});

describe("what stands on raised ground", () => {
  const slope = ground({ height: 0, slope: { heading: 0, grade: 10 } });
  const house: Element = {
    id: "h",
    kind: "building",
    name: "Chandler's",
    footprint: rectangle(10, 10, 18, 20),
    base: 0,
    height: 7,
    storeys: 2,
    roof: { kind: "gable", rise: 2 },
    windows: { every: 2.5, width: 1, height: 1.3, sill: 0.9 },
    doors: [
      { x: 14, y: 10, width: 1, height: 2.1 },
      { x: 18, y: 15, width: 1, height: 2.1 },
    ],
  };

  it("is a building on the lowest ground under it, its doors on the ground before them", () => {
    const { solids, details } = built([slope, house]);
    const feet = solids.filter(({ id }) => id === "h").flatMap(({ vertices }) => vertices.map(([, , z]) => z));
    expect(Math.min(...feet)).toBeCloseTo(1, 9);
    expect(Math.max(...feet)).toBeCloseTo(10, 9);
    const doors = details.filter(({ kind }) => kind === "door").flatMap(({ a, b }) => [a[2], b[2]]);
    // One in the front, at the foot of the wall; one in the side, where the ground is half a metre higher (5 m on).
    expect(Math.min(...doors)).toBeCloseTo(1, 6);
    expect(Math.max(...doors)).toBeCloseTo(0.1 * 15.5 + 2.1, 6);
    for (const { kind, a } of details) if (kind === "window") expect(a[2]).toBeGreaterThan(0.1 * a[1]);
  });

  it("is a street whose kerbs keep their height, and whose pavements their volume", () => {
    fc.assert(
      fc.property(between(-60, 100), between(-60, 100), between(0, 30), between(0.5, 5), (x, x2, grade, z) => {
        const street: Element = {
          id: "s",
          kind: "street",
          name: "Rope Lane",
          path: xy([
            [x, -30],
            [x2, 70],
          ]),
          ...DEFAULT_STREET,
        };
        const world = [
          ground({ height: 0, slope: { heading: 20, grade: grade + 0.5 }, spots: [{ x: 20, y: 15, z }] }),
          ground({ footprint: rectangle(25, 20, 60, 60), height: 2 }, "t"),
          street,
        ];
        fc.pre(Math.abs(x - x2) < 100);
        expect(volumes(world, "s")).toBeCloseTo(volumes([street], "s"), 4);
        const terrain = terrainOf(world);
        for (const solid of built(world).solids.filter(({ id }) => id === "s")) {
          expect(whyOpen(solid, 0)).toBeNull();
        }
        const { details } = built(world);
        for (const { kind, a, b } of details) {
          const lifted = kind === "joint" ? DEFAULT_STREET.kerb : 0;
          const at: Vec2 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
          expect((a[2] + b[2]) / 2 - groundAt(terrain, at)).toBeCloseTo(lifted, 5);
        }
      }),
      { numRuns: 25 },
    );
  });

  it("is raised place by place where it covers next to nothing, and closed", () => {
    // A plaza of less than a square millimetre.
    const sliver: Element = {
      id: "q",
      kind: "square",
      name: "Tip",
      footprint: xy([
        [10, 10],
        [10.0013, 10],
        [10.0013, 10.0013],
      ]),
      heading: 0,
      ...DEFAULT_SQUARE,
      slabs: undefined,
    };
    const solids = built([slope, sliver]).solids.filter(({ id }) => id === "q");
    expect(solids).toHaveLength(1);
    expect(whyOpen(solids[0])).toBeNull();
    // The slope rises a tenth of a metre for each to the north: 1 m at 10 m.
    expect(Math.min(...solids[0].vertices.map(([, , z]) => z))).toBeCloseTo(1, 3);
  });

  it("is a bridge between the heights of its ends, and a square that follows", () => {
    const bridge: Element = {
      id: "b",
      kind: "bridge",
      name: "High Walk",
      path: xy([
        [10, 25],
        [10, 50],
      ]),
      ...DEFAULT_BRIDGE,
    };
    const square: Element = {
      id: "q",
      kind: "square",
      name: "Net Yard",
      footprint: rectangle(30, 20, 50, 28),
      heading: 0,
      ...DEFAULT_SQUARE,
    };
    const { solids } = built([slope, bridge, square]);
    const deck = solids.find(({ id }) => id === "b")!;
    const tops = deck.vertices.filter(([, y]) => y === 25).map(([, , z]) => z);
    expect(Math.max(...tops)).toBeCloseTo(2.5 + DEFAULT_BRIDGE.level, 6);
    expect(whyOpen(deck)).toBeNull();
    expect(volumes([slope, square], "q")).toBeCloseTo(
      (areaTwice([
        [30, 20],
        [50, 20],
        [50, 28],
        [30, 28],
      ]) /
        2) *
        DEFAULT_SQUARE.kerb,
      6,
    );
  });
});
