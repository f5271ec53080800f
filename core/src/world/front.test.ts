import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { inMetric } from "../units";
import { areaTwice } from "./polygon";
import {
  baysOf,
  built,
  dressOfWall,
  elevationOf,
  floorsOf,
  linesOfOpening,
  openingsOfFront,
  outlineOfOpening,
  usualFront,
  validateBuilding,
  volumeOf,
  withFront,
  withoutFront,
  type Building,
  type Front,
  type Head,
  type Opening,
  type PatternId,
} from ".";

const house = (change: Partial<Building> = {}): Building => ({
  id: "house",
  kind: "building",
  name: "Chandlery",
  footprint: [
    { x: 0, y: 0 },
    { x: 12, y: 0 },
    { x: 12, y: 9 },
    { x: 0, y: 9 },
  ],
  base: 0,
  height: 9.6,
  storeys: 3,
  roof: { kind: "flat" },
  ...change,
});
const front = (change: Partial<Front> = {}): Front => ({ side: 0, bays: "5", ...change });
const openings = (of: Front, building = house()) =>
  openingsOfFront(of, building, 12, floorsOf(building, building.height, true));
const why = (building: Building): string => {
  const problem = validateBuilding(building);
  return problem ? `${problem.field} ${inMetric(problem.message)}` : "";
};

describe("the bays of a front", () => {
  it("share a wall evenly, or by a rhythm, between its blank ends", () => {
    const even = baysOf(front({ ends: 1 }), 12);
    expect(even.map(({ from, to }) => [from, to])).toEqual(
      [0, 1, 2, 3, 4].map((i) => [expect.closeTo(1 + 2 * i, 9), expect.closeTo(3 + 2 * i, 9)]),
    );
    const typed = baysOf(front({ bays: "window 2 x2, door 1, window 2 x2", ends: 0, fit: "cut" }), 12);
    expect(typed.map(({ name, to }) => [name, Number(to.toFixed(9))])).toEqual([
      ["window", 2],
      ["window", 4],
      ["door", 5],
      ["window", 7],
      ["window", 9],
    ]);
  });

  it("have what they are called on the ground, and windows above; blank ones have none", () => {
    const all = openings(front({ bays: "shop 3, double 2, blank 1, gate 4" }), house({ groundFloor: 4 }));
    const told = (storey: number) =>
      all.filter((one) => one.storey === storey).map(({ kind, index }) => `${kind} ${index}`);
    expect(told(0)).toEqual(["window 0", "door 1", "door 3"]);
    expect(told(1)).toEqual(["window 0", "window 1", "window 3"]);
    const [shop, double] = all;
    expect(shop.to - shop.from).toBeGreaterThan(2.5);
    expect(double.look).toMatchObject({ leaves: 2, reveal: 0.12 });
    // Three storeys of 9.6 m with a ground floor of 4: 2.8 m each above.
    expect(all.find(({ storey }) => storey === 1)!.low).toBeCloseTo(4 + 0.9, 9);
    expect(all.find(({ storey }) => storey === 2)!.low).toBeCloseTo(6.8 + 0.9, 9);
  });

  it("are changed one by one: moved, sized, made a door, taken away", () => {
    const own = [
      { bay: 1, storey: 1, opening: "none" as const },
      { bay: 2, storey: 1, by: 0.3, width: 0.8, height: 1.5, sill: 0.6, head: "round" as const },
      { bay: 0, storey: 0, opening: "door" as const },
    ];
    const all = openings(front({ own }));
    expect(all).toHaveLength(14);
    const changed = all.find(({ storey, index }) => storey === 1 && index === 2)!;
    expect(changed).toMatchObject({
      kind: "window",
      from: expect.closeTo(6 + 0.3 - 0.4, 9) as number,
      low: expect.closeTo(3.2 + 0.6, 9) as number,
      high: expect.closeTo(3.2 + 2.1, 9) as number,
      look: { head: "round" },
    });
    expect(all[0]).toMatchObject({ kind: "door", low: 0, high: expect.closeTo(2.1, 9) as number });
  });

  it("say what does not fit, and where", () => {
    const of = (change: Partial<Front>) => why(house({ fronts: [front(change)] }));
    expect(of({})).toBe("");
    expect(of({ bays: "window 2, dor 1" })).toMatch(/^fronts\/0\/bays .*bay 2 is called "dor": call bays window, door/);
    expect(of({ bays: "0" })).toMatch(/^fronts\/0\/bays /);
    expect(of({ own: [{ bay: 0, storey: 1, by: -2 }] })).toBe(
      "fronts/0/own has a window in bay 1 of storey 2 that reaches over the corner of its wall.",
    );
    expect(of({ own: [{ bay: 0, storey: 2, height: 4 }] })).toMatch(/bay 1 of storey 3 that reaches over the eaves\.$/);
    expect(of({ own: [{ bay: 2, storey: 0, width: 14 }] })).toMatch(/that is wider than its wall, 12\.00 m\.$/);
    expect(of({ window: { width: 1, height: 1.2, sill: 0.9, reveal: 4.6 } })).toMatch(
      /deeper than half of the building, 4\.50 m\.$/,
    );
    expect(of({ bays: "shop 0.1, window 5" })).toMatch(/a window in bay 1 of storey 1 that has no room/);
    expect(of({ bays: "gate 0.2, window 5" })).toMatch(/a door in bay 1 of storey 1 that has no room/);
    expect(of({ bays: "14" })).toMatch(
      /^fronts\/0\/bays has a window in bay 1 of storey 1 that runs into the next one/,
    );
    expect(of({ bays: "shop 1", awning: { out: 1, drop: 3, over: 6.7 } })).toBe(
      "fronts/0/awning/drop leads up over the eaves.",
    );
    expect(of({ side: 4 })).toBe("fronts/0/side is none: the footprint has 4 sides.");
    expect(why(house({ fronts: [front(), front()] }))).toBe("fronts/1/side has a front already.");
    expect(why(house({ groundFloor: 9.6 }))).toBe("groundFloor leaves no room for the storeys over it.");
  });
});

describe("a building that cannot stand", () => {
  it("has nothing drawn, whatever its front asks for", () => {
    const own = [{ bay: 0, storey: 1, balcony: true }];
    const broken = house({ fronts: [front({ bays: "dor 1", own })], dress: { plinth: 1 } });
    expect(why(broken)).not.toBe("");
    expect(built([broken])).toMatchObject({ solids: [], details: [] });
  });
});

describe("an opening", () => {
  const extent = { from: 1, to: 3, low: 1, high: 4 };
  /** Twice the area, m^2, under a head over a span of 2 m, from Euclid: sectors and triangles. */
  const AREAS: Readonly<Record<Head, number>> = {
    flat: 6,
    round: 2 * 2 + Math.PI / 2,
    // An equilateral arch over 2 m: two sectors of 60 degrees and radius 2 less their triangle, on walls.
    pointed: 2 * (3 - Math.sqrt(3)) + (2 * (Math.PI * 4)) / 6 - Math.sqrt(3),
    segmental: 0,
    // Two sectors of 60 degrees and radius 0.5447, one of radius 1.4553, less the triangle of their centres.
    basket: 2 * (3 - 2 / 3) + (2 * 0.5447 ** 2 + 1.4553 ** 2) * (Math.PI / 6) - Math.sqrt(3) * 0.4553 ** 2,
    circle: Math.PI,
  };

  it("has heads of the areas that geometry gives, within what twelve chords leave", () => {
    for (const head of ["flat", "round", "basket", "pointed", "circle"] as const)
      expect(areaTwice(outlineOfOpening(head, extent)) / 2 / AREAS[head]).toBeCloseTo(1, 1);
    const segmental = outlineOfOpening("segmental", extent);
    // It rises a sixth of its span.
    expect(Math.max(...segmental.map(([, up]) => up))).toBeCloseTo(4, 9);
    expect(segmental.filter(([s]) => s === 3).map(([, up]) => up)).toEqual([1, expect.closeTo(4 - 2 / 6, 9)]);
  });

  it("is convex and within its extent, whatever its head and size", () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Head>("flat", "segmental", "round", "basket", "pointed", "circle"),
        between(0.2, 6),
        between(0.2, 6),
        (head, wide, tall) => {
          const ring = outlineOfOpening(head, { from: 0, to: wide, low: 0, high: tall });
          ring.forEach((a, i) => {
            const [b, c] = [ring[(i + 1) % ring.length], ring[(i + 2) % ring.length]];
            expect((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])).toBeGreaterThan(-1e-9);
            expect(a[0] > -1e-9 && a[0] < wide + 1e-9 && a[1] > -1e-9 && a[1] < tall + 1e-9).toBe(true);
          });
        },
      ),
    );
  });

  it("has the stones of its arch, a keystone and imposts where they are said to be", () => {
    const stones = (head: Head, look: Partial<Opening["look"]>) => {
      const of = (more: Partial<Opening["look"]>) =>
        linesOfOpening({
          ...extent,
          kind: "window",
          index: 0,
          storey: 0,
          look: { head, lintel: 0.25, ...more },
        }).filter(({ part }) => part === "dressing");
      return of(look).slice(of({}).length - of(look).length);
    };
    for (const head of ["flat", "segmental", "round", "basket", "pointed"] as const) {
      expect(stones(head, { voussoirs: 9 })).toHaveLength(8);
      // The middle one of nine stands out: two joints and its top.
      expect(stones(head, { voussoirs: 9, keystone: true })).toHaveLength(6 + 3);
      // Of an even number none is in the middle: one more is laid.
      expect(stones(head, { voussoirs: 8, keystone: true })).toHaveLength(6 + 3);
      expect(stones(head, { keystone: true })).toHaveLength(3);
      expect(stones(head, { imposts: true })).toHaveLength(8);
    }
    // The joints of a round arch run to its centre, at 2 m along and 3 m up, and are as long as its band is high.
    for (const { a, b } of stones("round", { voussoirs: 13 })) {
      expect(Math.abs((a[0] - 2) * (b[1] - 3) - (a[1] - 3) * (b[0] - 2))).toBeLessThan(1e-9);
      expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo(0.25, 1);
    }
    const high = (lines: readonly { readonly b: readonly number[] }[]) => Math.max(...lines.map(({ b }) => b[1]));
    expect(high(stones("round", { keystone: true }))).toBeGreaterThan(4.25);
  });

  it("has its panes, its leaves and its bands where they are said to be", () => {
    const window: Opening = {
      ...extent,
      kind: "window",
      index: 0,
      storey: 0,
      look: { reveal: 0.2, frame: 0.1, across: 2, up: 3, ledge: 0.08, lintel: 0.25 },
    };
    const lines = linesOfOpening(window);
    const of = (part: string) => lines.filter((line) => line.part === part);
    expect(of("outline")).toHaveLength(4);
    // Four corners go back into the wall, and four lines lie behind it.
    expect(of("reveal")).toHaveLength(8);
    expect(of("glazing")).toHaveLength(4 + 1 + 2);
    expect(of("glazing").every(({ a, b }) => a[2] === 0.2 && b[2] === 0.2)).toBe(true);
    expect(of("dressing")).toHaveLength(8);
    const door: Opening = {
      ...extent,
      kind: "door",
      index: 0,
      storey: 0,
      look: { reveal: 0.1, leaves: 2, panels: 4, fanlight: 0.5 },
    };
    const upright = linesOfOpening(door).filter(({ part, a, b }) => part === "glazing" && a[0] === b[0]);
    // The leaves meet in the true middle, under the light.
    expect(upright.find(({ a }) => a[0] === 2)).toMatchObject({ a: [2, 1, 0.1], b: [2, 3.5, 0.1] });
    // A single leaf has its handle 1.05 m over its foot (common practice).
    expect(linesOfOpening(door).some(({ a, b }) => a[1] === 2.05 && b[1] === 2.05)).toBe(true);
  });

  it("has leaves that are opened by an angle, each about its own jamb", () => {
    const door = (leaves: 1 | 2, open: number): Opening => ({
      from: 1,
      to: 3,
      low: 0,
      high: 2.1,
      kind: "door",
      index: 0,
      storey: 0,
      look: { reveal: 0.1, leaves, panels: 4, open },
    });
    const free = (leaves: 1 | 2, open: number) =>
      linesOfOpening(door(leaves, open))
        .filter(({ part, a, b }) => part === "leaf" && a[0] === b[0])
        .map(({ a }) => [a[0], a[2]]);
    const near = (value: number) => expect.closeTo(value, 9) as number;
    // At right angles a leaf of 2 m stands 2 m behind its jamb; opened by 30 degrees, cos and sin of it.
    expect(free(1, 90)).toEqual([[near(1), near(2.1)]]);
    expect(free(2, 30)).toEqual([
      [near(1 + Math.sqrt(3) / 2), near(0.6)],
      [near(3 - Math.sqrt(3) / 2), near(0.6)],
    ]);
    const { details } = built([
      house({ fronts: [front({ bays: "3", own: [{ bay: 1, storey: 0, opening: "door", open: 60 }] })] }),
    ]);
    const deep = details.filter(({ a, b }) => Math.max(a[1], b[1]) > 0.5);
    expect(deep.length).toBeGreaterThan(2);
    expect(deep.every(({ through }) => through !== undefined)).toBe(true);
  });

  it("is drawn on the wall of its building, none over another or a passage", () => {
    const { details } = built([
      house({ fronts: [front({ bays: "2 x5" })], passages: [{ x: 6, y: 0, width: 2, height: 2.6 }] }),
    ]);
    const onGround = details.filter(({ kind, a }) => kind === "window" && a[2] < 3);
    expect(new Set(onGround.map(({ item }) => item)).size).toBe(4);
    expect(details.every(({ a }) => Math.abs(a[1]) < 0.2)).toBe(true);
    expect(details.filter(({ kind }) => kind === "reveal").every(({ through }) => through?.length === 4)).toBe(true);
  });
});

describe("steps up to a door", () => {
  const own = [{ bay: 1, storey: 0, opening: "door" as const, steps: true }];
  const stepsBefore = (base: number, change: Partial<Front> = {}) =>
    built([house({ base, fronts: [front({ bays: "3", own, ...change })] })]).solids.filter(
      ({ part }) => part === "steps",
    );

  it("lead from the ground to its sill in even risers, with a platform before it", () => {
    const [solid] = stepsBefore(0.68);
    expect(whyOpen(solid)).toBeNull();
    // Four risers of 0.17 m: a platform of 0.9 m and three treads of 0.29 m, 0.95 + 2 * 0.3 m wide.
    const heights = [...new Set(solid.vertices.map(([, , z]) => Number(z.toFixed(6))))].sort((a, b) => a - b);
    expect(heights).toEqual([0, 0.17, 0.34, 0.51, 0.68]);
    expect(volumeOf(solid)).toBeCloseTo(1.55 * (0.9 * 0.68 + 0.29 * 0.17 * (1 + 2 + 3)), 6);
  });

  it("are none where the door stands on the ground, or is a window", () => {
    expect(stepsBefore(0)).toEqual([]);
    expect(stepsBefore(0.68, { own: [{ bay: 1, storey: 0, steps: true }] })).toEqual([]);
  });
});

describe("a front by the size of its wall", () => {
  it("stands on any wall of any building that stands, and is taken away again", () => {
    fc.assert(
      fc.property(between(1.2, 60), between(1.2, 40), between(2.2, 40), (wide, deep, height) => {
        const plain = house({
          footprint: [
            { x: 0, y: 0 },
            { x: wide, y: 0 },
            { x: wide, y: deep },
            { x: 0, y: deep },
          ],
          height,
          storeys: undefined,
        });
        const whole = [0, 1, 2, 3].reduce((one, side) => withFront(one, usualFront(one, side, side === 0)), plain);
        expect(why(whole)).toBe("");
        expect(elevationOf(whole, 0).openings.length).toBeGreaterThan(0);
        const doors = (side: number) => elevationOf(whole, side).openings.filter(({ kind }) => kind === "door").length;
        expect([doors(0) <= 1, doors(1)]).toEqual([true, 0]);
        expect([0, 1, 2, 3].reduce(withoutFront, whole)).toEqual({ ...plain, fronts: undefined });
      }),
      { numRuns: 60 },
    );
  });
});

describe("the dress of a wall", () => {
  const wall = { long: 6, height: 6, ground: 0, floors: [0, 3].map((low) => ({ low, height: 3 })), openings: [] };
  const bricks = (pattern: PatternId, hint = false) =>
    dressOfWall({ pattern, hint: hint || undefined }, wall).filter(({ of }) => of === "pattern");
  const jointsAt = (pattern: PatternId, course: number) =>
    bricks(pattern)
      .filter(({ thing, index }) => thing === "joint" && index === course)
      .map(({ a }) => a[0])
      .sort((p, q) => p - q);

  it("lays bricks of 215 by 65 mm with joints of 10 (EN 771-1, from memory) in their bonds", () => {
    const beds = bricks("stretcher").filter(({ thing }) => thing === "bed");
    expect(beds.map(({ a }) => a[1]).slice(0, 3)).toEqual([0.075, 0.15, 0.225].map((up) => expect.closeTo(up, 9)));
    // 6 m are 26 stretchers and two thirds: 26 joints within; every other course is half a brick along.
    expect(jointsAt("stretcher", 0)).toHaveLength(26);
    expect(jointsAt("stretcher", 1)[0] - jointsAt("stretcher", 0)[0]).toBeCloseTo(-0.1125, 9);
    // English: a course of headers, their middles over the joints of the course of stretchers and between them.
    const [stretchers, headers] = [jointsAt("english", 0), jointsAt("english", 1)];
    expect(headers[1] - headers[0]).toBeCloseTo(0.1125, 9);
    expect(stretchers[0] - headers.findLast((s) => s < stretchers[0])!).toBeCloseTo(0.05625, 9);
    // Flemish: stretcher and header in turn, each header over the middle of a stretcher.
    const [low, high] = [jointsAt("flemish", 0), jointsAt("flemish", 1)];
    const header = high.findIndex((s, i) => s > 0.4 && s - high[i - 1] < 0.12);
    const middle = (high[header] + high[header - 1]) / 2;
    const before = low.findLastIndex((s) => s < middle);
    expect(low[before + 1] - low[before]).toBeCloseTo(0.225, 9);
    expect((low[before] + low[before + 1]) / 2).toBeCloseTo(middle, 9);
  });

  it("keeps clear of openings and of their bands, along arches too", () => {
    const opening: Opening = {
      kind: "window",
      from: 2,
      to: 4,
      low: 1,
      high: 4,
      index: 0,
      storey: 0,
      look: { head: "round" },
    };
    for (const { a, b } of dressOfWall({ pattern: "stone", courses: 0.2 }, { ...wall, openings: [opening] }))
      for (const t of [0, 0.25, 0.5, 0.75, 1]) {
        const [s, up] = [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
        // The round head is a half circle around (3, 3); its chords leave a centimetre and a half.
        const within = Math.abs(s - 3) < 0.98 && up > 1.01 && (up < 3 || Math.hypot(s - 3, up - 3) < 0.97);
        // An upright joint is judged by its middle.
        if (a[0] !== b[0] || t === 0.5) expect(within).toBe(false);
      }
  });

  it("runs its bands around the corners of a building, and hints at its bricks beside edges only", () => {
    const dressed = house({
      dress: { plinth: 0.6, courses: 0.2, cornice: 0.4, quoins: true, pattern: "stretcher", hint: true },
    });
    expect(why(dressed)).toBe("");
    const { details } = built([dressed]);
    const bands = details.filter(
      ({ kind, a, b }) => kind === "dressing" && a[2] === b[2] && Math.abs(a[2] - 0.6) < 1e-9,
    );
    // All around: a place where one ends, another begins.
    expect(bands.filter(({ a, b }) => Math.hypot(b[0] - a[0], b[1] - a[1]) > 1)).toHaveLength(4);
    const bricksOn = details.filter(({ kind, a }) => kind === "masonry" && a[1] === 0);
    expect(bricksOn.length).toBeGreaterThan(200);
    expect(bricksOn.every(({ a }) => a[0] <= 0.451 || a[0] >= 12 - 0.451)).toBe(true);
    expect(why(house({ dress: { plinth: 12 } }))).toBe("dress/plinth is higher than the walls.");
    expect(why(house({ height: 90, dress: { pattern: "stretcher" } }))).toMatch(/^dress\/pattern has too many pieces/);
    expect(why(house({ height: 90, dress: { pattern: "stretcher", hint: true } }))).toBe("");
  });
});

describe("what stands out of a wall", () => {
  const shops = front({ bays: "shop 3, door 1.5, shop 3", awning: { out: 1.2, drop: 0.5 } });

  it("are awnings over its shops, closed, clear of people's heads, the nearer edge the lower", () => {
    const awnings = built([house({ groundFloor: 4, fronts: [shops] })]).solids.filter(({ part }) => part === "awning");
    expect(awnings).toHaveLength(2);
    for (const awning of awnings) {
      expect(whyOpen(awning)).toBeNull();
      expect(volumeOf(awning)).toBeGreaterThan(0);
      const out = awning.vertices.map(([, y, z]) => [Number((-y).toFixed(6)), Number(z.toFixed(6))]);
      // 1.2 m before the wall and 2.2 m clear, less its cloth; it falls by half a metre.
      expect(Math.max(...out.map(([o]) => o))).toBe(1.2);
      expect(Math.max(...out.filter(([o]) => o === 1.2).map(([, z]) => z))).toBe(2.2);
      expect(Math.max(...out.map(([, z]) => z))).toBe(2.7);
    }
  });

  it("are balconies with rails before openings over the ground", () => {
    const own = [
      { bay: 2, storey: 1, opening: "door" as const, balcony: true },
      { bay: 1, storey: 0, balcony: true },
    ];
    const { solids, details } = built([house({ fronts: [front({ own })] })]);
    const [slab, ...more] = solids.filter(({ part }) => part === "balcony");
    expect(more).toEqual([]);
    expect(whyOpen(slab)).toBeNull();
    // The door's 0.95 m and a quarter of a metre beside it each way, 0.9 m out, 0.15 m thick.
    expect(volumeOf(slab)).toBeCloseTo((0.95 + 0.5) * 0.9 * 0.15, 9);
    const bars = details.filter(({ kind }) => kind === "bar");
    expect(bars.filter(({ a, b }) => a[2] === b[2])).toHaveLength(3);
    for (const { a, b } of bars) expect(Math.max(a[2], b[2])).toBeCloseTo(3.2 + 1, 9);
  });
});
