import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { plainHouse, whyNot } from "../../testing/houses";
import type { Vec2 } from "../geometry";
import { coursed, hatched, herringbone, withinArea } from "./hatching";
import {
  areaTwice,
  built,
  COVERS,
  DEFAULT_SQUARE,
  dressOfWall,
  isWithin,
  LAID,
  validateSquare,
  volumeOf,
  type Building,
  type Dress,
  type Laid,
  type PatternId,
} from ".";

const long = (a: Vec2, b: Vec2) => Math.hypot(b[0] - a[0], b[1] - a[1]);
const square = (side: number): Vec2[] => [
  [0, 0],
  [side, 0],
  [side, side],
  [0, side],
];

describe("hatching", () => {
  it("keeps to an area with a hole, by plain arithmetic", () => {
    const hole: Vec2[] = [
      [4, 4],
      [4, 6],
      [6, 6],
      [6, 4],
    ];
    const kept = withinArea([square(10), hole], [-5, 5], [15, 5]);
    expect(kept.map(([a, b]) => [a[0], b[0]])).toEqual([
      [0, 4],
      [6, 10],
    ]);
    const lines = hatched([square(10)], [1, 0], 1);
    expect(lines).toHaveLength(9);
    expect(lines.every(({ a, b }) => Math.abs(long(a, b) - 10) < 1e-9)).toBe(true);
  });

  it("lays courses moved on by a half, as long together as the pieces ask for", () => {
    const lines = coursed([square(8)], [1, 0], { long: 2, high: 1, shift: 0.5 });
    // Seven beds of 8 m; in four courses three joints, in the other four four, each 1 m.
    const sum = lines.reduce((all, { a, b }) => all + long(a, b), 0);
    expect(sum).toBeCloseTo(7 * 8 + 4 * 3 + 4 * 4, 6);
  });

  it("lays a herringbone of whole pieces: each twice as long as wide", () => {
    const wide = 1;
    const far = square(24).map(([x, y]): Vec2 => [x - 12, y - 12]);
    const lines = herringbone([far], [1, 0], wide);
    const whole = lines.filter(({ a, b }) => [a, b].every(([x, y]) => Math.hypot(x, y) < 9));
    const lengths = new Set(whole.map(({ a, b }) => Number(long(a, b).toFixed(6))));
    expect(lengths).toEqual(new Set([1, 2]));
    // A piece has 2 m^2 and, of each of its edges shared with a neighbour, 3 m: 1.5 m of joint to each m^2.
    const middle = square(8).map(([x, y]): Vec2 => [x - 4, y - 4]);
    const within = lines.flatMap(({ a, b }) => withinArea([middle], a, b)).reduce((sum, [a, b]) => sum + long(a, b), 0);
    expect(within / 64).toBeCloseTo(1.5, 1);
  });

  it("never leaves its area, whatever that is", () => {
    const any = fc.array(fc.tuple(between(-9, 9), between(-9, 9)), { minLength: 3, maxLength: 7 });
    fc.assert(
      fc.property(any, between(0, 6), (ring, turn) => {
        fc.pre(Math.abs(areaTwice(ring)) > 1);
        const way: Vec2 = [Math.cos(turn), Math.sin(turn)];
        for (const lines of [coursed([ring], way, { long: 1.1, high: 0.7, shift: 0.5 }), herringbone([ring], way, 0.9)])
          for (const { a, b } of lines) expect(isWithin([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], ring)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe("what roofs are laid with", () => {
  const roofing = (building: Building) => built([building]).details.filter(({ kind }) => kind === "roofing");

  it("lies on their slopes alone, in level courses", () => {
    for (const cover of ["tiles", "pantiles", "slates"] as const) {
      const building = plainHouse({ roof: { kind: "gable", rise: 3, cover } });
      const lines = roofing(building);
      expect(lines.length).toBeGreaterThan(100);
      for (const { on, a, b } of lines) {
        const { normal, offset } = on!.solid.faces[on!.face];
        expect(normal[2]).toBeGreaterThan(0.1);
        for (const [x, y, z] of [a, b]) expect(normal[0] * x + normal[1] * y + normal[2] * z).toBeCloseTo(offset, 9);
      }
      // The ridge runs along the longer side, 4.5 m in and 3 m up: so many courses as their gauge goes into the slope.
      const courses = lines.filter(({ a, b }) => Math.abs(a[2] - b[2]) < 1e-9);
      expect(courses).toHaveLength(2 * Math.ceil(Math.hypot(4.5, 3) / COVERS[cover].gauge - 1 - 1e-9));
    }
  });

  it("is a hint where that is asked for, and not drawn where there is no slope, or too much of it", () => {
    const whole = roofing(plainHouse({ roof: { kind: "hip", rise: 3, cover: "slates" } }));
    const hint = roofing(plainHouse({ roof: { kind: "hip", rise: 3, cover: "slates", hint: true } }));
    const sum = (all: typeof whole) => all.reduce((l, { a, b }) => l + Math.hypot(a[0] - b[0], a[1] - b[1]), 0);
    expect(sum(hint)).toBeLessThan(0.7 * sum(whole));
    expect(
      roofing(plainHouse({ roof: { kind: "gable", rise: 3, overhang: 0.4, cover: "sheet" } })).length,
    ).toBeGreaterThan(20);
    expect(whyNot(plainHouse({ roof: { kind: "flat", cover: "tiles" } }))).toBe(
      "roof/cover does not go with a flat roof.",
    );
    const hall = plainHouse({ roof: { kind: "gable", rise: 3, cover: "tiles" } });
    const footprint = hall.footprint.map(({ x, y }) => ({ x: 5 * x, y: 5 * y }));
    expect(whyNot({ ...hall, footprint })).toMatch(/has too many pieces/);
  });
});

describe("bands that stand out, and pilasters", () => {
  const dressed = (dress: Dress, change: Partial<Building> = {}) => built([plainHouse({ dress, ...change })]);
  const bandsOf = (of: ReturnType<typeof built>) => of.solids.filter(({ part }) => part?.startsWith("band"));

  it("run around the corners as one, as much out everywhere", () => {
    const bands = bandsOf(dressed({ plinth: 0.6, courses: 0.2, cornice: 0.4, out: 0.1 }));
    expect(bands).toHaveLength(4);
    // Around 12 m by 9 m, 0.1 m out: 4.2 m of length and four corners of 0.01 m^2.
    const plan = 2 * (12 + 9) * 0.1 + 4 * 0.01;
    expect(bands.map((band) => volumeOf(band) / plan)).toEqual([0.6, 0.2, 0.2, 0.4].map((h) => expect.closeTo(h, 9)));
    for (const band of bands) expect(whyOpen(band, 1)).toBeNull();
    expect(dressed({ plinth: 0.6, out: 0.1 }).details.filter(({ kind }) => kind === "dressing")).toEqual([]);
  });

  it("stop where a door opens, on both sides of it", () => {
    const fronts = [{ side: 0, bays: "door 3, door 3, 6", ends: 0, door: { width: 1, height: 2.1 } }];
    const bands = bandsOf(dressed({ plinth: 0.5, out: 0.1 }, { fronts }));
    expect(bands).toHaveLength(2);
    for (const band of bands) expect(whyOpen(band)).toBeNull();
    const plan = (2 * (12 + 9) - 2) * 0.1 + 4 * 0.01;
    expect(bands.reduce((sum, band) => sum + volumeOf(band), 0)).toBeCloseTo(0.5 * plan, 9);
  });

  it("have pilasters between the bays of fronts, where nothing opens", () => {
    const fronts = [{ side: 0, bays: "3 x4", ends: 0 }];
    const all = dressed({ pilasters: 0.4, plinth: 0.6, cornice: 0.4, out: 0.2 }, { fronts }).solids;
    const pilasters = all.filter(({ part }) => part === "pilaster");
    expect(pilasters).toHaveLength(5);
    for (const one of pilasters) {
      expect(whyOpen(one)).toBeNull();
      // 0.4 m wide, 0.12 m out, from the plinth to the cornice.
      expect(volumeOf(one)).toBeCloseTo(0.4 * 0.12 * 8, 9);
    }
    expect(whyNot(plainHouse({ dress: { plinth: 0.6, out: 0.1 }, slope: { heading: 0, grade: 5 } }))).toBe(
      "dress/out does not go with a foot on a slope.",
    );
  });
});

describe("bricks at a corner", () => {
  const joints = (pattern: PatternId, side: number, course: number) =>
    dressOfWall({ pattern }, { long: 6.03, height: 1.2, ground: 0, floors: [], openings: [], side })
      .filter(({ thing, index }) => thing === "joint" && index === course)
      .map(({ a }) => a[0]);

  it.each(["stretcher", "english", "flemish", "stone"] as const)("bond: %s", (pattern) => {
    for (const [course, side] of [
      [0, 0],
      [1, 0],
      [0, 3],
      [1, 2],
    ]) {
      // What ends one wall is not as long as what begins the next one, and the course over it turns that round.
      const end = 6.03 - joints(pattern, side, course).at(-1)!;
      const [begin] = joints(pattern, side + 1, course);
      const [above] = joints(pattern, side + 1, course + 1);
      expect(Math.abs(begin - above)).toBeGreaterThan(0.03);
      expect(end).toBeCloseTo(joints(pattern, side, course)[0], 9);
      expect(Math.abs(end - begin)).toBeGreaterThan(0.03);
    }
  });
});

describe("paving", () => {
  const footprint = [
    { x: 0, y: 0 },
    { x: 12, y: 0 },
    { x: 12, y: 12 },
    { x: 0, y: 12 },
  ];
  const plaza = (laid: Laid | undefined, slabs = 1) =>
    ({ id: "p", kind: "square", name: "Quay", footprint, heading: 0, ...DEFAULT_SQUARE, slabs, laid }) as const;

  it.each(Object.keys(LAID) as Laid[])("is laid %s, at the height of its kerb", (laid) => {
    const { details } = built([plaza(laid)]);
    const joints = details.filter(({ kind }) => kind === "joint");
    const sum = joints.reduce((all, { a, b }) => all + Math.hypot(a[0] - b[0], a[1] - b[1]), 0);
    // Joints by plain arithmetic: in line or in courses, 2 m to each m^2 and a rim; of pieces twice as long, 1.5 m.
    const each = laid === "square" || laid === "courses" ? 2 : 1.5;
    expect(sum / (each * 144)).toBeGreaterThan(0.88);
    expect(sum / (each * 144)).toBeLessThan(1.02);
    expect(joints.every(({ a }) => Math.abs(a[2] - 0.12) < 1e-9)).toBe(true);
  });

  it("says where its slabs are too small to be laid so", () => {
    expect(validateSquare(plaza("herringbone", 0.02))).toMatchObject({ field: "slabs" });
    expect(validateSquare(plaza(undefined, 0.02))).toBeNull();
  });
});
