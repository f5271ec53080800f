import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { distance2, norm, onCubic, sub, type Vec3 } from "../geometry";
import {
  build,
  built,
  catenaryFor,
  facing,
  HABITS,
  newPlant,
  newStreetFurniture,
  STREET_THINGS,
  wireBetween,
  type Element,
  type Habit,
  type StreetThing,
} from ".";

const line = (long: number) => [
  { x: 0, y: 0 },
  { x: long, y: 0 },
];

describe("trees", () => {
  it("stand along their line by their rhythm, from its first place on", () => {
    fc.assert(
      fc.property(between(5, 200), between(2, 12), (long, every) => {
        const plant: Element = { ...newPlant("round", line(long), 4), id: "a", name: "Avenue", every };
        const solids = build([plant]);
        expect(solids).toHaveLength(Math.floor(long / every + 1e-6) + 1);
        const middles = solids.map(({ shape }) => (shape?.kind === "hulls" ? shape.at : [NaN, NaN, NaN]));
        middles.forEach(([x, y], i) => expect([x, y]).toEqual([expect.closeTo(i * every, 6), expect.closeTo(0, 6)]));
      }),
      { numRuns: 20 },
    );
  });

  it.each(Object.keys(HABITS) as Habit[])(
    "%s keep within their height and spread, and over their clear trunk",
    (habit) => {
      const { height, spread, clear } = HABITS[habit];
      for (const seed of [1, 2, 3, 99]) {
        const [solid] = build([{ ...newPlant(habit, [{ x: 0, y: 0 }], seed), id: "t", name: "Tree" }]);
        const heights = solid.vertices.map(([, , z]) => z);
        expect(Math.max(...heights)).toBeLessThan(height * 1.02);
        expect(Math.max(...heights)).toBeGreaterThan(height * 0.9);
        const card = facing(solid, [0, -60, 2], { within: 1e-5 });
        const places = card.faces[0].pieces.flat().map((n) => card.vertices[n]);
        const wide = Math.max(...places.map(([x]) => x)) - Math.min(...places.map(([x]) => x));
        expect(wide).toBeLessThan(spread * 1.25);
        expect(wide).toBeGreaterThan(spread * 0.6);
        // Between the ground and its crown there is but the trunk.
        const low = places.filter(([, , z]) => z < clear * 0.8);
        if (clear > 0) for (const [x] of low) expect(Math.abs(x)).toBeLessThan(0.06 * height);
      }
    },
  );

  it("are the same from all sides for the same chance, and others for another", () => {
    const outline = (seed: number) =>
      facing(build([{ ...newPlant("round", [{ x: 0, y: 0 }], seed), id: "t", name: "Tree" }])[0], [0, -30, 2], {
        within: 1e-4,
      }).vertices;
    expect(outline(5)).toEqual(outline(5));
    expect(outline(5)).not.toEqual(outline(6));
  });
});

describe("wires", () => {
  it("hang as catenaries through both ends: z'' = sqrt(1 + z'^2) / c", () => {
    fc.assert(
      fc.property(between(5, 60), between(-3, 3), between(0.02, 0.3), (span, rise, share) => {
        const sag = share * span;
        const c = catenaryFor(span, sag);
        const [p, q]: Vec3[] = [
          [1, 2, 8],
          [1 + span * 0.6, 2 + span * 0.8, 8 + rise],
        ];
        const pieces = wireBetween(p, q, sag);
        expect(norm(sub(pieces[0].a, p))).toBeLessThan(1e-6);
        expect(norm(sub(pieces[pieces.length - 1].b, q))).toBeLessThan(1e-6);
        const step = span / pieces.length;
        for (const { a, b, bend } of pieces) {
          const [from, to] = bend.map((way) => way[2] / step);
          // asinh of the slope grows evenly along the level: by the length over c.
          expect(Math.asinh(to) - Math.asinh(from)).toBeCloseTo(step / c, 6);
          const middle = onCubic(a, b, ...bend, 0.5).at;
          const lowest = -c * Math.asinh(from);
          const exact = a[2] + c * (Math.cosh((step / 2 - lowest) / c) - Math.cosh(lowest / c));
          expect(Math.abs(middle[2] - exact)).toBeLessThan(2e-4 * span);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("hang through by what is said between ends of one height, and run from each pole to the next", () => {
    const [first, second] = [wireBetween([0, 0, 8], [40, 0, 8], 0.9).slice(3, 5), line(120)];
    expect(8 - first[0].b[2]).toBeCloseTo(0.9, 9);
    const poles: Element = { ...newStreetFurniture("pole", second), id: "p", name: "Poles", wires: 3 };
    const { details } = built([poles]);
    expect(details.every(({ kind }) => kind === "wire")).toBe(true);
    expect(details).toHaveLength(3 * 3 * 8);
  });
});

describe("street furniture", () => {
  it.each(Object.keys(STREET_THINGS) as StreetThing[])(
    "a %s stands on the ground, as high as it is said to be",
    (thing) => {
      const { height } = STREET_THINGS[thing];
      const solids = build([{ ...newStreetFurniture(thing, [{ x: 3, y: 4 }], 20), id: "s", name: "Thing" }]);
      const heights = solids.flatMap(({ vertices }) => vertices.map(([, , z]) => z));
      // A quay's ladder hangs down, from hoops that stand over the edge.
      const [foot, top] = thing === "quayLadder" ? [-height, 0.9] : [0, height];
      expect(Math.min(...heights)).toBeCloseTo(foot, 6);
      expect(Math.abs(Math.max(...heights) / top - 1)).toBeLessThan(0.03);
      for (const { vertices } of solids)
        for (const [x, y] of vertices) expect(distance2([x, y], [3, 4])).toBeLessThan(4);
    },
  );

  it("a leaning ladder stands clear of what it leans on, a quarter of its height off at its foot, in closed solids", () => {
    const solids = build([{ ...newStreetFurniture("ladder", [{ x: 0, y: 0 }], 0), id: "s", name: "Ladder" }]);
    const places = solids.flatMap(({ vertices }) => vertices);
    expect(Math.min(...places.map(([, y]) => y))).toBeCloseTo(0, 9);
    const feet = places.filter(([, , z]) => z === 0).map(([, y]) => y);
    expect((Math.min(...feet) + Math.max(...feet)) / 2).toBeCloseTo(4 / 4 + 0.035, 9);
    // Two stiles, and rungs 0.28 m apart between them.
    const levels = solids.slice(2).map(({ vertices }) => vertices.reduce((sum, p) => sum + p[2] / vertices.length, 0));
    expect(levels.slice(1).every((z, i) => Math.abs(z - levels[i] - 0.28) < 1e-9)).toBe(true);
    for (const solid of solids) expect(whyOpen(solid)).toBeNull();
  });

  it("faces to the right of its line", () => {
    const [solid] = build([{ ...newStreetFurniture("lamp", line(60)), id: "s", name: "Lamps" }]);
    const ys = solid.vertices.map(([, y]) => y);
    expect(Math.min(...ys)).toBeLessThan(-1);
    expect(Math.max(...ys)).toBeLessThan(0.2);
  });
});
