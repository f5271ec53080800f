import { build, built, circle, DEFAULT_WINDOWS, newBuilding, type Building, type Detail } from ".";

const RADIUS = 5;
const MIDDLE = [3, 7] as const;
const drum = (change: Partial<Building> = {}): Building =>
  newBuilding({
    id: "d",
    name: "Signal tower",
    footprint: circle(MIDDLE, RADIUS).map(([x, y]) => ({ x, y })),
    base: 0,
    height: 9,
    storeys: 3,
    roof: { kind: "cone", rise: 4 },
    round: true,
    windows: DEFAULT_WINDOWS,
    ...change,
  });
/** The windows of a building, each by its lines, in the order in which they are laid. */
function windowsOf(building: Building): readonly (readonly Detail[])[] {
  const by = new Map<unknown, Detail[]>();
  for (const one of built([building]).details)
    if (one.kind === "window") by.set(one.item, [...(by.get(one.item) ?? []), one]);
  return [...by.values()];
}
const length = ({ a, b }: Detail) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

describe("windows on a round wall", () => {
  it("are spread evenly all around, as many as have room, in every storey", () => {
    // A circle 5 m in radius is 31.42 m around: 13 bays of 2.4 m.
    expect(2 * Math.PI * RADIUS).toBeCloseTo(31.42, 2);
    expect(windowsOf(drum())).toHaveLength(3 * 13);
  });

  it("are as wide and high as they are said to be, and lie on the cylinder that they are drawn on", () => {
    for (const lines of windowsOf(drum())) {
      const upright = lines.filter(({ a, b }) => Math.abs(a[2] - b[2]) > 1e-9);
      expect(upright.map(length)).toEqual([expect.closeTo(1.2, 9), expect.closeTo(1.2, 9)]);
      const level = lines.filter(({ a, b }) => Math.abs(a[2] - b[2]) < 1e-9);
      // Along the wall, by the arcs over their chords.
      const arc = (one: Detail) => 2 * RADIUS * Math.asin(length(one) / 2 / RADIUS);
      expect(level.reduce((sum, one) => sum + arc(one), 0)).toBeCloseTo(2 * 1.1, 6);
      for (const { a, b, on } of lines)
        [a, b].forEach(([x, y], end) => {
          const [nx, ny] = on!.round!.normals[end];
          expect([x - MIDDLE[0], y - MIDDLE[1]]).toEqual([nx, ny].map((n) => expect.closeTo(RADIUS * n, 6)));
        });
    }
  });

  it("leave room for a door", () => {
    const door = { x: 3, y: 2, width: 0.9, height: 2.1 };
    const fewer = windowsOf(drum({ doors: [door] }));
    expect(fewer.length).toBeLessThan(3 * 13);
    expect(fewer.length).toBeGreaterThanOrEqual(3 * 13 - 2);
  });
});

describe("a round wall", () => {
  it.each([
    [{ kind: "flat" }, 3],
    [{ kind: "flat", rise: 1 }, 5],
    [{ kind: "mansard", rise: 2 }, 4],
    [{ kind: "cone", rise: 4 }, 3],
    [{ kind: "dome", rise: 4 }, 3],
  ] as const)("has no line from facet to facet under the roof %j", (roof, rims) => {
    const [solid] = build([drum({ roof })]);
    const level = ({ a, b }: { a: number; b: number }) => solid.vertices[a][2] === solid.vertices[b][2];
    const drawn = solid.edges.filter(({ smooth }) => !smooth);
    expect(drawn.filter((edge) => !level(edge))).toEqual([]);
    // Its foot, its eaves, and what else runs around it, by height and by distance from the axis.
    const rim = ({ a }: { a: number }) => {
      const [x, y, z] = solid.vertices[a];
      return `${z.toFixed(6)} ${Math.hypot(x - MIDDLE[0], y - MIDDLE[1]).toFixed(6)}`;
    };
    expect(new Set(drawn.map(rim)).size).toBeLessThanOrEqual(rims);
    expect(drawn.every(({ bend }) => bend)).toBe(true);
  });
});

describe("a saw-tooth roof", () => {
  it("has no line across the plain wall under its last tooth", () => {
    const [hall] = build([
      newBuilding({
        id: "h",
        name: "Rope works",
        footprint: [
          { x: 0, y: 0 },
          { x: 20, y: 0 },
          { x: 20, y: 8 },
          { x: 0, y: 8 },
        ],
        base: 0,
        height: 5,
        roof: { kind: "saw-tooth", rise: 2 },
      }),
    ]);
    const level = hall.edges.filter(({ a, b }) =>
      [a, b].every((n) => Math.abs(hall.vertices[n][2] - 5) < 1e-9 && Math.abs(hall.vertices[n][0] - 20) < 1e-9),
    );
    expect(level.map(({ smooth }) => smooth)).toEqual([true]);
    // The valleys between its teeth are folds.
    expect(hall.edges.filter(({ concave }) => concave)).toHaveLength(3);
  });
});
