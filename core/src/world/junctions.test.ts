import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import type { Vec2 } from "../geometry";
import { joinedAt } from "./junctions";
import {
  built,
  DEFAULT_BRIDGE,
  DEFAULT_CANAL,
  DEFAULT_SQUARE,
  DEFAULT_STREET,
  roundabout,
  volumeOf,
  type Element,
  type Solid,
  type Street,
} from ".";

const points = (path: readonly Vec2[]) => path.map(([x, y]) => ({ x, y }));
const street = (id: string, path: readonly Vec2[], change: Partial<Street> = {}): Street => ({
  id,
  kind: "street",
  name: id,
  path: points(path),
  ...DEFAULT_STREET,
  ...change,
});
const open = (solid: Solid) => whyOpen(solid, solid.faces.reduce((sum, { holes = [] }) => sum + holes.length, 0) / 2);
const paved = (elements: readonly Element[]) =>
  built(elements).solids.reduce((sum, solid) => sum + volumeOf(solid), 0) / DEFAULT_STREET.kerb;
/** What the corner between two square arms takes: a square less a quarter of a circle. */
const corner = (radius: number) => (1 - Math.PI / 4) * radius ** 2;

const ALONG = street("along", [
  [-50, 0],
  [50, 0],
]);
const across = (from: number, to: number, change: Partial<Street> = {}) =>
  street(
    "across",
    [
      [0, from],
      [0, to],
    ],
    change,
  );

describe("streets that meet", () => {
  it("cross square: pavements by hand, with kerbs around 3 m and their back around 0.8 m", () => {
    const arms = 4 * 2 * 2.2 * (50 - 5.2) + 4 * 2.2 ** 2;
    expect(paved([ALONG, across(-50, 50)])).toBeCloseTo(arms - 4 * (corner(3) - corner(0.8)), 1);
  });

  it("make a T, whether an end stops short of the other street, on its middle, or beyond", () => {
    // From the far kerb, 5.2 m from the middle, to the end; along the other side the pavement goes on.
    const byHand = 2.2 * 100 + 2 * 2.2 * (50 - 5.2) + 2 * 2.2 * (50 - 5.2) + 2 * 2.2 ** 2;
    for (const end of [4.6, 1, 0, -2, -4.5])
      expect([end, paved([ALONG, across(end, 50)])]).toEqual([
        end,
        expect.closeTo(byHand - 2 * (corner(3) - corner(0.8)), 0),
      ]);
    // Farther off it does not reach it.
    expect(paved([ALONG, across(6, 50)])).toBeCloseTo(2 * 2.2 * 144, 3);
  });

  it("turn around the radius that is said, the widest of those that meet", () => {
    const wide = across(-50, 50, { junctions: { radius: 8 } });
    const arms = 4 * 2 * 2.2 * (50 - 5.2) + 4 * 2.2 ** 2;
    for (const radius of [undefined, 5])
      expect(paved([{ ...ALONG, junctions: { radius } }, wide])).toBeCloseTo(arms - 4 * (corner(8) - corner(5.8)), 0);
  });

  it("go around a bend where two end at one place, without a gap at its outside", () => {
    const bend = [
      ALONG,
      street("up", [
        [50, 0],
        [50, 40],
      ]),
    ];
    // At the outside, the pavement is a quarter of a ring around the end; at the inside it turns as at a crossing.
    const ring = (Math.PI / 4) * (5.2 ** 2 - 3 ** 2);
    const straight = 2.2 * (100 - 5.2) + 2.2 * (40 - 5.2) + 2.2 ** 2 + 2.2 * 100 + 2.2 * 40;
    expect(paved(bend)).toBeCloseTo(straight + ring - (corner(3) - corner(0.8)), 0);
  });

  it("run into a ring, around an island that has a kerb and a pavement of its own", () => {
    const ring = { ...roundabout([0, 0], 14), id: "ring", name: "Roundabout" } as Street;
    const arms = [
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ].map(([x, y], i) =>
      street(`arm ${i}`, [
        [14 * x, 14 * y],
        [60 * x, 60 * y],
      ]),
    );
    // The island's pavement is a ring 2.2 m wide within the kerb of 11 m.
    const island = Math.PI * (11 ** 2 - 8.8 ** 2);
    const solids = built([ring, ...arms]).solids.filter(({ part }) => part?.startsWith("paving"));
    const own = solids.map((one) => volumeOf(one) / DEFAULT_STREET.kerb).sort((a, b) => a - b);
    expect(own.some((area) => Math.abs(area - island) < 0.02 * island)).toBe(true);
    // Four arms' corners, and the arcs of the outer pavement between them, are alike.
    const others = own.filter((area) => Math.abs(area - island) >= 0.02 * island);
    expect(others).toHaveLength(4);
    for (const area of others) expect(area).toBeCloseTo(others[0], 0);
  });

  it("end at what takes the ground: a canal and a plaza, and begin again beyond", () => {
    const canal: Element = {
      id: "c",
      kind: "canal",
      name: "Cut",
      path: points([
        [20, -40],
        [20, 40],
      ]),
      ...DEFAULT_CANAL,
    };
    const plaza: Element = {
      id: "p",
      kind: "square",
      name: "Fish market",
      heading: 0,
      ...DEFAULT_SQUARE,
      footprint: points([
        [-30, -20],
        [-10, -20],
        [-10, 20],
        [-30, 20],
      ]),
    };
    const pavements = built([ALONG, canal, plaza]).solids.filter(({ part }) => part?.startsWith("paving"));
    const wide = DEFAULT_CANAL.width + 2 * DEFAULT_CANAL.quay;
    const total = pavements.reduce((sum, solid) => sum + volumeOf(solid), 0) / DEFAULT_STREET.kerb;
    expect(total).toBeCloseTo(2 * 2.2 * (100 - 20 - wide), 3);
    expect(pavements).toHaveLength(6);
    const dashes = built([ALONG, canal, plaza]).details.filter(({ kind }) => kind === "dash");
    expect(dashes.length).toBeGreaterThan(3);
    for (const { a, b } of dashes) {
      for (const [from, to] of [
        [-30, -10],
        [20 - wide / 2, 20 + wide / 2],
      ])
        expect(b[0] <= from || a[0] >= to).toBe(true);
    }
  });

  it("end at a bridge and at steps on the ground, and run on under what stands high over it", () => {
    const bridge = (level: number): Element => ({
      id: "b",
      kind: "bridge",
      name: "Tram bridge",
      ...DEFAULT_BRIDGE,
      width: 12,
      level,
      path: points([
        [0, 0],
        [20, 0],
      ]),
    });
    const steps = (z: number): Element => ({
      id: "t",
      kind: "steps",
      name: "Ferry steps",
      foot: { x: -30, y: 0, z },
      heading: 90,
      width: 12,
      count: 10,
      riser: 0.16,
      tread: 0.3,
    });
    const along = (...others: Element[]) =>
      built([ALONG, ...others])
        .solids.filter(({ id }) => id === "along")
        .reduce((sum, solid) => sum + volumeOf(solid), 0) / DEFAULT_STREET.kerb;
    expect(along(bridge(0.4))).toBeCloseTo(2 * 2.2 * (100 - 20), 3);
    expect(along(steps(0))).toBeCloseTo(2 * 2.2 * (100 - 3), 3);
    expect(along(bridge(6), steps(4))).toBeCloseTo(2 * 2.2 * 100, 3);
  });

  it("keep their own kerbs where those differ: the higher pavement goes on", () => {
    const { solids } = built([ALONG, across(-50, 50, { kerb: 0.15 })]);
    const at = (height: number) =>
      solids
        .filter(({ vertices }) => Math.max(...vertices.map(([, , z]) => z)) === height)
        .reduce((sum, solid) => sum + volumeOf(solid), 0) / height;
    // The corners belong to the higher one, but for what turns behind them beside the lower one.
    const arm = 2 * 2.2 * 2 * (50 - 5.2);
    expect(at(0.15) + at(0.12)).toBeCloseTo(2 * arm + 4 * 2.2 ** 2 - 4 * (corner(3) - corner(0.8)), 0);
    expect(at(0.15)).toBeGreaterThan(arm);
    expect(at(0.12)).toBeLessThan(arm + 1);
  });

  it("are closed by a pavement, a turning head, a gate or steps, where they meet no other", () => {
    const plain = paved([ALONG]);
    const closed = (ends: Street["ends"]) => paved([{ ...ALONG, ends }]);
    // Across the end, as wide as carriageway and pavements.
    expect(closed({ first: "pavement", last: "pavement" }) - plain).toBeCloseTo(2 * 2.2 * 10.4, 1);
    const head = built([{ ...ALONG, ends: { last: "turning head" } }]);
    expect(Math.max(...head.solids.flatMap(({ vertices }) => vertices.map(([x]) => x)))).toBeCloseTo(50 + 6 + 2.2, 2);
    const gated = built([{ ...ALONG, ends: { first: "gate" } }]).solids;
    expect(gated).toHaveLength(2 + 2 + 4);
    expect(Math.max(...gated.flatMap(({ vertices }) => vertices.map(([, , z]) => z)))).toBe(1.4);
    const stepped = built([{ ...ALONG, ends: { last: "steps" } }]).solids;
    expect(Math.max(...stepped.flatMap(({ vertices }) => vertices.map(([, , z]) => z)))).toBeCloseTo(12 * 0.165, 9);
    // An end that meets another street is no end.
    expect(built([{ ...across(0, 50), ends: { first: "gate" } }, ALONG]).solids.every(({ part }) => part)).toBe(true);
  });

  it("stop joints and dashes, and have crossings and lines to stop at before them, where they are wanted", () => {
    const wanted = { crossings: true, stopLines: "right" } as const;
    const { details } = built([{ ...ALONG, junctions: wanted }, across(-50, 50)]);
    const along = details.filter(({ a, b }) => Math.max(Math.abs(a[1]), Math.abs(b[1])) < 5.3);
    // The mouth ends where kerbs of 3 m begin to turn: 3 + 3 m from the middle.
    const mouth = 6;
    for (const { kind, a, b } of along)
      if (kind === "dash" && a[1] === 0) expect(Math.min(Math.abs(a[0]), Math.abs(b[0]))).toBeGreaterThan(mouth);
    for (const { kind, a } of along) if (kind === "joint") expect(Math.abs(a[0])).toBeGreaterThan(mouth - 0.1);
    const stripes = along.filter(({ kind }) => kind === "crossing");
    expect(Math.min(...stripes.map(({ a }) => Math.abs(a[0])))).toBeGreaterThan(mouth + 0.3);
    // Who comes from the west stops in the southern half, 0.5 m before the stripes.
    const stop = stripes.filter(({ a }) => a[0] < -(mouth + 0.5 + 3.2));
    expect(stop).toHaveLength(4);
    for (const { a, b } of stop) expect(Math.max(a[1], b[1])).toBeLessThanOrEqual(1e-9);
    const left = built([{ ...ALONG, junctions: { ...wanted, stopLines: "left" } }, across(-50, 50)]);
    const other = left.details.filter(({ kind, a }) => kind === "crossing" && a[0] < -(mouth + 0.5 + 3.2));
    for (const { a, b } of other) expect(Math.min(a[1], b[1])).toBeGreaterThanOrEqual(-1e-9);
  });

  it("have one crossing where two junctions leave no room for two between them, and none over another", () => {
    const side = (x: number) =>
      street(`side ${x}`, [
        [x, 0],
        [x, 50],
      ]);
    const stripes = (apart: number) =>
      built([{ ...ALONG, junctions: { crossings: true } }, side(0), side(apart)]).details.filter(
        ({ kind, a, b }) => kind === "crossing" && Math.min(a[0], b[0]) > 6 && Math.max(a[0], b[0]) < apart - 6,
      ).length;
    // Mouths reach 6 m to either side: 3.9 m and 8 m are left; a crossing has six stripes of four lines.
    expect([stripes(15.9), stripes(20)]).toEqual([6 * 4, 2 * 6 * 4]);
  });

  it("draw level kerbs around junctions too, and across none of their open ends", () => {
    const level = { kerb: 0 };
    const { solids, details } = built([{ ...ALONG, ...level }, across(-50, 50, level)]);
    expect(solids).toEqual([]);
    const kerbs = details.filter(({ kind }) => kind === "kerb");
    const length = kerbs.reduce((sum, { a, b }) => sum + Math.hypot(b[0] - a[0], b[1] - a[1]), 0);
    // Eight kerbs of 50 - 6 m and eight backs of 50 - 6 m, and the quarters of circles between them.
    expect(length).toBeCloseTo(8 * 44 + 8 * 44 + 2 * Math.PI * (3 + 0.8), 0);
    expect(kerbs.every(({ a, b }) => Math.max(...[a, b].flatMap(([x, y]) => [Math.abs(x), Math.abs(y)])) < 50.01)).toBe(
      true,
    );
  });

  it("mend their junctions when one is moved, hidden or deleted", () => {
    const both = built([ALONG, across(-50, 50)]);
    expect(built([ALONG, { ...across(-50, 50), hidden: true }])).toEqual(built([ALONG]));
    expect(built([ALONG])).not.toEqual(both);
    expect(
      paved([
        ALONG,
        street("across", [
          [30, -50],
          [30, 50],
        ]),
      ]),
    ).toBeCloseTo(paved([ALONG, across(-50, 50)]), 0);
  });
});

describe("junctions of any number of arms, 20 degrees apart or more", () => {
  /** Arms out of one place, by their headings, each as wide as it likes. */
  const star = fc
    .array(
      fc.record({ turn: between(0, 1), length: between(45, 90), carriageway: between(3, 12), pavement: between(0, 4) }),
      { minLength: 2, maxLength: 7 },
    )
    .map((arms) => {
      const room = 360 - 20.5 * arms.length;
      const sum = arms.reduce((total, { turn }) => total + turn, 1e-9);
      let heading = 0;
      return arms.map(({ turn, length, carriageway, pavement }, i) => {
        heading += 20.5 + (room * turn) / sum;
        const way = (heading * Math.PI) / 180;
        return street(
          `s${i}`,
          [
            [0, 0],
            [length * Math.sin(way), length * Math.cos(way)],
          ],
          { carriageway, pavement },
        );
      });
    });

  it("are closed, and their pavements lie in no carriageway", () => {
    fc.assert(
      fc.property(star, between(1, 12), fc.boolean(), (arms, radius, crossings) => {
        const streets = arms.map((arm) => ({ ...arm, junctions: { radius, crossings } }));
        const { solids, details } = built(streets);
        expect(solids.map(open)).toEqual(solids.map(() => null));
        for (const solid of solids)
          for (const [x, y] of solid.vertices)
            for (const { path, carriageway } of streets) {
              const [, { x: ex, y: ey }] = path;
              const long = Math.hypot(ex, ey);
              const [s, off] = [(x * ex + y * ey) / long, Math.abs(x * ey - y * ex) / long];
              expect(s < 0 || s > long - 1e-3 || off > carriageway / 2 - 2e-3).toBe(true);
            }
        for (const { a, b } of details) expect([...a, ...b].every(Number.isFinite)).toBe(true);
      }),
      { numRuns: 20 },
    );
  });

  it("tell the least angle between their arms", () => {
    fc.assert(
      fc.property(between(15, 165), between(0, 360), (angle, heading) => {
        const arm = (at: number): Vec2 => [60 * Math.sin((at * Math.PI) / 180), 60 * Math.cos((at * Math.PI) / 180)];
        const { junctions } = joinedAt([
          { path: [arm(heading), arm(heading + 180)], outer: 5 },
          { path: [[0, 0], arm(heading + angle)], outer: 5 },
        ]);
        expect(junctions).toHaveLength(1);
        expect(junctions[0].angle).toBeCloseTo(Math.min(angle, 180 - angle), 6);
      }),
    );
  });

  it("are closed in any network of streets, however they bend, differ and end", () => {
    const place = fc.tuple(between(-50, 50), between(-50, 50));
    const end = fc.constantFrom(undefined, "pavement", "turning head", "gate", "steps") as fc.Arbitrary<
      NonNullable<Street["ends"]>["first"]
    >;
    const network = fc.array(
      fc.record({
        path: fc.array(place, { minLength: 2, maxLength: 4 }),
        carriageway: fc.constantFrom(3, 5.5, 8),
        pavement: fc.constantFrom(0, 1.5, 2.2),
        kerb: fc.constantFrom(0, 0.12, 0.15),
        bend: fc.constantFrom(0, 6, 25),
        smooth: fc.boolean(),
        first: end,
        last: end,
      }),
      { minLength: 2, maxLength: 5 },
    );
    fc.assert(
      fc.property(network, (ways) => {
        const streets = ways.map(({ path, first, last, ...more }, i) =>
          street(`s${i}`, path, { ...more, ends: { first, last } }),
        );
        const { solids, details } = built(streets);
        expect(solids.map(open)).toEqual(solids.map(() => null));
        for (const { a, b } of details) expect([...a, ...b].every(Number.isFinite)).toBe(true);
      }),
      { numRuns: 15, endOnFailure: true },
    );
  });
});
