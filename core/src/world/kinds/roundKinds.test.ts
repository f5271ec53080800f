import fc from "fast-check";
import { between, whyOpen } from "../../../testing";
import { onCubic } from "../../geometry";
import { inMetric } from "../../units";
import {
  built,
  diameterOf,
  kindOf,
  newArches,
  newColumns,
  newTurned,
  ORDERS,
  riseOfArch,
  standsOf,
  TURNED,
  validateElement,
  volumeOf,
  type ArchForm,
  type Arches,
  type Columns,
  type OrderId,
  type TurnedForm,
  type TurnedThing,
} from "..";

const at = { x: 3, y: -2, z: 0.5 };
const named = { id: "e", name: "Rotunda" };
const turned = (form: TurnedForm, change: Partial<TurnedThing> = {}): TurnedThing => ({
  ...named,
  ...newTurned(form, at),
  ...change,
});
const columns = (order: OrderId, change: Partial<Columns> = {}): Columns => ({
  ...named,
  ...newColumns(order, at),
  ...change,
});
const arches = (arch: ArchForm, change: Partial<Arches> = {}): Arches => ({
  ...named,
  ...newArches(at),
  arch,
  pier: 1,
  height: 6,
  ...change,
});
const why = (element: TurnedThing | Columns | Arches): string => {
  const problem = validateElement(element);
  return problem ? `${problem.field} ${inMetric(problem.message)}` : "";
};

describe("what is turned", () => {
  it.each(Object.keys(TURNED) as TurnedForm[])("%s can stand as it comes, and reaches as high as it says", (form) => {
    const element = turned(form);
    expect(why(element)).toBe("");
    const [solid] = built([element]).solids;
    expect(volumeOf(solid)).toBeGreaterThan(0);
    const heights = solid.vertices.map(([, , z]) => z);
    expect(Math.min(...heights)).toBeCloseTo(at.z, 6);
    if (form !== "tank") expect(Math.max(...heights)).toBeCloseTo(at.z + element.height, 1);
  });

  it("encloses as much of a turn as it is turned through", () => {
    const volume = (sweep?: number) => volumeOf(built([turned("dome", { sweep })]).solids[0]);
    expect(volume(90) / volume()).toBeCloseTo(0.25, 2);
    // Half a ball of 5 m (Archimedes), in facets within a centimetre.
    expect(volume() / ((2 / 3) * Math.PI * 125)).toBeGreaterThan(0.99);
  });

  it("is refused with what is wrong with its outline, and where", () => {
    const own = (...places: [number, number, number?][]) =>
      why(turned("own", { outline: places.map(([r, z, bulge]) => ({ r, z, ...(bulge ? { bulge } : {}) })) }));
    expect(own([1, 0], [1, 2])).toBe("");
    expect(own([1, 0], [2, 2], [0.5, 1], [2, 0.5])).toBe("outline crosses itself.");
    expect(own([0.2, 0, -1], [0.2, 3])).toBe("outline crosses its axis: an arc reaches beyond it.");
    expect(own([1, 2], [1, 0])).toBe("outline runs downwards: it has to begin at the foot.");
    expect(own([1, 0], [0, 1], [1, 2])).toContain("outline/1 lies on the axis");
    expect(own([1, 0], [1, 0])).toContain("outline/1 lies where the place before it does");
    expect(why(turned("ring", { radius: 0.1, height: 0.4 }))).toContain("would cross its axis");
  });

  it("has as many ribs as it is said to have, each on its dome", () => {
    const { details } = built([turned("dome", { ribs: 9 })]);
    expect(new Set(details.map(({ item }) => item)).size).toBe(9);
    for (const { a } of details) expect(Math.hypot(a[0] - at.x, a[1] - at.y, a[2] - at.z)).toBeCloseTo(5, 9);
  });
});

describe("columns", () => {
  it("are as slender as Vignola has their orders (from memory)", () => {
    const slender = (order: OrderId) => 4 / diameterOf(columns(order));
    expect((["tuscan", "doric", "ionic", "corinthian", "composite"] as const).map(slender)).toEqual(
      [7, 8, 9, 10, 10].map((n) => expect.closeTo(n, 9)),
    );
  });

  it("stand in a row with their gaps between the shafts, in diameters (Vitruvius, from memory)", () => {
    for (const gap of [1.5, 2, 2.25, 3, 4]) {
      const row = columns("doric", { gap, count: 5 });
      const [p, q] = standsOf(row).map((one) => one.at);
      expect(Math.hypot(q[0] - p[0], q[1] - p[1]) / diameterOf(row) - 1).toBeCloseTo(gap, 9);
    }
    // The middle gap of an even number is wider; the others are not.
    const wider = columns("doric", { gap: 2, count: 4, middle: 1.5 });
    const [a, b, c] = standsOf(wider).map((one) => one.at[0]);
    expect(Math.abs(c - b) / diameterOf(wider) - 1).toBeCloseTo(3, 9);
    expect(Math.abs(b - a) / diameterOf(wider) - 1).toBeCloseTo(2, 9);
  });

  it("stand around a ring evenly, and each faces outwards", () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 24 }), between(4, 30), between(0, 360), (count, radius, heading) => {
        const stands = standsOf(columns("ionic", { stand: "ring", count, radius, heading }));
        for (const {
          at: [x, y],
          facing,
        } of stands) {
          expect(Math.hypot(x - at.x, y - at.y)).toBeCloseTo(radius, 9);
          expect((x - at.x) * facing[0] + (y - at.y) * facing[1]).toBeCloseTo(radius, 9);
        }
      }),
    );
  });

  it.each(Object.keys(ORDERS) as OrderId[])("of the order %s are solids that reach from foot to top", (order) => {
    for (const half of [undefined, true]) {
      const { solids } = built([columns(order, { half, pediment: 0.2, depth: 3, steps: 3 })]);
      for (const solid of solids) expect(volumeOf(solid)).toBeGreaterThan(0);
      const single = columns(order, { stand: "single", count: 1, half, entablature: undefined });
      const heights = built([single]).solids.flatMap(({ vertices }) => vertices.map(([, , z]) => z));
      expect([Math.min(...heights), Math.max(...heights)]).toEqual([
        expect.closeTo(at.z, 6),
        expect.closeTo(at.z + 4, 6),
      ]);
    }
  });

  it("stand as a quarter in a corner, with a quarter of their volume, on a quarter of their plinth", () => {
    const volumes = (change: Partial<Columns>) =>
      built([columns("doric", { stand: "single", count: 1, entablature: undefined, ...change })]).solids.map(volumeOf);
    const [whole, quarter] = [volumes({}), volumes({ quarter: true })];
    expect(quarter.map((volume, i) => Number((volume / whole[i]).toFixed(2)))).toEqual([0.25, 0.25, 0.25]);
    // Between the directions of both walls, at half a right angle beside the way that it faces.
    const places = built([columns("doric", { stand: "single", count: 1, quarter: true, heading: 45 })]).solids.flatMap(
      ({ vertices }) => vertices,
    );
    for (const [x, y] of places) expect(Math.min(x - at.x, y - at.y)).toBeGreaterThan(-1e-9);
    expect(why(columns("doric", { quarter: true }))).toContain("quarter column stands alone");
  });

  it("have spirals on the ends of their scrolls, which turn outwards and come in to an eye", () => {
    const one = columns("ionic", { stand: "single", count: 1, entablature: undefined, heading: 180 });
    const { details, solids } = built([one]);
    const own = details.filter(({ on }) => on && on.face >= 0);
    // Two scrolls with two ends each: five half circles and an eye, in arcs of an eighth of a turn.
    expect(own).toHaveLength(2 * 2 * (5 * 4 + 8));
    for (const { a, b, on } of own) {
      const { normal, offset } = on!.solid.faces[on!.face];
      for (const p of [a, b]) expect(normal[0] * p[0] + normal[1] * p[1] + normal[2] * p[2]).toBeCloseTo(offset, 9);
      const { shape } = on!.solid;
      const { origin } = shape?.kind === "revolved" ? shape.axis : { origin: [0, 0, 0] };
      const radius = 0.2 * diameterOf(one);
      expect(Math.hypot(a[0] - origin[0], a[2] - origin[2])).toBeLessThan(radius + 1e-9);
    }
    // From the top of each the first arc runs away from the column.
    const fronts = own.filter(({ a }) => a[1] < at.y);
    for (const side of [-1, 1]) {
      const [first] = fronts.filter(({ a }) => Math.sign(a[0] - at.x) === side);
      expect(Math.sign(first.b[0] - first.a[0])).toBe(side);
    }
    expect(solids.length).toBeGreaterThan(3);
  });

  it("have two rows of eight leaves around a Corinthian bell, the upper ones between the lower ones", () => {
    const leaves = (half?: boolean) => {
      const one = columns("corinthian", { stand: "single", count: 1, entablature: undefined, half });
      const { details } = built([one]);
      const bell = details.filter(({ a, kind }) => kind === "dressing" && a[2] > at.z + one.height * 0.89);
      const upper = (ORDERS.corinthian.upper / 2) * diameterOf(one);
      for (const { a, b } of bell)
        for (const [x, y] of [a, b]) expect(Math.hypot(x - at.x, y - at.y)).toBeCloseTo(upper, 9);
      return new Set(bell.map(({ item }) => item)).size;
    };
    expect(leaves()).toBe(16);
    // Before a wall, those that it does not cut: three, and four between them.
    expect(leaves(true)).toBe(3 + 4);
  });

  it("are plain where their mouldings cannot be told apart", () => {
    const faces = (eye: [number, number, number]) =>
      built([columns("ionic")], { eye, leastAngle: 0.001 }).solids.reduce((n, solid) => n + solid.faces.length, 0);
    expect(faces([3, -300, 2])).toBeLessThan(faces([3, -6, 2]) / 2);
  });

  it("are refused where they run into each other, or carry what they cannot", () => {
    expect(why(columns("doric", { gap: 0.1 }))).toContain("gap is so narrow");
    expect(why(columns("doric", { stand: "ring", count: 60, radius: 3 }))).toContain("count is too many");
    expect(why(columns("doric", { entablature: undefined, pediment: 0.2 }))).toContain("pediment needs a row");
    expect(why(columns("doric", { half: true, stand: "ring", count: 8, radius: 9 }))).toContain("half columns need");
  });
});

describe("arches", () => {
  /** The area of one opening over its springing: of a wall's front without its one arch, what is missing. */
  const opening = (arch: ArchForm, change: Partial<Arches> = {}) => {
    const one = arches(arch, { count: 1, voussoirs: 0, ...change });
    const whole = (one.span + 2 * one.pier) * one.height;
    return whole - volumeOf(built([one]).solids[0]) / one.thickness - one.span * one.springing;
  };

  it("open as their geometry says: half circle, segment, two sixths of circles, three quarters and more", () => {
    const s = 2.4;
    expect(opening("round")).toBeCloseTo((Math.PI * s * s) / 8, 1);
    // Two sectors of sixty degrees less the triangle that both have.
    expect(opening("pointed", { height: 8 })).toBeCloseTo(s * s * (Math.PI / 3 - Math.sqrt(3) / 4), 1);
    // A circle of 240 degrees over a chord of its span.
    const r = s / 2 / Math.cos(Math.PI / 6);
    expect(opening("horseshoe")).toBeCloseTo(r * r * ((2 * Math.PI) / 3 + Math.sqrt(3) / 4), 1);
    const rise = s / 6;
    const large = (s * s) / (8 * rise) + rise / 2;
    const turn = 2 * Math.asin(s / 2 / large);
    expect(opening("segmental")).toBeCloseTo((large * large * (turn - Math.sin(turn))) / 2, 1);
  });

  it("rise as they say", () => {
    for (const arch of ["round", "pointed", "segmental", "basket", "horseshoe"] as const) {
      const one = arches(arch, { count: 1, height: 8 });
      const [wall] = built([one]).solids;
      // The wall's lowest places over its springing, but for its top: the intrados reaches to its crown.
      const inside = wall.vertices.filter(([, , z]) => z < at.z + 7.99).map(([, , z]) => z);
      expect(Math.max(...inside) - at.z - one.springing).toBeCloseTo(riseOfArch(one), 1);
    }
  });

  it("draw their stones on both sides of the wall, an odd number of them, with a keystone in the middle", () => {
    const { details, solids } = built([arches("round", { count: 1, voussoirs: 0.3, keystone: true })]);
    const front = details.filter(({ on }) => on?.face === 1);
    expect(front.length * 2).toBe(details.length);
    const arcs = front.filter(({ bend }) => bend);
    expect(arcs.length % 2).toBe(1);
    for (const { a, on } of front) {
      const { normal, offset } = solids[0].faces[on!.face];
      expect(normal[0] * a[0] + normal[1] * a[1] + normal[2] * a[2]).toBeCloseTo(offset, 6);
    }
  });

  it("are refused where they reach over their wall, or run into each other", () => {
    expect(why(arches("round", { height: 3.4 }))).toContain(
      "height is less than its arches reach: they rise to 3.60 m",
    );
    expect(why(arches("horseshoe", { pier: 0.3, voussoirs: 0 }))).toContain("pier is so narrow");
    expect(why(arches("segmental", { rise: 2 }))).toContain("more than half the span");
    expect(why(arches("round", { voussoirs: 0.6 }))).toContain("voussoirs of neighbouring arches");
  });
});

describe("groin vaults", () => {
  const vault = (arch: ArchForm, change: Partial<Arches> = {}) =>
    built([arches(arch, { voussoirs: 0, count: 3, vaults: 2, at: { x: 0, y: 0, z: 0 }, heading: 180, ...change })])
      .solids[0];

  it("hold what is left of their block by barrels that cross (Steinmetz)", () => {
    const one = arches("round", { vaults: 2, count: 3 });
    const { span, pier, springing, height } = one;
    const [r, bays, barrels] = [span / 2, 3 * 2, 3 * (2 + 1) + 2 * (3 + 1)];
    const block = (3 * span + 4 * pier) * (2 * span + 3 * pier);
    const open = 8 * r ** 3 * (Math.PI / 4 - 1 / 3) * bays + ((Math.PI * r * r) / 2) * pier * barrels;
    const volume = block * height - (block - 12 * pier * pier) * springing - open;
    expect(Math.abs(volumeOf(vault("round")) / volume - 1)).toBeLessThan(0.001);
  });

  it.each(["round", "pointed", "segmental", "basket"] as const)(
    "of %s arches are closed, on piers of their own",
    (arch) => {
      fc.assert(
        fc.property(
          fc.integer({ min: 1, max: 4 }),
          fc.integer({ min: 1, max: 3 }),
          between(1, 4),
          (count, rows, span) => {
            const solid = vault(arch, { count, vaults: rows, span, height: 8 });
            expect(whyOpen(solid)).toBeNull();
            expect(solid.faces.every(({ normal }) => Math.abs(Math.hypot(...normal) - 1) < 1e-9)).toBe(true);
          },
        ),
        { numRuns: 6 },
      );
    },
  );

  it("meet in groins that lie on both barrels, also between the ends of their chords", () => {
    const one = arches("round", { vaults: 1, count: 1 });
    const solid = vault("round", { vaults: 1, count: 1 });
    const middle = [0, one.pier + one.span / 2];
    const groins = solid.edges.filter(({ a, b, smooth, bend }) => {
      const [p, q] = [solid.vertices[a], solid.vertices[b]];
      return !smooth && bend && Math.abs(p[0] - q[0]) > 1e-6 && Math.abs(p[1] - q[1]) > 1e-6;
    });
    expect(groins.length).toBeGreaterThan(40);
    for (const { a, b, bend } of groins) {
      const { at: place } = onCubic(solid.vertices[a], solid.vertices[b], ...bend!, 0.4);
      // It faces south: what lies behind it lies to the north.
      for (const off of [place[0] - middle[0], place[1] - middle[1]])
        expect(Math.hypot(off, place[2] - one.springing)).toBeCloseTo(one.span / 2, 6);
    }
  });

  it("go on from their jambs without a line where they spring upright, and with one where they do not", () => {
    const atSpringing = (arch: ArchForm) => {
      const { edges, vertices } = vault(arch);
      const level = edges.filter(({ a, b }) => [a, b].every((n) => Math.abs(vertices[n][2] - 2.4) < 1e-6));
      return level.filter(({ smooth }) => !smooth).length;
    };
    expect(atSpringing("round")).toBe(0);
    expect(atSpringing("segmental")).toBeGreaterThan(0);
  });

  it("let an eye in between their piers, and have imposts around each", () => {
    const one = arches("round", { vaults: 2, count: 2, imposts: 0.05, voussoirs: 0, heading: 180 });
    expect(built([one]).solids).toHaveLength(1 + 3 * 3);
    const lets = (x: number, y: number) => kindOf(one).letsIn!(one, [at.x + x, at.y + y], 1.6);
    expect(lets(0, 2)).toBe(true);
    expect(lets(0, 0.5)).toBe(false);
    expect(lets(1.7, 0.5)).toBe(true);
  });

  it("are refused of horseshoe arches, and where they have too many bays", () => {
    expect(why(arches("horseshoe", { vaults: 2, height: 8 }))).toContain("vaults do not go with horseshoe");
    expect(why(arches("round", { vaults: 20, count: 20 }))).toContain("100 bays are the most");
  });
});
