import {
  build,
  built,
  DEFAULT_BRIDGE,
  DEFAULT_CANAL,
  DEFAULT_SKYLINE,
  DEFAULT_STREET,
  validateElement,
  reachesOf,
  volumeOf,
  type Bridge,
  type Canal,
  type Skyline,
  type Square,
  type Street,
} from ".";

const xy = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => ({ x, y }));
const canal = (change: Partial<Canal> = {}): Canal => ({
  id: "c",
  kind: "canal",
  name: "Ferry canal",
  path: xy([
    [0, 0],
    [100, 0],
  ]),
  ...DEFAULT_CANAL,
  width: 10,
  quay: 1,
  depth: 2,
  coping: 0.2,
  ...change,
});
const bridge = (change: Partial<Bridge> = {}): Bridge => ({
  id: "b",
  kind: "bridge",
  name: "Lamp bridge",
  path: xy([
    [0, 0],
    [20, 0],
  ]),
  ...DEFAULT_BRIDGE,
  width: 4,
  thickness: 0.5,
  level: 1,
  arch: 0,
  parapet: undefined,
  ...change,
});
const square = (change: Partial<Square> = {}): Square => ({
  id: "s",
  kind: "square",
  name: "Clock square",
  footprint: xy([
    [0, 0],
    [12, 0],
    [12, 9],
    [0, 9],
  ]),
  kerb: 0.1,
  slabs: 3,
  heading: 0,
  ...change,
});
const skyline = (change: Partial<Skyline> = {}): Skyline => ({
  id: "k",
  kind: "skyline",
  name: "Gasworks",
  path: xy([
    [0, 0],
    [0, 200],
  ]),
  ...DEFAULT_SKYLINE,
  seed: 5,
  ...change,
});
const tops = (element: Parameters<typeof build>[0][number]) =>
  build([element]).map(({ vertices }) => Math.max(...vertices.map(([, , z]) => z)));

describe("a canal", () => {
  it("is water between walls, level from lock to lock, under ground that is open over it", () => {
    const locked = canal({
      locks: [
        { at: 70, length: 20, fall: 1 },
        { at: 30, length: 20, fall: 1.5 },
      ],
    });
    expect(reachesOf(locked)).toEqual([
      { from: 0, to: 30, depth: 2 },
      { from: 30, to: 70, depth: 3.5 },
      { from: 70, to: 100, depth: 4.5 },
    ]);
    const solids = build([canal()]);
    // Two walls 100 m long and 1 m thick and one at each end, from 1 m under the water's foot to the coping; the
    // water between.
    expect(solids.map(volumeOf)).toEqual(
      [100 * 1 * 3.2, 100 * 1 * 3.2, 10 * 1 * 3.2, 10 * 1 * 3.2, 98 * 10 * 1].map((v) => expect.closeTo(v, 6)),
    );
    // Each lock has two gates of two leaves, each with its beam.
    expect(build([locked])).toHaveLength(4 + 3 + 2 * 2 * 4);
    const [ground] = built([canal()]).solids.slice(-1);
    expect([ground.id, ground.edges.length, ground.faces.length]).toEqual(["", 0, 2]);
    const area = (piece: readonly number[]) =>
      piece.reduce(
        (sum, n, i) =>
          sum +
          ground.vertices[n][0] * ground.vertices[piece[(i + 1) % 3]][1] -
          ground.vertices[piece[(i + 1) % 3]][0] * ground.vertices[n][1],
        0,
      ) / 2;
    // All around, 20 km and more, less the canal's own 100 m by 12 m.
    expect(ground.faces[0].pieces.reduce((sum, piece) => sum + area(piece), 0)).toBeCloseTo(40_100 * 40_012 - 1200, 3);
    expect(built([square()]).solids).toHaveLength(1);
  });

  it("says why it cannot be dug", () => {
    expect(validateElement(canal({ locks: [{ at: 90, length: 20, fall: 1 }] }))).toEqual({
      field: "locks",
      message: "lie beyond the canal’s end.",
    });
    expect(
      validateElement(
        canal({
          locks: [
            { at: 30, length: 20, fall: 1 },
            { at: 52, length: 20, fall: 1 },
          ],
        }),
      ),
    ).toEqual({ field: "locks", message: "lie over one another." });
    expect(
      validateElement(
        canal({
          path: xy([
            [0, 0],
            [0, 0],
          ]),
        }),
      ),
    ).toMatchObject({ field: "path" });
  });
});

describe("a bridge", () => {
  it("is a deck, on an arch that leaves its circle's segment free, between parapets", () => {
    expect(build([bridge()]).map(volumeOf)).toEqual([expect.closeTo(20 * 4 * 0.5, 6)]);
    // The arch spans 0.88 of 20 m and rises 2 m: its radius by the sagitta, its segment's area r^2 (2 t - sin 2 t) /
    // 2; of 16 chords, a little less.
    const [span, rise] = [17.6, 2];
    const radius = (span * span) / (8 * rise) + rise / 2;
    const half = Math.asin(span / 2 / radius);
    const segment = (radius ** 2 * (2 * half - Math.sin(2 * half))) / 2;
    const free = (20 * 2.5 * 4 - volumeOf(build([bridge({ arch: 2 })])[0])) / 4;
    expect(free).toBeLessThan(segment);
    expect(free / segment).toBeGreaterThan(0.995);
    expect(tops(bridge({ parapet: { height: 0.9, thickness: 0.3 } }))).toEqual([1, 1.9, 1.9]);
    expect(validateElement(bridge({ arch: 9 }))).toMatchObject({ field: "arch" });
    expect(validateElement(bridge({ parapet: { height: 1, thickness: 2 } }))).toMatchObject({
      field: "parapet/thickness",
    });
  });
});

describe("a square", () => {
  it("is paved with joints along its heading and across, cut at its rim", () => {
    const length = (one: Square) =>
      built([one]).details.reduce((sum, { a, b }) => sum + Math.hypot(b[0] - a[0], b[1] - a[1]), 0);
    // Three joints of 9 m and two of 12 m.
    expect(length(square())).toBeCloseTo(3 * 9 + 2 * 12, 6);
    // Level with the ground its rim is drawn, too: 42 m.
    expect(length(square({ kerb: 0 }))).toBeCloseTo(3 * 9 + 2 * 12 + 42, 6);
    // Lines 0.1 m apart cover a polygon at ten times its area in metres, each way: an L of 72 m^2.
    const ell = square({
      footprint: xy([
        [0, 0],
        [12, 0],
        [12, 3],
        [4, 3],
        [4, 12],
        [0, 12],
      ]),
      slabs: 0.1,
      heading: 33,
    });
    expect(length(ell) / (2 * 10 * 72)).toBeCloseTo(1, 2);
    expect(
      validateElement(
        square({
          footprint: xy([
            [0, 0],
            [9, 9],
            [9, 0],
            [0, 9],
          ]),
        }),
      ),
    ).toMatchObject({ field: "footprint" });
  });
});

describe("a skyline", () => {
  it("has rows that overlap: each behind rises over the one before, within its heights and what is between", () => {
    const near = tops(skyline({ rows: 1 }));
    const both = tops(skyline({ rows: 2 }));
    expect(both.slice(0, near.length)).toEqual(near);
    const { least, most } = DEFAULT_SKYLINE.heights;
    for (const top of near) expect(top >= least && top <= most).toBe(true);
    for (const top of both.slice(near.length))
      expect(top > least + 0.3 * (most - least) && top <= most + 0.4 * (most - least)).toBe(true);
    expect(tops(skyline({ seed: 6, rows: 1 }))).not.toEqual(near);
    // A ridge is one solid to a row, its back round.
    const ridges = build([skyline({ of: "ridges", rows: 3, behind: 50 })]);
    expect(ridges).toHaveLength(3);
    for (const { edges } of ridges) expect(edges.filter(({ smooth }) => smooth).length).toBeGreaterThan(10);
  });
});

describe("a street's driveways, lanes and track", () => {
  const street = (change: Partial<Street> = {}): Street => ({
    id: "s",
    kind: "street",
    name: "Quay street",
    path: xy([
      [0, 0],
      [60, 0],
    ]),
    ...DEFAULT_STREET,
    slabs: undefined,
    dashes: undefined,
    ...change,
  });
  const volume = (one: Street) => build([one]).reduce((sum, solid) => sum + volumeOf(solid), 0);

  it("lower the kerb to a quarter, rising to the pavement's far side", () => {
    const whole = volume(street());
    // Over 4 m the kerb's 0.12 m become 0.03 at the carriageway: 0.09 / 2 less on the mean, over 2.2 m.
    for (const side of ["left", "right"] as const)
      expect(whole - volume(street({ driveways: [{ at: 20, width: 4, side }] }))).toBeCloseTo((4 * 2.2 * 0.09) / 2, 9);
    const bent = street({
      path: xy([
        [0, 0],
        [20, 0],
        [40, 8],
      ]),
      driveways: [{ at: 20, width: 6, side: "left" }],
    });
    expect(build([bent])).toHaveLength(1 + 2 + 2);
    // Joints of the pavement stop at it: of 49 on its side, those at 18, 19.2, 20.4 and 21.6 m are within 17 to 23 m,
    // and 22.8.
    expect(built([street({ slabs: 1.2, driveways: [{ at: 20, width: 6, side: "right" }] })]).details).toHaveLength(
      2 * 49 - 5,
    );
    for (const { a, b, on } of built([
      street({
        slabs: 1.2,
        driveways: [
          { at: 20, width: 6, side: "right" },
          { at: 40, width: 4, side: "left" },
        ],
      }),
    ]).details) {
      const xs = on!.solid.vertices.map(([x]) => x);
      expect([a[0] >= Math.min(...xs) && b[0] <= Math.max(...xs), a[1] * on!.solid.vertices[0][1] > 0]).toEqual([
        true,
        true,
      ]);
    }
    expect(validateElement(street({ driveways: [{ at: 59, width: 4, side: "left" }] }))).toMatchObject({
      field: "driveways/0",
    });
    expect(
      validateElement(
        street({
          driveways: [
            { at: 20, width: 4, side: "left" },
            { at: 23, width: 4, side: "left" },
          ],
        }),
      ),
    ).toMatchObject({ field: "driveways" });
  });

  it("are told apart by dashes, and rails lie on sleepers or in plates", () => {
    const dashes = (lanes: number) =>
      new Set(
        built([street({ lanes, dashes: { line: 3, gap: 9 }, carriageway: 12 })]).details.map(({ a }) =>
          Number(a[1].toFixed(6)),
        ),
      );
    expect([...dashes(4)].sort((p, q) => p - q)).toEqual([-3, 0, 3]);
    expect(dashes(1).size).toBe(0);
    const track = (bed?: Street["bed"]) => built([street({ rails: true, bed })]).details.length;
    // 60 m hold 92 sleepers of four sides every 0.65 m, or 24 joints every 2.5 m and the plates' two sides.
    expect([track(), track("sleepers"), track("plates")]).toEqual([2, 2 + 92 * 4, 2 + 24 + 2]);
  });
});
