import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import type { Vec2 } from "../geometry";
import { partsClearOf } from "./bends";
import {
  build,
  built,
  DEFAULT_RIDGES,
  DEFAULT_SKYLINE,
  DEFAULT_STREET,
  isWithin,
  isWoundAround,
  offPath,
  standsAt,
  validateElement,
  volumeOf,
  type Skyline,
  type Solid,
  type Street,
} from ".";

const points = (path: readonly Vec2[]) => path.map(([x, y]) => ({ x, y }));
const street = (path: readonly Vec2[], change: Partial<Street> = {}): Street => ({
  id: "s",
  kind: "street",
  name: "Hairpin",
  path: points(path),
  ...DEFAULT_STREET,
  ...change,
});
const skyline = (path: readonly Vec2[], change: Partial<Skyline> = {}): Skyline => ({
  id: "k",
  kind: "skyline",
  name: "Far bank",
  path: points(path),
  ...DEFAULT_SKYLINE,
  seed: 7,
  ...change,
});
/** Why a solid is not closed; each hole of a face is one end of a tunnel through it. */
const open = (solid: Solid) => whyOpen(solid, solid.faces.reduce((sum, { holes = [] }) => sum + holes.length, 0) / 2);
const volume = (solids: readonly Solid[]) => solids.reduce((sum, solid) => sum + volumeOf(solid), 0);
/** A path that crosses itself square at the origin, 120 m long, and one that turns back within its own width. */
const CROSSING: readonly Vec2[] = [
  [-20, 0],
  [20, 0],
  [20, 20],
  [0, 20],
  [0, -20],
];
const HAIRPIN: readonly Vec2[] = [
  [0, 0],
  [40, 0],
  [40, 4],
  [0, 4],
];
/** Paths of bends 1 m apart or more, many of which cross themselves, run back on themselves, or meet square. */
const anyPath = fc
  .array(fc.tuple(between(-30, 30), between(-30, 30)), { minLength: 2, maxLength: 6 })
  .chain((free) =>
    fc.constantFrom(
      free,
      free.map(([x, y]): Vec2 => [Math.round(x / 5) * 5, Math.round(y / 5) * 5]),
    ),
  )
  .filter((path) => path.slice(1).every(([x, y], i) => Math.hypot(x - path[i][0], y - path[i][1]) >= 1));

describe("the parts of a line that are clear of a path", () => {
  it("are nowhere nearer to it than asked, and what is left out is nowhere farther", () => {
    fc.assert(
      fc.property(anyPath, anyPath, between(0.5, 15), (line, path, distance) => {
        const parts = partsClearOf(line, path, distance);
        const lined = { path: points(path) };
        for (const [p, q, share] of samples(parts))
          expect(offPath(lined, along(p, q, share))).toBeGreaterThan(distance - 1e-6);
        const kept = parts.reduce((sum, part) => sum + pathLength(part), 0);
        // Measured against a fine count of what lies outside.
        const outside = samples([line], 400).filter(([p, q, share]) => offPath(lined, along(p, q, share)) > distance);
        const counted = outside.reduce((sum, [p, q]) => sum + Math.hypot(q[0] - p[0], q[1] - p[1]) / 400, 0);
        expect(Math.abs(kept - counted)).toBeLessThan(0.02 * pathLength(line));
      }),
      { numRuns: 100, endOnFailure: true },
    );
  });
});

it("a ring is wound around the same places as it holds, where it does not cross itself", () => {
  const ring: Vec2[] = [
    [0, 0],
    [10, 0],
    [10, 10],
    [5, 3],
    [0, 10],
  ];
  fc.assert(
    fc.property(between(-1, 11), between(-1, 11), (x, y) => {
      expect(isWoundAround([x, y], ring)).toBe(isWithin([x, y], ring));
      expect(isWoundAround([x, y], [...ring].reverse())).toBe(isWithin([x, y], ring));
    }),
  );
  // A ring that runs around twice holds its middle.
  const twice: Vec2[] = [0, 1].flatMap((k) => [
    [0, k],
    [10, k],
    [10, 10 - k],
    [0, 10 - k],
  ]);
  expect([isWoundAround([5, 5], twice), isWithin([5, 5], twice)]).toEqual([true, false]);
});

describe("a street that crosses itself, or bends too sharply for its width", () => {
  it("has its pavements outside the carriageway of all its parts", () => {
    // By hand: both pavements along 120 m, but for where the arms cover one another, 10.4 m square less 6 m square.
    // Kerbs turn around 3 m, pavements around what is left of it beside them, 0.8 m: four corners of a square less a
    // quarter of a circle.
    const one = street(CROSSING);
    const corners = 4 * (1 - Math.PI / 4) * (3 ** 2 - 0.8 ** 2);
    expect(validateElement(one)).toBeNull();
    expect(volume(build([one])) / 0.12).toBeCloseTo(4.4 * 120 - (10.4 ** 2 - 6 ** 2) - corners, 1);
    // It goes around a yard, which it does not take.
    expect([standsAt(one, [10, 10]), standsAt(one, [0, 0]), standsAt(one, [-19, 5])]).toEqual([false, true, true]);
  });

  it("turns within its own width without a pavement between its two ways", () => {
    // Two ways 4 m apart, each 6 m wide: only the two outer pavements, and the one around the bend, are left.
    // From above: 14.4 m by 45.2 m less 10 m by 43 m.
    const solids = build([street(HAIRPIN)]);
    expect(volume(solids)).toBeCloseTo(0.12 * (14.4 * 45.2 - 10 * 43), 5);
    expect(solids.map(open)).toEqual(solids.map(() => null));
    expect([2, 39].flatMap((x) => [-4, 2, 8].map((y) => standsAt(street(HAIRPIN), [x, y])))).toEqual(
      Array.from({ length: 6 }, () => true),
    );
  });

  it("is closed on any path, its joints on its own pavements and its sides clear of the carriageway", () => {
    fc.assert(
      fc.property(anyPath, fc.boolean(), (path, flat) => {
        const one = street(path, flat ? { kerb: 0 } : {});
        fc.pre(validateElement(one) === null);
        const { solids, details } = built([one]);
        expect(solids.map(open)).toEqual(solids.map(() => null));
        expect(flat || solids.length > 0).toBe(true);
        // Never more than beside each part of the path, and around each bend.
        expect(volume(solids)).toBeLessThan(1e-6 + 0.12 * (4.4 * pathLength(path) + 10.4 ** 2 * (path.length - 2)));
        const ends = [path[0], path[path.length - 1]];
        for (const { kind, a, b } of details) {
          const middle: Vec2 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
          const off = offPath(one, middle);
          // Beyond an end that stands in a crossing, its kerbs turn before it.
          const beyond = kind === "kerb" && ends.some(([x, y]) => Math.hypot(middle[0] - x, middle[1] - y) < 3 + 3);
          if (kind === "joint" || (kind === "kerb" && !beyond)) expect(off).toBeGreaterThan(3 - 1e-3);
          expect(off).toBeLessThan(5.2 * 2);
        }
      }),
      {
        numRuns: 60,
        endOnFailure: true,
        examples: [
          [
            [
              [-20, 15],
              [15, 0],
              [25, 20],
            ],
            true,
          ],
        ],
      },
    );
  });

  it("has driveways where its pavement is whole, and says where there is no room for one", () => {
    const lane = (at: number, side: "left" | "right") => street(HAIRPIN, { driveways: [{ at, width: 3, side }] });
    // The outer side of the way out, which runs east, is its right; on its left lies the way back.
    expect(validateElement(lane(20, "right"))).toBeNull();
    const solids = build([lane(20, "right")]);
    expect(solids.map(open)).toEqual(solids.map(() => null));
    // The ramp rises from a quarter of the kerb to the whole of it: five eighths of a pavement as long.
    expect(volume(build([street(HAIRPIN)])) - volume(solids)).toBeCloseTo((3 / 8) * 3 * 2.2 * 0.12, 5);
    expect(validateElement(lane(20, "left"))).toMatchObject({
      field: "driveways/0",
      message: "has no room at the bend it lies on.",
    });
    // On the inner side of a plain corner a driveway across it would be turned inside out.
    const corner = street(
      [
        [0, 0],
        [30, 0],
        [30, 30],
      ],
      { driveways: [{ at: 30, width: 2, side: "left" }] },
    );
    expect(validateElement(corner)).toMatchObject({ field: "driveways/0" });
  });
});

describe("a skyline that bends too sharply for its rows", () => {
  it("keeps each row clear of the line that it stands behind, and every solid closed", () => {
    fc.assert(
      fc.property(anyPath, fc.integer({ min: 1, max: 3 }), fc.boolean(), (path, rows, ridges) => {
        const one = skyline(path, { rows, ...(ridges ? { of: "ridges", ...DEFAULT_RIDGES } : {}), behind: 10 });
        fc.pre(validateElement(one) === null);
        const solids = build([one]);
        expect(solids.map(open)).toEqual(solids.map(() => null));
        expect(solids.every((solid) => volumeOf(solid) > 0)).toBe(true);
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });

  it("leaves out what a row has no room for", () => {
    // To the right of a way that turns back after 4 m there is no room for a row 40 m behind but beyond its ends.
    const inside = skyline([...HAIRPIN].reverse(), { rows: 2 });
    const front = build([inside]).map(({ vertices }) => vertices.slice(0, 4).map(([x, y]): Vec2 => [x, y]));
    const ways = front.map((ring) => Math.max(...ring.map((at) => offPath(inside, at))));
    expect(validateElement(inside)).toBeNull();
    expect(ways.length).toBeGreaterThan(3);
    expect(ways.every((way) => way < 16.1 || way > 39.9)).toBe(true);
  });
});

/** Places on each side of some lines: its ends, and how far along it. */
const samples = (lines: readonly (readonly Vec2[])[], count = 7) =>
  lines.flatMap((line) =>
    line.slice(1).flatMap((q, i) => Array.from({ length: count }, (_, k) => [line[i], q, (k + 0.5) / count] as const)),
  );
const along = ([px, py]: Vec2, [qx, qy]: Vec2, share: number): Vec2 => [px + share * (qx - px), py + share * (qy - py)];

function pathLength(path: readonly Vec2[]): number {
  return path.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - path[i][0], y - path[i][1]), 0);
}
