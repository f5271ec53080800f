import fc from "fast-check";
import { BoxGeometry, DoubleSide, Mesh, MeshBasicMaterial, Vector3 } from "three";
import { between, whyOpen } from "../../testing";
import { compared, stopped, stretchesOf } from "../../testing/rays";
import { along, norm, sub, type Vec2, type Vec3 } from "../geometry";
import { inMetric } from "../units";
import {
  built,
  DETAIL_KINDS,
  encloses,
  kindOf,
  validateBuilding,
  volumeOf,
  withRoom,
  type Building,
  type Front,
} from "../world";
import { cutAway, visibleEdges } from ".";
import { CREASE, DETAIL, OUTLINE } from "./visibleEdges";

const [WALL, SLAB] = [0.3, 0.25];
const window = { width: 1.4, height: 1.6, sill: 1, reveal: 0.1, frame: 0.08, across: 2 };
const front = (side: number, change: Partial<Front> = {}): Front => ({ side, bays: "3", window, ...change });
const house = (change: Partial<Building> = {}): Building => ({
  id: "house",
  kind: "building",
  name: "Net loft",
  footprint: [
    { x: -6, y: 0 },
    { x: 6, y: 0 },
    { x: 6, y: 8 },
    { x: -6, y: 8 },
  ],
  base: 0,
  height: 6.4,
  storeys: 2,
  roof: { kind: "flat" },
  rooms: { wall: WALL, slab: SLAB },
  fronts: [front(0), front(2)],
  ...change,
});
const bodyOf = (building: Building) => built([building]).solids[0];
const why = (building: Building): string => {
  const problem = validateBuilding(building);
  return problem ? `${problem.field} ${inMetric(problem.message)}` : "";
};

describe("rooms", () => {
  it("leave walls, floors and openings of the measures that are said", () => {
    const solid = bodyOf(house());
    // Twelve windows join two rooms to the outside: of genus 12 - 2.
    expect(whyOpen(solid, 10)).toBeNull();
    const rooms = 2 * 11.4 * 7.4 * (3.2 - SLAB - 0.01);
    expect(volumeOf(solid)).toBeCloseTo(12 * 8 * 6.4 - rooms - 12 * 1.4 * 1.6 * WALL, 9);
    // In a room one is not in the solid; in a wall one is.
    expect(encloses(solid, [0, 4, 1.6])).toBe(false);
    expect(encloses(solid, [0, 0.15, 0.5])).toBe(true);
  });

  it("are closed solids with any heads, sizes and rooms side by side", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("flat", "segmental", "round", "basket", "pointed", "circle" as const),
        between(0.3, 1.9),
        between(0.6, 1.9),
        between(0.1, 0.6),
        fc.integer({ min: 1, max: 4 }),
        between(-180, 180),
        (head, width, height, wall, across, turn) => {
          const [c, s] = [Math.cos(turn), Math.sin(turn)];
          const one = house({
            rooms: { wall, slab: 0.2, across },
            fronts: [
              front(0, { window: { ...window, head, width, height, reveal: 0.05 } }),
              front(3, { bays: "door 1" }),
            ],
            footprint: house().footprint.map(({ x, y }) => ({ x: c * x - s * y, y: s * x + c * y })),
          });
          expect(why(one)).toBe("");
          const { solids } = built([one]);
          const [solid] = solids;
          const rings = solid.faces.flatMap(({ loop, holes = [] }) => [loop, ...holes]);
          expect(rings.reduce((sum, ring) => sum + ring.length, 0)).toBe(2 * solid.edges.length);
          const ways = new Set(rings.flatMap((r) => r.map((a, i) => `${a} ${r[(i + 1) % r.length]}`)));
          expect(ways.size).toBe(2 * solid.edges.length);
          expect(volumeOf(solid)).toBeGreaterThan(0);
          expect(volumeOf(solid)).toBeLessThan(12 * 8 * 6.4);
        },
      ),
      { numRuns: 60, seed: 3 },
    );
  });

  it("show through a window just what rays of three's reach, out again on the other side", () => {
    const box = (x0: number, x1: number, y0: number, y1: number, z0: number, z1: number) => {
      const mesh = new Mesh(new BoxGeometry(x1 - x0, y1 - y0, z1 - z0), new MeshBasicMaterial({ side: DoubleSide }));
      mesh.position.set((x0 + x1) / 2, (y0 + y1) / 2, (z0 + z1) / 2);
      mesh.updateMatrixWorld();
      return mesh;
    };
    const one = house({ height: 3.2, storeys: 1, fronts: [front(0, { bays: "1" }), front(2, { bays: "1" })] });
    const top = 3.2 - SLAB;
    const walls = [0, 8 - WALL].flatMap((y) => [
      box(-6, -0.7, y, y + WALL, 0, 3.2),
      box(0.7, 6, y, y + WALL, 0, 3.2),
      box(-0.7, 0.7, y, y + WALL, 0, 1),
      box(-0.7, 0.7, y, y + WALL, 2.6, 3.2),
    ]);
    const meshes = [
      ...walls,
      box(-6, 6, 0, 8, 0, 0.01),
      box(-6, 6, 0, 8, top, 3.2),
      box(-6, -6 + WALL, 0, 8, 0, 3.2),
      box(6 - WALL, 6, 0, 8, 0, 3.2),
    ];
    // A far wall, seen through both windows.
    const far: Building = {
      ...house({ rooms: undefined, fronts: undefined }),
      id: "far",
      height: 2.1,
      footprint: [
        { x: -0.5, y: 12 },
        { x: 0.5, y: 12 },
        { x: 0.4, y: 13 },
        { x: -0.4, y: 13 },
      ],
    };
    const world = built([one, far]);
    const inside = world.solids[0].edges.map(({ a, b }) => [a, b].map((n) => world.solids[0].vertices[n]));
    const beyond = world.solids[1].edges.map(({ a, b }) => [a, b].map((n) => world.solids[1].vertices[n]));
    let [all, same, through] = [0, 0, 0];
    fc.assert(
      fc.property(between(-2, 2), between(-6, -0.6), between(0.4, 3), (x, y, z) => {
        const eye: Vec3 = [x, y, z];
        const visible = visibleEdges(world.solids, eye, world.details);
        const seen = stretchesOf(visible, (i) => [CREASE, OUTLINE, DETAIL].includes(visible.edgeClass[i] as 0));
        for (const [p, q] of [...inside, ...beyond])
          for (const t of [0.09, 0.31, 0.5, 0.77, 0.93]) {
            const at = along(p, sub(q, p), t);
            const drawn = seen.some(([a, b]) => norm(sub(a, at)) + norm(sub(at, b)) - norm(sub(a, b)) < 1e-9);
            const isBeyond = at[1] > 11;
            if (isBeyond && (at[1] > 12.01 || at[2] < 0.1)) continue;
            const open = !stopped(meshes, new Vector3(...eye), new Vector3(...at), 1e-3);
            all++;
            if (open === drawn) same++;
            if (isBeyond && drawn) through++;
          }
      }),
      { numRuns: 150, seed: 11 },
    );
    expect(all).toBeGreaterThan(20_000);
    expect(through).toBeGreaterThan(50);
    expect(same / all).toBeGreaterThan(0.999);
  });

  it("agree with rays from within a room, too", () => {
    const one = house({
      rooms: { wall: WALL, slab: SLAB, across: 2 },
      fronts: [0, 1, 2].map((side) => front(side, { bays: "4" })),
    });
    for (const eye of [
      [-3, 3, 1.6],
      [3.1, 5.2, 4.7],
      [-1, -7, 1.6],
    ] as const) {
      const [checked, doubtful] = compared(built([one]), eye);
      expect(checked).toBeGreaterThan(100);
      expect(doubtful / checked).toBeLessThan(0.02);
    }
  });

  it("are seen into through clear windows and open doors only", () => {
    const holes = (change: Partial<Front>) =>
      bodyOf(house({ fronts: [front(0, { bays: "door 1", ...change })] })).faces.reduce(
        (sum, { holes: cut = [] }) => sum + cut.length,
        0,
      );
    // Each hole is cut into two faces: here the upper storey's window alone.
    expect(holes({})).toBe(2);
    expect(holes({ own: [{ bay: 0, storey: 0, open: 60 }] })).toBe(4);
    expect(holes({ window: { ...window, opaque: true } })).toBe(0);
    expect(holes({ window: { ...window, opaque: true }, own: [{ bay: 0, storey: 1, opaque: false }] })).toBe(2);
  });

  it("let the leaves of open doors stand in them, clear of jambs and floor, at any angle", () => {
    fc.assert(
      fc.property(between(1, 170), fc.boolean(), between(0.12, 0.5), (open, double, wall) => {
        const bays = double ? "double 1" : "door 1";
        const own = [{ bay: 0, storey: 0, open }];
        const [solid, ...leaves] = built([
          house({ rooms: { wall, slab: SLAB }, fronts: [front(0, { bays, own })] }),
        ]).solids;
        expect(leaves).toHaveLength(double ? 2 : 1);
        for (const leaf of leaves) {
          expect(whyOpen(leaf)).toBeNull();
          expect(volumeOf(leaf)).toBeGreaterThan(0);
          // A leaf of 0.8 or 0.95 m by 2.3 or 2.1 m, and 4 cm thick, but for what it keeps clear.
          expect(Math.abs(volumeOf(leaf) / (0.04 * (double ? 0.8 * 2.3 : 0.95 * 2.1)) - 1)).toBeLessThan(0.02);
          for (const p of leaf.vertices) expect(encloses(solid, p)).toBe(false);
        }
      }),
      { numRuns: 60, seed: 5 },
    );
  });

  it("draw an opening with its own strengths, and its frame from both sides", () => {
    const world = built([house()]);
    const kinds = (eye: Vec3) => {
      const visible = visibleEdges(world.solids, eye, world.details);
      const drawn = [...visible.edgeClass.keys()].filter((i) => visible.edgeClass[i] === DETAIL);
      return new Set(drawn.map((i) => DETAIL_KINDS[visible.detail[i]].id));
    };
    expect(kinds([1, -6, 1.6])).toEqual(new Set(["window", "reveal", "glazing"]));
    expect(kinds([1, 4, 1.6])).toEqual(new Set(["reveal", "glazing", "window"]));
  });

  it("are as they are drawn on the plan, brought to the walls and to each other, with doorways between", () => {
    const room = (x0: number, y0: number, x1: number, y1: number): Vec2[] => [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ];
    const rough = [room(-5.4, 0.5, -1, 7.5), room(-0.7, 0.2, 5.9, 4), room(-0.8, 4.3, 5.5, 7.6)];
    const drawn = rough.reduce((one, ring) => withRoom(one, ring), house({ rooms: undefined, fronts: undefined }));
    expect(why(drawn)).toBe("");
    // Walls of 0.3 m outside, of 0.12 m between: by plain arithmetic.
    const rings = drawn.rooms!.drawn!.map(({ footprint }) => footprint.map(({ x, y }) => [x, y]));
    const near = (ring: number[][]) => ring.map(([x, y]) => [expect.closeTo(x, 9), expect.closeTo(y, 9)]);
    expect(rings[0]).toEqual(
      near([
        [-5.7, 0.3],
        [-1, 0.3],
        [-1, 7.7],
        [-5.7, 7.7],
      ]),
    );
    expect(rings[1]).toEqual(
      near([
        [-0.88, 0.3],
        [5.7, 0.3],
        [5.7, 4],
        [-0.88, 4],
      ]),
    );
    expect(rings[2]).toEqual(
      near([
        [-0.88, 4.12],
        [5.7, 4.12],
        [5.7, 7.7],
        [-0.88, 7.7],
      ]),
    );
    const solid = bodyOf(drawn);
    const doorways = new Set(
      solid.faces.flatMap(({ name }) => (name?.startsWith("opening") ? name.split(", ")[0] : [])),
    );
    // Three rooms in each of two storeys, each beside the two others: their doorways make a ring of them, so that each
    // storey's cavity is of genus 1, within an outside of genus 0: together 2 + 0 + 0.
    expect(doorways.size).toBe(6);
    expect(whyOpen(solid, 0)).toBeNull();
    const high = 3.2 - 0.3 - 0.01;
    const floors = 4.7 * 7.4 + 6.58 * 3.7 + 6.58 * 3.58;
    const walls = 3 * 0.9 * (2.05 - 0.01) * 0.12;
    expect(volumeOf(solid)).toBeCloseTo(12 * 8 * 6.4 - 2 * (floors * high + walls), 9);
  });

  it("may be drawn for one storey, and say what they run into", () => {
    const rooms = (...drawn: NonNullable<NonNullable<Building["rooms"]>["drawn"]>) => ({
      wall: WALL,
      slab: SLAB,
      drawn,
    });
    const footprint = [
      [-5, 1],
      [0, 1],
      [0, 6],
      [-5, 6],
    ].map(([x, y]) => ({ x, y }));
    const names = bodyOf(house({ fronts: undefined, rooms: rooms({ footprint, storey: 1 }) })).faces.map(
      ({ name }) => name,
    );
    // In the other storey there are rooms by the rule.
    expect(names.filter((name) => name?.endsWith("floor"))).toEqual(["room 0 0 floor", "room 1 0 floor"]);
    const moved = footprint.map(({ x, y }) => ({ x: x + 4, y }));
    expect(why(house({ rooms: rooms({ footprint }, { footprint: moved, storey: 0 }) }))).toBe(
      "rooms/drawn/1 runs into room 1: leave a wall between them.",
    );
    expect(why(house({ rooms: rooms({ footprint, storey: 1 }, { footprint: moved, storey: 0 }) }))).toBe("");
    expect(why(house({ rooms: rooms({ footprint: footprint.map(({ x, y }) => ({ x: x - 1, y })) }) }))).toMatch(
      /^rooms\/drawn\/0 reaches into the outer walls/,
    );
  });

  it("tell of openings behind which a floor or a wall between rooms stands", () => {
    const told = (change: Partial<Building>) =>
      kindOf(house()).oddities!(house(change)).map(({ id, value, unit }) => [id, value, unit]);
    expect(told({})).toEqual([]);
    // The middle one of three in each storey stands before the wall between two rooms.
    expect(told({ rooms: { wall: WALL, slab: SLAB, across: 2 } })).toEqual([
      ["blind-0", 2, ""],
      ["blind-2", 2, ""],
    ]);
    expect(told({ rooms: { wall: WALL, slab: 1.2 } })).toEqual([
      ["blind-0", 6, ""],
      ["blind-2", 6, ""],
    ]);
  });

  it("say why they cannot be", () => {
    expect(why(house({ rooms: { wall: 4.1, slab: 0.2 } }))).toBe("rooms/wall leave no room between the walls.");
    expect(why(house({ rooms: { wall: 0.3, slab: 3 } }))).toContain("rooms/slab leave no room in a storey 3.20 m high");
    expect(why(house({ rooms: { wall: 0.3, slab: 0.3, across: 25 } }))).toContain("rooms/across are too many");
    expect(why(house({ rooms: { wall: 0.08, slab: 0.3 } }))).toContain("thinner than the reveals of wall 1, 0.10 m");
    expect(why(house({ passages: [{ x: 0, y: 0, width: 2, height: 2.5 }] }))).toContain(
      "rooms do not go with a passage",
    );
    expect(why(house({ round: true, fronts: undefined }))).toContain("do not go with a round wall");
  });
});

describe("an element whose near walls are left out", () => {
  const world = built([house({ rooms: { wall: WALL, slab: SLAB, across: 2 } })]);
  const eye: Vec3 = [-3, -9, 1.7];
  const drawnAt = ({ solids, details }: typeof world, at: Vec3) =>
    stretchesOf(visibleEdges(solids, eye, details), () => true).filter(
      ([a, b]) => norm(sub(a, at)) + norm(sub(at, b)) - norm(sub(a, b)) < 1e-9,
    );

  it("shows the far edges of its rooms, and the line where its floor meets the wall that is gone", () => {
    const open = cutAway(world, eye, "house");
    const visible = visibleEdges(open.solids, eye, open.details);
    const seen = stretchesOf(visible, (i) => visible.edgeClass[i] !== 2);
    const isSeen = (at: Vec3) => seen.some(([a, b]) => norm(sub(a, at)) + norm(sub(at, b)) - norm(sub(a, b)) < 1e-9);
    const [far, near]: Vec3[] = [
      [-3.5, 8 - WALL, 0.01],
      [-3.5, WALL, 0.01],
    ];
    expect([isSeen(far), isSeen(near)]).toEqual([true, true]);
    // With the wall, neither is.
    const whole = visibleEdges(world.solids, eye, world.details);
    const before = stretchesOf(whole, (i) => whole.edgeClass[i] !== 2);
    const was = (at: Vec3) => before.some(([a, b]) => norm(sub(a, at)) + norm(sub(at, b)) - norm(sub(a, b)) < 1e-9);
    expect([was(far), was(near)]).toEqual([false, false]);
    // Nothing is left of what was on the wall: windows in it, and what stands out of it.
    expect(drawnAt(world, [-4, 0, 2.6]).length).toBeGreaterThan(0);
    expect(drawnAt(open, [-4, 0, 2.6])).toEqual([]);
  });

  it("is open under any roof", () => {
    for (const kind of ["gable", "hip", "mansard", "shed", "saw-tooth"] as const) {
      const roofed = built([house({ roof: { kind, rise: 1.5 } })]);
      const [whole] = roofed.solids;
      // Two windows of the near wall with four faces each in both storeys, and the wall itself, at the least.
      expect(whole.faces.length - cutAway(roofed, eye, "house").solids[0].faces.length).toBeGreaterThan(6 * 4);
    }
  });

  it("leaves everything else, and what has no rooms, as it is", () => {
    expect(cutAway(world, eye)).toEqual(world);
    expect(cutAway(world, eye, "nobody")).toEqual(world);
    const plain = built([house({ rooms: undefined })]);
    expect(cutAway(plain, eye, "house")).toEqual(plain);
    // From within, no wall is near.
    expect(cutAway(world, [-3, 4, 1.7], "house").solids[0].faces).toHaveLength(world.solids[0].faces.length);
  });

  it("loses an awning before the wall that is gone, and keeps it before another", () => {
    const shop = front(0, { bays: "shop 1 x3", awning: { out: 1, drop: 0.5, over: 2.2 } });
    const fitted = built([house({ fronts: [shop] })]);
    const awnings = (from: Vec3) =>
      cutAway(fitted, from, "house").solids.filter(({ part }) => part === "awning").length;
    expect([awnings(eye), awnings([-3, 20, 1.7])]).toEqual([0, 3]);
    // So does a balcony with its rail.
    const own = [{ bay: 0, storey: 1, balcony: true }];
    const loft = built([house({ fronts: [front(0, { own })] })]);
    const bars = (from: Vec3) => cutAway(loft, from, "house").details.filter(({ kind }) => kind === "bar").length;
    expect([bars(eye), bars([-3, 20, 1.7])]).toEqual([0, loft.details.filter(({ kind }) => kind === "bar").length]);
    expect(bars([-3, 20, 1.7])).toBeGreaterThan(10);
  });
});
