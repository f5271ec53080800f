import fc from "fast-check";
import { anyStar, whyOpen } from "../../testing";
import type { Vec2 } from "../geometry";
import { build, newBuilding, validateBuilding, volumeOf, type Building } from ".";

const points = (corners: readonly Vec2[]) => corners.map(([x, y]) => ({ x, y }));
const building = (footprint: readonly Vec2[], change: Partial<Building> = {}): Building =>
  newBuilding({
    id: "b",
    name: "Net loft",
    footprint: points(footprint),
    base: 0,
    height: 5,
    roof: { kind: "hip", rise: 2 },
    ...change,
  });
const ELL: Vec2[] = [
  [0, 0],
  [10, 0],
  [10, 4],
  [4, 4],
  [4, 12],
  [0, 12],
];
const SQUARE: Vec2[] = [
  [0, 0],
  [12, 0],
  [12, 12],
  [0, 12],
];
const COURT: Vec2[] = [
  [4, 4],
  [8, 4],
  [8, 8],
  [4, 8],
];
const total = (one: Building) => build([one]).reduce((sum, solid) => sum + volumeOf(solid), 0);

describe("hip and gable roofs on any footprint", () => {
  it("enclose what their cross-section, drawn along its middle line, does", () => {
    // Pappus: a triangle 4 m wide and 2 m high, along 8 m and 10 m from the corner of the middle line at (2, 2).
    const gabled = building(ELL, { roof: { kind: "gable", rise: 2 } });
    expect(total(gabled) - 5 * 72).toBeCloseTo(4 * 18, 6);
    // Around a court, along a square of 8 m a side.
    const court = { courtyards: [points(COURT)] };
    expect(total(building(SQUARE, court)) - 5 * (144 - 16)).toBeCloseTo(4 * 32, 6);
    // Hipped, 2 m of a prism at the end of each wing become half of a pyramid over 4 m by 4 m.
    expect(total(building(ELL)) - 5 * 72).toBeCloseTo(4 * 18 - 2 * (4 * 2 - (4 * 4 * 2) / 3 / 2), 6);
  });

  it("have the same walls and faces named by their sides, gables being part of their walls", () => {
    const [solid] = build([building(ELL, { roof: { kind: "gable", rise: 2 } })]);
    expect(solid.faces.map(({ name }) => name).sort()).toEqual(
      ["bottom", ...[0, 1, 2, 3, 4, 5].map((i) => `wall ${i}`), ...[0, 2, 3, 5].map((i) => `roof ${i}`)].sort(),
    );
    expect(solid.faces.find(({ name }) => name === "wall 1")!.loop).toHaveLength(5);
  });

  it("reach out over the sides that slope, and end flush at gables", () => {
    const oblong: Vec2[] = [
      [0, 0],
      [10, 0],
      [10, 4],
      [0, 4],
    ];
    const gabled = building(oblong, { roof: { kind: "gable", rise: 2, overhang: 0.5 } });
    // A prism 5 m wide and 2 m high, 10 m long, over walls 5 m high.
    expect(total(gabled)).toBeCloseTo(5 * 40 + 5 * 10, 6);
    const hipped = build([building(oblong, { roof: { kind: "hip", rise: 2, overhang: 0.5 } })]);
    expect(hipped.map(({ part }) => part)).toEqual(["tier 0", "roof"]);
    expect(Math.min(...hipped[1].vertices.map(([x]) => x))).toBeCloseTo(-0.5, 9);
    const ell = build([building(ELL, { roof: { kind: "gable", rise: 2, overhang: 0.5 } })])[1];
    // The wings' ends are flush, their long sides half a metre out.
    expect([Math.max(...ell.vertices.map(([x]) => x)), Math.min(...ell.vertices.map(([x]) => x))]).toEqual([
      expect.closeTo(10, 9),
      expect.closeTo(-0.5, 9),
    ]);
  });

  it("say why they cannot be", () => {
    const why = (footprint: readonly Vec2[], change: Partial<Building>) =>
      validateBuilding(building(footprint, change));
    const round = Array.from({ length: 130 }, (_, i): Vec2 => [
      9 * Math.cos((i * Math.PI) / 65),
      9 * Math.sin((i * Math.PI) / 65),
    ]);
    expect(why(round, {})?.message).toMatch(/^cannot be "hip" here: it needs a footprint of 120 corners or fewer/);
    expect(why(round.slice(0, 32), { round: true })?.message).toMatch(/a round wall takes a cone/);
    expect(why(SQUARE, { roof: { kind: "flat", overhang: 0.5 } })).toMatchObject({ field: "roof/overhang" });
    expect(why(SQUARE, { courtyards: [points(COURT)], roof: { kind: "hip", overhang: 0.5 } })?.message).toBe(
      "does not go with a courtyard.",
    );
    expect(why(SQUARE, { courtyards: [points(COURT)], roof: { kind: "pyramid" } })?.message).toMatch(/^must be hip/);
    const narrow: Vec2[] = [
      [0, 0],
      [9, 0],
      [9, 6],
      [5.2, 6],
      [5.2, 2],
      [5, 2],
      [5, 6],
      [0, 6],
    ];
    expect(why(narrow, { roof: { kind: "hip", overhang: 0.5 } })?.message).toMatch(/more than there is room for/);
  });

  it("are closed on any slanted footprint, and rise as high as they are said to", () => {
    fc.assert(
      fc.property(anyStar(9), fc.constantFrom("hip", "gable"), (footprint, kind) => {
        const one = building(footprint, { roof: { kind: kind as "hip", rise: 3 } });
        fc.pre(validateBuilding(one) === null);
        const solids = build([one]);
        expect(solids.map((solid) => whyOpen(solid))).toEqual(solids.map(() => null));
        expect(Math.max(...solids.flatMap(({ vertices }) => vertices.map(([, , z]) => z)))).toBeCloseTo(8, 6);
      }),
      { numRuns: 150 },
    );
  });
});
