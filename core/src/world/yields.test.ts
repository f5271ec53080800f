import fc from "fast-check";
import { between, rectangle, whyOpen, xy } from "../../testing";
import type { Vec2 } from "../geometry";
import {
  built,
  DEFAULT_BASIN,
  DEFAULT_CANAL,
  DEFAULT_LAWN,
  DEFAULT_SQUARE,
  DEFAULT_STEPS,
  DEFAULT_STREET,
  validateElement,
  volumeOf,
  type Basin,
  type Element,
} from ".";

const plaza = (id: string, x0: number, y0: number, x1: number, y1: number): Element => ({
  id,
  kind: "square",
  name: id,
  footprint: rectangle(x0, y0, x1, y1),
  heading: 0,
  ...DEFAULT_SQUARE,
});
const street = (id: string, path: readonly Vec2[], more: object = {}): Element => ({
  id,
  kind: "street",
  name: id,
  path: xy(path),
  ...DEFAULT_STREET,
  ...more,
});
/** The area that the solids of an element cover, by their height, m^2. */
const area = (world: readonly Element[], id: string, height: number): number =>
  built(world)
    .solids.filter((solid) => solid.id === id)
    .reduce((sum, solid) => sum + volumeOf(solid) / height, 0);
const { kerb } = DEFAULT_SQUARE;

describe("a plaza or a park", () => {
  it("yields to water, to steps and to a later one, and its joints end there", () => {
    const canal: Element = {
      id: "c",
      kind: "canal",
      name: "Cut",
      path: xy([
        [10, -50],
        [10, 50],
      ]),
      ...DEFAULT_CANAL,
    };
    const steps: Element = {
      id: "s",
      kind: "steps",
      name: "Stair",
      foot: { x: -20, y: 0, z: 0 },
      heading: 0,
      ...DEFAULT_STEPS,
      width: 4,
      count: 10,
      tread: 0.3,
    };
    const one = plaza("one", -30, -20, 30, 20);
    const wide = DEFAULT_CANAL.width + 2 * DEFAULT_CANAL.quay;
    expect(area([one], "one", kerb)).toBeCloseTo(60 * 40, 6);
    expect(area([one, canal], "one", kerb)).toBeCloseTo((60 - wide) * 40, 6);
    expect(area([one, steps], "one", kerb)).toBeCloseTo(60 * 40 - 4 * 3, 6);
    const later = plaza("two", 0, 0, 50, 50);
    expect(area([one, later], "one", kerb)).toBeCloseTo(60 * 40 - 30 * 20, 6);
    expect(area([one, later], "two", kerb)).toBeCloseTo(50 * 50, 6);
    const { details } = built([one, canal, steps]);
    expect(details.length).toBeGreaterThan(40);
    for (const { a, b } of details) {
      const [x, y] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
      expect(Math.abs(x - 10) > wide / 2 - 1e-6 || (x > -22 && x < -18 && y > 0 && y < 3)).toBe(true);
      expect(x > -22 + 1e-6 && x < -18 - 1e-6 && y > 1e-6 && y < 3 - 1e-6).toBe(false);
    }
  });

  it("a park lets paths through, and a plaza ends them", () => {
    const path = street(
      "p",
      [
        [-60, 0],
        [60, 0],
      ],
      { carriageway: 3, pavement: 0, kerb: 0 },
    );
    const park: Element = { ...plaza("park", -30, -20, 30, 20), ...DEFAULT_LAWN, slabs: undefined } as Element;
    expect(area([park, path], "park", DEFAULT_LAWN.kerb)).toBeCloseTo(60 * 40 - 60 * 3, 6);
    expect(area([plaza("park", -30, -20, 30, 20), path], "park", kerb)).toBeCloseTo(60 * 40, 6);
  });
});

it("a driveway gives way to another carriageway and to what takes the ground, and stays elsewhere", () => {
  const along = street(
    "a",
    [
      [-60, 0],
      [60, 0],
    ],
    {
      driveways: [
        { at: 60, width: 3, side: "right" },
        { at: 20, width: 3, side: "left" },
      ],
    },
  );
  const across = street("b", [
    [0, -40],
    [0, 0],
  ]);
  const ramps = (...world: Element[]) =>
    built(world).solids.filter(
      ({ vertices, id }) =>
        id === "a" && vertices.length === 8 && vertices.some(([, , z]) => z > 0 && z < DEFAULT_STREET.kerb - 1e-9),
    );
  expect(ramps(along)).toHaveLength(2);
  expect(ramps(along, across)).toHaveLength(1);
  expect(ramps(along, plaza("q", -45, 0, -35, 30))).toHaveLength(1);
});

describe("a basin", () => {
  const basin = (more: Partial<Basin>): Basin => ({
    id: "d",
    kind: "basin",
    name: "Old dock",
    footprint: rectangle(0, 0, 30, 20),
    ...DEFAULT_BASIN,
    ...more,
  });
  it("holds water on any outline between walls of one width, around islands", () => {
    const { quay, depth } = DEFAULT_BASIN;
    const water = ({ solids }: ReturnType<typeof built>) =>
      solids
        .filter(({ id, vertices }) => id === "d" && Math.max(...vertices.map(([, , z]) => z)) < 0)
        .reduce((sum, solid) => sum + volumeOf(solid), 0);
    // Water is a metre deep over its bottom.
    expect(water(built([basin({})]))).toBeCloseTo((30 - 2 * quay) * (20 - 2 * quay), 6);
    const island = rectangle(10, 8, 15, 12);
    expect(water(built([basin({ islands: [island] })]))).toBeCloseTo(
      (30 - 2 * quay) * (20 - 2 * quay) - (5 + 2 * quay) * (4 + 2 * quay),
      6,
    );
    expect(depth).toBeGreaterThan(0);
    expect(validateElement(basin({ quay: 10.1 }))).toMatchObject({ field: "quay" });
  });

  it("joins a canal that runs into it, in one water within one wall, closed", () => {
    fc.assert(
      fc.property(between(-8, 25), between(4, 12), (x, width) => {
        const canal: Element = {
          id: "c",
          kind: "canal",
          name: "Cut",
          path: xy([
            [x, -40],
            [15, 10],
          ]),
          ...DEFAULT_CANAL,
          width,
        };
        const world = [basin({}), canal];
        for (const solid of built(world).solids.filter(({ id }) => id !== ""))
          expect(whyOpen(solid, solid.faces.find(({ name }) => name === "top")?.holes?.length ?? 0)).toBeNull();
        // One solid of walls, and one of water.
        expect(built(world).solids.filter(({ id }) => id !== "")).toHaveLength(2);
      }),
      { numRuns: 30 },
    );
  });
});
