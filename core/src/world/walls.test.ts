import fc from "fast-check";
import { between, whyOpen, xy } from "../../testing";
import type { Vec2 } from "../geometry";
import { footOn } from "./path";
import {
  built,
  DEFAULT_ROW,
  DEFAULT_WALLS,
  fillRow,
  groundAt,
  isWithin,
  lengthOf,
  outlineOf,
  pathOf,
  rowBoundaries,
  terrainOf,
  validateElement,
  volumeOf,
  type Element,
  type Rails,
  type Row,
  type Wall,
} from ".";

const wall = (path: readonly Vec2[], of: Partial<Wall> = {}): Wall => ({
  id: "w",
  kind: "wall",
  name: "Garden wall",
  path: xy(path),
  ...DEFAULT_WALLS.wall,
  ...of,
});
const hill: Element = {
  id: "g",
  kind: "ground",
  name: "Gull Bank",
  footprint: xy([
    [-10, -20],
    [40, -20],
    [40, 30],
    [-10, 30],
  ]),
  height: 0,
  slope: { heading: 90, grade: 12 },
};

describe("a wall", () => {
  it("is closed however it bends, and its gates take their width of it", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(between(-40, 40), between(-40, 40)), { minLength: 2, maxLength: 6 }),
        between(0.05, 2),
        fc.option(between(1, 20)),
        (path, thickness, bend) => {
          const one = wall(path, { thickness, ...(bend === null ? {} : { bend }) });
          fc.pre(validateElement(one) === null && lengthOf(pathOf(one)) > 0.1);
          for (const solid of built([one]).solids) {
            // A path that crosses itself goes around courts, and so through the solid.
            const courts = solid.faces.find(({ name }) => name === "top")?.holes?.length ?? 0;
            expect(whyOpen(solid, courts)).toBeNull();
          }
        },
      ),
      { numRuns: 60 },
    );
    const straight = wall(
      [
        [0, 0],
        [20, 0],
      ],
      {
        gates: [
          { at: 5, width: 1.2 },
          { at: 12, width: 3 },
        ],
      },
    );
    const { solids } = built([straight]);
    expect(solids).toHaveLength(3);
    const volume = solids.reduce((sum, solid) => sum + volumeOf(solid), 0);
    expect(volume).toBeCloseTo((20 - 4.2) * 0.3 * 1.8, 6);
    expect(validateElement({ ...straight, gates: [{ at: 19.8, width: 1 }] })).toMatchObject({ field: "gates/0" });
  });

  it("follows the ground, and so do the bars of a railing and the boards of a fence", () => {
    const path: Vec2[] = [
      [-15, 3],
      [20, 9],
    ];
    const terrain = terrainOf([hill]);
    for (const kind of ["railing", "fence"] as const) {
      const { details } = built([hill, wall(path, { of: kind, ...DEFAULT_WALLS[kind] })]);
      const bars = details.filter((one) => one.kind === "bar");
      expect(bars.length).toBeGreaterThan(200);
      for (const { a, b } of bars) {
        expect([b[0] - a[0], b[1] - a[1]]).toEqual([0, 0]);
        expect(Math.min(a[2], b[2])).toBeCloseTo(groundAt(terrain, [a[0], a[1]]), 5);
        expect(Math.abs(b[2] - a[2])).toBeCloseTo(DEFAULT_WALLS[kind].height, 6);
      }
    }
    const high = built([hill, wall(path)]).solids.filter(({ id }) => id === "w");
    expect(high.reduce((sum, solid) => sum + volumeOf(solid), 0)).toBeCloseTo(
      built([wall(path)]).solids.reduce((sum, solid) => sum + volumeOf(solid), 0),
      5,
    );
  });
});

describe("rails", () => {
  it("lie as far apart as the standard gauge, or as is typed, along any curve (4 ft 8 1/2 in)", () => {
    const track = (of: Partial<Rails>): Rails => ({
      id: "r",
      kind: "rails",
      name: "Line",
      path: xy([
        [0, 0],
        [60, 0],
        [90, 40],
      ]),
      bend: 30,
      ...of,
    });
    for (const gauge of [undefined, 1]) {
      const { details } = built([track({ gauge })]);
      const middle = pathOf(track({}));
      for (const { kind, a, b } of details.filter((one) => one.kind === "rail")) {
        expect(kind).toBe("rail");
        const off = footOn([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], middle).off;
        expect(off).toBeCloseTo((gauge ?? 56.5 * 0.0254) / 2, 3);
      }
    }
    expect(built([track({ bed: "sleepers" })]).details.filter(({ kind }) => kind === "bed").length % 4).toBe(0);
  });
});

describe("what stands between house and kerb", () => {
  const row = (of: Partial<Row>): Row => ({
    id: "r",
    name: "Ferry row",
    from: { x: 3, y: 4 },
    to: { x: 63, y: 84 },
    ...DEFAULT_ROW,
    seed: 7,
    front: { depth: 2.5, of: "railing" },
    yards: { depth: 6, of: "wall" },
    ...of,
  });

  it("is a forecourt as deep as the rule says, with a gate before each door", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), between(0.6, 6), between(0, 90), (seed, depth, alleys) => {
        const one = row({ seed, alleys, front: { depth, of: "hedge" } });
        const houses = fillRow(one, [], String);
        const [front] = rowBoundaries(one, houses, (n) => `w${n}`);
        expect(validateElement(front)).toBeNull();
        for (const house of houses) {
          // The row's line runs (0.6, 0.8): its lots lie to the right, along (0.8, -0.6).
          const into = outlineOf(house).map(([x, y]) => (x - 3) * 0.8 - (y - 4) * 0.6);
          expect(Math.min(...into)).toBeCloseTo(depth, 6);
          const along = depth + footOn([house.doors![0].x, house.doors![0].y], pathOf(front).slice(1, 3)).along;
          expect(front.gates!.some(({ at, width }) => Math.abs(at - along) < width / 2)).toBe(true);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("is open before a passage, as wide as that is", () => {
    const one = row({ alleys: 0 });
    const [first, ...others] = fillRow(one, [], String);
    const [{ x, y }] = first.doors!;
    const carriage = { ...first, doors: undefined, passages: [{ x, y, width: 3.2, height: 3.5 }] };
    const [front] = rowBoundaries(one, [carriage, ...others], String);
    expect(front.gates!.some(({ width }) => Math.abs(width - 3.2) < 1e-9)).toBe(true);
  });

  it("is a yard behind each house, within boundaries that run into no house", () => {
    const one = row({});
    const houses = fillRow(one, [], String);
    const walls = rowBoundaries(one, houses, (n) => `w${n}`);
    expect(walls).toHaveLength(1 + houses.length);
    expect(new Set(walls.map(({ id }) => id)).size).toBe(walls.length);
    for (const each of walls) {
      expect(validateElement(each)).toBeNull();
      for (const at of pathOf(each))
        for (const house of houses) {
          const [[x0, y0]] = outlineOf(house);
          const centre = outlineOf(house).reduce(
            ([x, y], [px, py]) => [x + (px - x0) / 4, y + (py - y0) / 4],
            [x0, y0],
          );
          // A little towards the middle of the house, so that a place on its wall is not within.
          const out = outlineOf(house).map(([x, y]): Vec2 => [
            centre[0] + 0.999 * (x - centre[0]),
            centre[1] + 0.999 * (y - centre[1]),
          ]);
          expect(isWithin(at, out)).toBe(false);
        }
    }
  });

  it("goes around the rim of a lot, whose houses stand back from it", () => {
    const lot = xy([
      [0, 0],
      [60, 0],
      [60, 50],
      [0, 50],
    ]);
    const one = row({ from: undefined, to: undefined, lot, front: { depth: 3, of: "wall" }, yards: undefined });
    const houses = fillRow(one, [], String);
    expect(houses.length).toBeGreaterThan(8);
    for (const house of houses)
      for (const [x, y] of outlineOf(house)) expect(Math.min(x, y, 60 - x, 50 - y)).toBeGreaterThan(3 - 1e-6);
    const [rim] = rowBoundaries(one, houses, String);
    expect(lengthOf(pathOf(rim))).toBeCloseTo(220, 6);
    expect(rim.gates!.length).toBeGreaterThan(8);
  });
});
