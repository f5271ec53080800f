import { inMetric } from "../units";
import fc from "fast-check";
import type { Vec2 } from "../geometry";
import { between } from "../../testing";
import { intersectionCurves } from "../visibility/intersections";
import {
  buildBuilding,
  built,
  circle,
  encloses,
  validateBuilding,
  moved,
  ROOFS,
  slopeOf,
  volumeOf,
  type Building,
  type RoofKind,
} from ".";

const building = (points: readonly Vec2[], change: Partial<Building> = {}): Building => ({
  id: "b",
  kind: "building",
  name: "B",
  footprint: points.map(([x, y]) => ({ x, y })),
  base: 0,
  height: 6,
  roof: { kind: "flat" },
  ...change,
});
const turned = (points: readonly Vec2[], degrees: number): Vec2[] => {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return points.map(([x, y]) => [c * x - s * y, s * x + c * y]);
};
const rectangle = (l: number, w: number): Vec2[] => [
  [0, 0],
  [l, 0],
  [l, w],
  [0, w],
];
const ELL: Vec2[] = [
  [0, 0],
  [12, 0],
  [12, 5],
  [5, 5],
  [5, 11],
  [0, 11],
];

/** The volume of a roof over a rectangle l long and w wide, with rise r, by the school's formulas. */
const ROOM: Readonly<
  Record<
    Exclude<RoofKind, "mansard" | "dome" | "cone" | "spire" | "barrel">,
    (l: number, w: number, r: number) => number
  >
> = {
  // A parapet of 0.3 m stands on the rim.
  flat: (l, w, r) => (l * w - (l - 0.6) * (w - 0.6)) * r,
  shed: (l, w, r) => (l * w * r) / 2,
  gable: (l, w, r) => (l * w * r) / 2,
  // A ridge prism and two half pyramids.
  hip: (l, w, r) => ((l - w) * w * r) / 2 + (w * w * r) / 3,
  pyramid: (l, w, r) => (l * w * r) / 3,
  "saw-tooth": (l, w, r) => (l * w * r) / 2,
};

describe("a building", () => {
  it(
    "is a closed solid whatever its roof: every edge on two faces, Euler's sum 2, outward, with the volume that " +
      "geometry gives",
    () => {
      fc.assert(
        fc.property(
          between(8, 30),
          between(3, 7.9),
          between(1, 5),
          between(0, 360),
          between(-2, 9),
          fc.constantFrom(...(Object.keys(ROOFS) as RoofKind[])),
          fc.boolean(),
          (l, w, rise, turn, base, kind, reversed) => {
            const corners = turned(rectangle(l, w), turn);
            const one = building(reversed ? [...corners].reverse() : corners, {
              base,
              roof: { kind, rise: Math.min(rise, w / 2) },
            });
            expect(validateBuilding(one)).toBeNull();
            const [solid, ...more] = buildBuilding(one);
            expect(more).toEqual([]);
            const { vertices, faces, edges } = solid;
            const sides = faces.reduce((sum, { loop }) => sum + loop.length, 0);
            expect(edges).toHaveLength(sides / 2);
            // A parapet's inner court makes no hole through the solid: it is a sphere, too.
            expect(vertices.length - edges.length + faces.length).toBe(2);
            const r = Math.min(rise, w / 2);
            const over = volumeOf(solid) - l * w * 6;
            if (kind in ROOM) expect(over).toBeCloseTo(ROOM[kind as keyof typeof ROOM](l, w, r), 6);
            else expect(over).toBeGreaterThan(0);
            // Cones and spires over a rectangle are pyramids; a barrel is a segment of a circle, in equal facets.
            if (kind === "cone" || kind === "spire") expect(over).toBeCloseTo((l * w * r) / 3, 6);
            if (kind === "barrel") {
              const radius = (w * w) / (8 * r) + r / 2;
              const turn = 2 * Math.asin(Math.min(1, w / 2 / radius));
              const facets = solid.faces.filter(({ round }) => round !== undefined).length;
              const segment = (radius * radius * (facets * Math.sin(turn / facets) - Math.sin(turn))) / 2;
              expect(over / l).toBeCloseTo(segment, 6);
            }
            const inside = (z: number) =>
              encloses(solid, [
                (corners[0][0] + corners[2][0]) / 2 + 0.011,
                (corners[0][1] + corners[2][1]) / 2 + 0.007,
                z,
              ]);
            expect([inside(base + 3), inside(base - 0.1), inside(base + 6 + r + 0.01)]).toEqual([true, false, false]);
          },
        ),
        { numRuns: 150 },
      );
    },
  );

  it("stands on any footprint; its top is one face, in convex pieces that cover it", () => {
    const [solid] = buildBuilding(building(ELL));
    expect(volumeOf(solid)).toBeCloseTo((12 * 5 + 5 * 6) * 6, 9);
    expect([solid.convex, solid.edges.filter(({ concave }) => concave).length]).toEqual([false, 1]);
    const top = solid.faces.find(({ normal }) => normal[2] > 0.99)!;
    expect(top.loop).toHaveLength(6);
    const area = (loop: readonly number[]) =>
      Math.abs(
        loop.reduce(
          (sum, n, i) =>
            sum +
            solid.vertices[n][0] * solid.vertices[loop[(i + 1) % loop.length]][1] -
            solid.vertices[loop[(i + 1) % loop.length]][0] * solid.vertices[n][1],
          0,
        ),
      ) / 2;
    expect(top.pieces.reduce((sum, piece) => sum + area(piece), 0)).toBeCloseTo(90, 9);
    const drum = buildBuilding(building(circle([3, 4], 5, 48), { round: true, roof: { kind: "dome", rise: 5 } }))[0];
    // Half a ball on a drum, in facets within a centimetre: a little less than the round one.
    const round = Math.PI * 25 * 6 + (2 / 3) * Math.PI * 125;
    expect(volumeOf(drum) / round).toBeGreaterThan(0.99);
    expect(volumeOf(drum)).toBeLessThan(round);
    const rims = (solid: typeof drum) =>
      new Set(solid.edges.filter(({ smooth }) => !smooth).map(({ a }) => solid.vertices[a][2].toFixed(6))).size;
    expect(rims(drum)).toBe(1);
    // Under a cone the eaves are an edge, too.
    const cone = building(circle([3, 4], 5, 48), { round: true, roof: { kind: "cone", rise: 5 } });
    expect(rims(buildBuilding(cone)[0])).toBe(2);
  });

  it("is set back tier by tier, each on the one below", () => {
    const tiers = buildBuilding(
      building(rectangle(20, 16), {
        setbacks: [
          { inset: 2, height: 5 },
          { inset: 3, height: 9 },
        ],
        roof: { kind: "pyramid", rise: 4 },
      }),
    );
    expect(tiers.map(volumeOf)).toEqual([
      expect.closeTo(20 * 16 * 6, 6),
      expect.closeTo(16 * 12 * 5, 6),
      expect.closeTo(10 * 6 * 9 + (10 * 6 * 4) / 3, 6),
    ]);
    const feet = tiers.map(({ vertices }) => Math.min(...vertices.map(([, , z]) => z)));
    expect(feet).toEqual([0, 6, 11]);
  });

  it("has chimneys through its roof, whose lines of meeting are those of the slopes", () => {
    const house = building(rectangle(12, 8), {
      roof: { kind: "gable", rise: 4 },
      chimneys: [{ x: 6, y: 2, side: 0.8, rise: 5 }],
    });
    const solids = buildBuilding(house);
    expect(solids.map(volumeOf)).toEqual([
      expect.closeTo(12 * 8 * 6 + (12 * 8 * 4) / 2, 6),
      expect.closeTo(0.64 * 6, 6),
    ]);
    // The south slope rises 1 m a metre: the stack leaves it from 7.6 to 8.4 m, level along its two sides and
    // slanting up the others.
    const found = intersectionCurves(solids).map(({ a, b }) => [a[2], b[2]].sort());
    // Moved, the stacks go along.
    expect(moved(house, 3, -2)).toMatchObject({
      footprint: [{ x: 3, y: -2 }, {}, {}, {}],
      chimneys: [{ x: 9, y: 0, side: 0.8 }],
    });
    expect(found).toHaveLength(4);
    expect(found.map(([low, high]) => [Number(low.toFixed(6)), Number(high.toFixed(6))]).sort()).toEqual([
      [7.6, 7.6],
      [7.6, 8.4],
      [7.6, 8.4],
      [8.4, 8.4],
    ]);
  });

  it("slopes across its ridge as steeply as its rise and run say", () => {
    const roofed = (kind: RoofKind, turned?: boolean) =>
      slopeOf(building(rectangle(12, 8), { roof: { kind, rise: 4, turned } }));
    // A ridge along 12 m, eastwards: 4 m up over 4 m, to the north; turned, over 6 m, across the other way.
    expect(roofed("gable")).toEqual({ heading: expect.closeTo(0, 6), rise: expect.closeTo(45, 9) });
    expect(roofed("gable", true)).toEqual({
      heading: expect.closeTo(-90, 6),
      rise: expect.closeTo((Math.atan2(4, 6) * 180) / Math.PI, 9),
    });
    expect(roofed("shed")!.rise).toBeCloseTo((Math.atan2(4, 8) * 180) / Math.PI, 9);
    expect([roofed("flat"), roofed("dome"), slopeOf(building(ELL))]).toEqual([null, null, null]);
  });

  it("says why it cannot stand: crossed, without area, set back to nothing, a roof that does not fit", () => {
    const why = (points: readonly Vec2[], change: Partial<Building> = {}) => validateBuilding(building(points, change));
    expect(
      why([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ).toEqual({ field: "footprint", message: "crosses itself: its sides 1 and 3 cut each other." });
    expect(
      why([
        [0, 0],
        [5, 5],
        [9, 9],
      ]),
    ).toMatchObject({ field: "footprint", message: expect.stringContaining("no area") });
    expect(
      why(rectangle(10, 6), {
        setbacks: [
          { inset: 2, height: 3 },
          { inset: 2, height: 3 },
        ],
      }),
    ).toMatchObject({ field: "setbacks/1/inset" });
    expect(why(ELL, { roof: { kind: "shed" } })).toMatchObject({
      field: "roof/kind",
      message: expect.stringContaining("four square corners"),
    });
    expect(why(ELL, { roof: { kind: "dome" } })).toMatchObject({
      field: "roof/kind",
      message: expect.stringContaining("all bend outwards"),
    });
    expect(why(rectangle(8, 0.5), { roof: { kind: "flat", rise: 1 } })).toMatchObject({ field: "roof/rise" });
    expect(buildBuilding(building(ELL, { roof: { kind: "shed" } }))).toEqual([]);
    // Ten thousand corners are looked through in no time, and stand.
    const wavy = Array.from({ length: 10_000 }, (_, i): Vec2 => {
      const t = (2 * Math.PI * i) / 10_000;
      const r = 50 + 5 * Math.sin(40 * t);
      return [r * Math.cos(t), r * Math.sin(t)];
    });
    expect(why(wavy)).toBeNull();
    const longest = buildBuilding(building(wavy))[0].edges.map(({ a, b }) => [a, b]);
    expect(longest.length).toBeGreaterThan(29_000);
  });

  it("has passages straight through its foot, square or arched, which take out what geometry says", () => {
    const cut = (change: Partial<Building>, points: readonly Vec2[] = rectangle(12, 8)) =>
      buildBuilding(building(points, change)).map(volumeOf)[0];
    expect(cut({ passages: [{ x: 5, y: -3, width: 3, height: 3.6 }] })).toBeCloseTo(12 * 8 * 6 - 3 * 3.6 * 8, 9);
    // Under an arch of 12 chords lies 12 / pi sin(pi / 12) of a half disc, on a square foot.
    const arch = 3 * (3.6 - 1.5) + ((12 * Math.sin(Math.PI / 12)) / 2) * 1.5 ** 2;
    expect(cut({ passages: [{ x: 5, y: 0, width: 3, height: 3.6, arch: true }] })).toBeCloseTo(
      12 * 8 * 6 - arch * 8,
      9,
    );
    // Two of them, one from either end of a gabled house, side by side; and one through the foot of an L.
    expect(
      cut({
        roof: { kind: "gable", rise: 2 },
        passages: [
          { x: 3, y: 0, width: 2, height: 3 },
          { x: 8, y: 8, width: 2, height: 3 },
        ],
      }),
    ).toBeCloseTo(12 * 8 * 6 + 12 * 8 - 2 * 2 * 3 * 8, 9);
    expect(cut({ passages: [{ x: 9, y: 0, width: 2, height: 3 }] }, ELL)).toBeCloseTo(90 * 6 - 2 * 3 * 5, 9);
    const why = (passage: NonNullable<Building["passages"]>[number], points: readonly Vec2[] = rectangle(12, 8)) =>
      validateBuilding(building(points, { passages: [passage] }))?.message;
    expect(why({ x: 5, y: 0, width: 13, height: 3 })).toContain("wider than its wall");
    expect(why({ x: 5, y: 0, width: 3, height: 5.9 })).toContain("reaches the eaves");
    expect(why({ x: 5, y: 0, width: 5, height: 2.5, arch: true })).toContain("no room under its arch");
    expect(why({ x: 5, y: 0, width: 3, height: 3 }, ELL)).toContain("does not come out through one wall");
    expect(
      validateBuilding(
        building(rectangle(12, 8), {
          passages: [
            { x: 6, y: 0, width: 3, height: 3 },
            { x: 0, y: 4, width: 3, height: 3 },
          ],
        }),
      ),
    ).toEqual({ field: "passages/1", message: "crosses another one." });
  });

  it("stands on sloping ground, or on level steps of it", () => {
    // The ground rises eastwards by 10 in a hundred: 1.2 m over 12 m.
    const on = (slope: NonNullable<Building["slope"]>) => buildBuilding(building(rectangle(12, 8), { slope }))[0];
    expect(volumeOf(on({ heading: 90, grade: 10 }))).toBeCloseTo(12 * 8 * 6 - (12 * 8 * 1.2) / 2, 9);
    const stepped = on({ heading: 90, grade: 10, steps: 4 });
    // Steps of 3 m at 0, 0.3, 0.6 and 0.9 m.
    expect(volumeOf(stepped)).toBeCloseTo(12 * 8 * 6 - 3 * 8 * (0.3 + 0.6 + 0.9), 9);
    expect([...new Set(stepped.vertices.map(([, , z]) => Number(z.toFixed(6))))].sort()).toEqual([0, 0.3, 0.6, 0.9, 6]);
    const steep = validateBuilding(building(rectangle(12, 8), { slope: { heading: 90, grade: 60 } }));
    expect(steep!.field).toBe("slope/grade");
    expect(inMetric(steep!.message)).toContain("7.20 m");
    expect(validateBuilding(building(ELL, { slope: { heading: 90, grade: 5, steps: 3 } }))).toMatchObject({
      field: "slope/steps",
    });
  });

  it("has windows in every storey and doors, on its walls, clear of one another and of passages", () => {
    const house = building(rectangle(12, 8), {
      storeys: 2,
      windows: { every: 3, width: 1, height: 1.2, sill: 0.9 },
      doors: [{ x: 6, y: -1, width: 1, height: 2.1 }],
    });
    const details = (one: Building) => built([one]).details;
    const on = details(house).map(({ a, b, on: at }) => ({
      a,
      b,
      normal: at!.solid.faces[at!.face].normal,
      offset: at!.solid.faces[at!.face].offset,
    }));
    // Every stroke lies on the wall that it is of.
    for (const { a, b, normal, offset } of on)
      for (const p of [a, b]) expect(p[0] * normal[0] + p[1] * normal[1] + p[2] * normal[2]).toBeCloseTo(offset, 6);
    // Three bays in 12 m less its ends, two in 8 m: ten to a storey, but for the middle one where the door is; a door
    // has no sill.
    expect(on).toHaveLength((2 * 10 - 1) * 4 + 3);
    expect([...new Set(on.map(({ a }) => Number(a[2].toFixed(3))))].sort((p, q) => p - q)).toEqual([
      0, 0.9, 2.1, 3.9, 5.1,
    ]);
    // Party walls have none: the two of 8 m.
    expect(details({ ...house, windows: { ...house.windows!, party: true } })).toHaveLength((2 * 6 - 1) * 4 + 3);
    // A passage 3 m wide and 3 m high in the middle of the back takes its window of the ground floor there, and the
    // door's wall's with it.
    expect(details({ ...house, doors: [], passages: [{ x: 6, y: 8, width: 3, height: 3 }] })).toHaveLength(
      (2 * 10 - 2) * 4,
    );
    expect(details({ ...house, hidden: true })).toEqual([]);
  });

  it("carries boxes on its roof, which move with it, and its openings", () => {
    const house = building(rectangle(12, 8), {
      boxes: [{ x: 6, y: 4, length: 3, width: 2, rise: 2.5 }],
      doors: [{ x: 6, y: 0, width: 1, height: 2 }],
      passages: [{ x: 3, y: 0, width: 1, height: 2 }],
    });
    expect(buildBuilding(house).map(volumeOf)).toEqual([
      expect.closeTo(12 * 8 * 6 - 1 * 2 * 8, 6),
      expect.closeTo(3 * 2 * 3.5, 6),
    ]);
    expect(moved(house, 1, 2)).toMatchObject({
      boxes: [{ x: 7, y: 6 }],
      doors: [{ x: 7, y: 2 }],
      passages: [{ x: 4, y: 2 }],
    });
  });
});
