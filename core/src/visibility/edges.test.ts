import fc from "fast-check";
import { BoxGeometry, Matrix4, Mesh, Vector3, DoubleSide, MeshBasicMaterial } from "three";
import { distance2, dot, sub, type Vec3 } from "../geometry";
import { anyBlocks, between, block } from "../../testing";
import { compared, stopped, stretchesOf } from "../../testing/rays";
import {
  build,
  built,
  circle,
  DEFAULT_BRIDGE,
  DEFAULT_CANAL,
  DEFAULT_ROW,
  DEFAULT_STREET,
  encloses,
  validateBuilding,
  fillRow,
  ROOFS,
  type Block,
  type Building,
  type Element,
  type RoofKind,
} from "../world";
import { CREASE, HIDDEN, OUTLINE, visibleEdges } from ".";
import { intersectionCurves } from "./intersections";
import { occludersOf } from "./occluder";
import { hiddenWhole } from "./occlusionProfile";

/** A block as a mesh of `three`, built from its own numbers. */
function mesh({ origin, heading, length, width, height }: Block): Mesh {
  const box = new Mesh(new BoxGeometry(width, length, height), new MeshBasicMaterial({ side: DoubleSide }));
  const turn = new Matrix4().makeRotationZ((-heading * Math.PI) / 180);
  box.geometry.translate(width / 2, length / 2, height / 2);
  box.applyMatrix4(new Matrix4().makeTranslation(origin.x, origin.y, origin.z).multiply(turn));
  box.updateMatrixWorld();
  return box;
}

describe("which stretches are seen", () => {
  it("agrees with three's Raycaster at points of the stretches of random towns", () => {
    let [checked, doubtful] = [0, 0];
    fc.assert(
      fc.property(anyBlocks, between(-60, 60), between(-60, 60), between(0.2, 40), (blocks, x, y, z) => {
        // An eye on the very plane of a wall has no clear answer.
        const walls = build(blocks).flatMap(({ faces }) =>
          faces.map(({ normal, offset }) => Math.abs(dot(normal, [x, y, z]) - offset)),
        );
        fc.pre(Math.min(...walls) > 0.2);
        const eye = new Vector3(x, y, z);
        const meshes = blocks.map(mesh);
        const visible = visibleEdges(build(blocks), [x, y, z]);
        visible.edgeClass.forEach((edgeClass, i) => {
          const e = visible.ends.subarray(6 * i, 6 * i + 6);
          const length = Math.hypot(e[3] - e[0], e[4] - e[1], e[5] - e[2]);
          if (length < 0.02) return;
          for (const t of [0.13, 0.5, 0.83]) {
            const p = new Vector3(e[0] + t * (e[3] - e[0]), e[1] + t * (e[4] - e[1]), e[2] + t * (e[5] - e[2]));
            const way = p.clone().sub(eye);
            const reach = way.length();
            const hit = stopped(meshes, eye, p);
            if (hit !== (edgeClass === HIDDEN)) {
              // The answers may differ only where a step of 2 mm changes what the other blocks hide, or where the line
              // of sight grazes the block's own silhouette.
              const others = meshes.filter((_, n) => n !== visible.solid[i]);
              const steps = [
                [0, 0, 0],
                [2, 0, 0],
                [-2, 0, 0],
                [0, 2, 0],
                [0, -2, 0],
                [0, 0, 2],
                [0, 0, -2],
              ];
              const answers = steps.map((step) =>
                stopped(others, eye, p.clone().addScaledVector(new Vector3(...step), 1e-3)),
              );
              const own = [meshes[visible.solid[i]]];
              const side = new Vector3(-way.y, way.x, 0).normalize();
              const over = side.clone().cross(way).normalize();
              const grazes = [side, side.clone().negate(), over, over.clone().negate()].map((s) =>
                stopped(own, eye, p.clone().addScaledVector(s, 1e-4 * reach)),
              );
              expect(new Set(answers).size > 1 || new Set(grazes).size > 1).toBe(true);
              doubtful++;
            }
            checked++;
          }
        });
      }),
      { numRuns: 150, seed: 11, endOnFailure: true },
    );
    expect(checked).toBeGreaterThan(5000);
    expect(doubtful / checked).toBeLessThan(0.001);
  });

  it("agrees with three's Raycaster for buildings on any footprint, with any roof", () => {
    const ELL: readonly (readonly [number, number])[] = [
      [0, 0],
      [12, 0],
      [12, 5],
      [5, 5],
      [5, 11],
      [0, 11],
    ];
    const anyBuilding = fc.record({
      x: between(-35, 35),
      y: between(-35, 35),
      turn: between(0, 360),
      l: between(6, 16),
      w: between(4, 9),
      height: between(3, 14),
      rise: between(0.6, 3),
      kind: fc.constantFrom(...(Object.keys(ROOFS) as RoofKind[])),
      shape: fc.constantFrom("rectangle", "rectangle", "yard", "ell", "drum"),
      back: fc.boolean(),
    });
    let [checked, doubtful] = [0, 0];
    fc.assert(
      fc.property(
        fc.array(anyBuilding, { minLength: 2, maxLength: 7 }),
        between(-60, 60),
        between(-60, 60),
        between(0.3, 40),
        (list, x, y, z) => {
          const buildings = list.map(({ x: bx, y: by, turn, l, w, height, rise, kind, shape, back }, i): Building => {
            const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
            const plan =
              shape === "ell"
                ? ELL
                : shape === "drum"
                  ? circle([0, 0], w / 2, 24)
                  : ([
                      [0, 0],
                      [l, 0],
                      [l, w],
                      [0, w],
                    ] as const);
            const onPlan = ([p, q]: readonly [number, number]) => ({ x: bx + c * p - s * q, y: by + s * p + c * q });
            const yard = (
              [
                [0.3, 0.3],
                [0.6, 0.3],
                [0.6, 0.7],
                [0.3, 0.7],
              ] as const
            ).map(([p, q]) => [p * l, q * w] as const);
            const one: Building = {
              id: `b${i}`,
              kind: "building",
              name: "",
              base: 0,
              height,
              footprint: plan.map(onPlan),
              roof: { kind, rise: Math.min(rise, w / 3), ...(back && /hip|gable/.test(kind) ? { overhang: 0.4 } : {}) },
              round: shape === "drum" || undefined,
              setbacks: back ? [{ inset: 0.5, height: 2 }] : undefined,
              courtyards: shape === "yard" ? [yard.map(onPlan)] : undefined,
            };
            return validateBuilding(one) ? { ...one, roof: { kind: "flat" } } : one;
          });
          const solids = build(buildings);
          const eye: Vec3 = [x, y, z];
          fc.pre(
            Math.min(
              ...solids.flatMap(({ faces }) => faces.map(({ normal, offset }) => Math.abs(dot(normal, eye) - offset))),
            ) > 0.05,
          );
          fc.pre(solids.every((solid) => !encloses(solid, eye)));
          const [more, unsure] = compared({ solids, details: [] }, eye);
          checked += more;
          doubtful += unsure;
        },
      ),
      { numRuns: 80, seed: 21, endOnFailure: true },
    );
    expect(checked).toBeGreaterThan(5000);
    expect(doubtful / checked).toBeLessThan(0.001);
  });

  it(
    "agrees with three's Raycaster in streets: through passages, past windows and driveways, down into canals, " +
      "from above and from the water",
    () => {
      const [street, canal, bridge, square, tower]: Element[] = [
        {
          id: "street",
          kind: "street",
          name: "",
          path: [
            { x: -30, y: 0 },
            { x: 30, y: 0 },
          ],
          ...DEFAULT_STREET,
          slabs: 4,
          driveways: [
            { at: 20, width: 4, side: "left" },
            { at: 34, width: 3, side: "right" },
          ],
        },
        {
          id: "canal",
          kind: "canal",
          name: "",
          path: [
            { x: -30, y: 34 },
            { x: 30, y: 30 },
          ],
          ...DEFAULT_CANAL,
          locks: [{ at: 30, length: 14, fall: 1 }],
        },
        {
          id: "bridge",
          kind: "bridge",
          name: "",
          path: [
            { x: -14, y: 24 },
            { x: -13, y: 42 },
          ],
          ...DEFAULT_BRIDGE,
        },
        {
          id: "square",
          kind: "square",
          name: "",
          footprint: [
            { x: 8, y: 8 },
            { x: 26, y: 8 },
            { x: 20, y: 22 },
            { x: 8, y: 20 },
          ],
          heading: 20,
          kerb: 0.15,
          slabs: 3,
        },
        {
          id: "tower",
          kind: "building",
          name: "",
          footprint: [
            { x: 14, y: 12 },
            { x: 18, y: 12 },
            { x: 18, y: 16 },
            { x: 14, y: 16 },
          ],
          base: 0,
          height: 12,
          roof: { kind: "pyramid", rise: 4 },
          passages: [{ x: 16, y: 12, width: 2, height: 3.4, arch: true }],
        },
      ];
      const houses = fillRow(
        { ...DEFAULT_ROW, id: "row", name: "Row", from: { x: 4, y: 6 }, to: { x: -26, y: 6 }, seed: 4, depth: 9 },
        [],
        String,
      ).map((house, i): Building => {
        const [a, , c] = house.footprint;
        return {
          ...house,
          windows: { every: 5, width: 1.2, height: 1.3, sill: 0.9 },
          passages: i % 2 ? [{ x: (a.x + house.footprint[1].x) / 2, y: a.y, width: 2.2, height: 2.8 }] : undefined,
          slope: i % 3 === 0 ? { heading: 90, grade: 4 } : undefined,
          boxes: [{ x: (a.x + c.x) / 2, y: (a.y + c.y) / 2, length: 2, width: 1.5, rise: 3 }],
        };
      });
      expect(houses.filter((house) => validateBuilding(house))).toEqual([]);
      const world = built([street, canal, bridge, square, tower, ...houses]);
      let [checked, doubtful] = [0, 0];
      for (const eye of [
        [-3.3, -1.2, 1.63],
        [11.7, -14.3, 1.7],
        [-8.2, 31.9, 21.4],
        [24.6, 30.7, -0.9],
        [3.3, 47.2, 6.2],
        [16.3, 9.1, 1.6],
      ] as const) {
        expect(world.solids.filter((solid) => encloses(solid, eye)).map(({ id }) => `${id} ${eye}`)).toEqual([]);
        const [more, unsure] = compared(world, eye);
        checked += more;
        doubtful += unsure;
      }
      expect(checked).toBeGreaterThan(5000);
      expect(doubtful / checked).toBeLessThan(0.001);
    },
  );

  it("covers every edge and every line of meeting exactly once, and answers the same twice", () => {
    fc.assert(
      fc.property(anyBlocks, between(-60, 60), between(-60, 60), between(0, 40), (blocks, x, y, z) => {
        const solids = build(blocks);
        const visible = visibleEdges(solids, [x, y, z]);
        const drawn = stretchesOf(visible, () => true).reduce((sum, [a, b]) => sum + Math.hypot(...sub(b, a)), 0);
        const lines = [
          ...solids.flatMap((s) => s.edges.map((e) => [s.vertices[e.a], s.vertices[e.b]] as const)),
          ...intersectionCurves(solids).map(({ a, b }) => [a, b] as const),
        ];
        const built = lines.map(([a, b]) => Math.hypot(...sub(b, a))).reduce((a, b) => a + b, 0);
        expect(Math.abs(drawn / built - 1)).toBeLessThan(1e-6);
        expect(visibleEdges(solids, [x, y, z])).toEqual(visible);
      }),
    );
  });

  const seenLevels = (eye: number) => {
    const visible = visibleEdges(build([block("b", 5, 10, 8, 6, 7, 20, 3)]), [0, 0, eye]);
    const level = (z: number) =>
      stretchesOf(visible, (i) => visible.edgeClass[i] !== HIDDEN).filter(([a, b]) => a[2] === z && b[2] === z).length;
    return { top: level(10), bottom: level(3) };
  };

  it("shows the top from above, neither from between, the underside from below", () => {
    expect(seenLevels(14)).toEqual({ top: 4, bottom: 2 });
    expect(seenLevels(6)).toEqual({ top: 2, bottom: 2 });
    expect(seenLevels(1)).toEqual({ top: 2, bottom: 4 });
  });

  it("sees a room from within, and nothing beyond its walls", () => {
    const visible = visibleEdges(
      build([block("room", -4, -4, 8, 8, 3), block("outside", 10, 10, 4, 4, 9)]),
      [0, 0, 1.6],
    );
    visible.edgeClass.forEach((edgeClass, i) => expect(edgeClass === HIDDEN).toBe(visible.solid[i] === 1));
  });

  it("keeps the seam of two houses that touch, and hides the wall between them", () => {
    // Both run east by 6 m and south by 8 m, to a front at y = 2.
    const visible = visibleEdges(
      build([block("a", 0, 10, 6, 8, 9, 90), block("b", 6, 10, 6, 8, 9, 90)]),
      [3, -10, 1.6],
    );
    const seams = stretchesOf(visible, (i) => visible.edgeClass[i] !== HIDDEN).filter(
      ([a, b]) => distance2([a[0], a[1]], [6, 2]) < 1e-9 && distance2([b[0], b[1]], [6, 2]) < 1e-9,
    );
    expect(seams.map(([a, b]) => Math.abs(b[2] - a[2]))).toEqual([9, 9]);
    const depth = stretchesOf(visible, (i) => visible.edgeClass[i] !== HIDDEN).filter(
      ([a, b]) => Math.abs(a[1] - b[1]) > 1,
    );
    expect(depth).toEqual([]);
  });

  it("cuts an edge where a nearer block begins to cover it, to the micrometre", () => {
    // A post-like block at y 5 covers x from -1 to 1; seen from the origin it covers x from -2 to 2 at y 10.
    const visible = visibleEdges(build([block("near", -1, 5, 1, 2, 20), block("far", -6, 10, 1, 12, 2)]), [0, 0, 1]);
    const front = stretchesOf(visible, (i) => visible.solid[i] === 1 && visible.edgeClass[i] !== HIDDEN)
      .filter(([a, b]) => a[1] === 10 && b[1] === 10 && a[2] === 2 && b[2] === 2)
      .map(([a, b]) => [a[0], b[0]].sort((p, q) => p - q));
    expect(front.flat().sort((p, q) => p - q)).toEqual([-6, expect.closeTo(-2, 6), expect.closeTo(2, 6), 6]);
  });

  it("tells outlines from creases", () => {
    const visible = visibleEdges(build([block("b", 0, 10, 5, 5, 5, 45)]), [0, 0, 9]);
    const count = (edgeClass: number) => visible.edgeClass.filter((s) => s === edgeClass).length;
    expect([count(OUTLINE), count(CREASE), count(HIDDEN)]).toEqual([6, 3, 3]);
  });

  it("sets aside whole solids behind an occlusion profile only where three's Raycaster sees none of them", () => {
    let lost = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), between(-20, 20), between(1, 30), (seed, x, z) => {
        const spread = (k: number) => Math.abs(Math.sin(seed * 12.9898 + k * 78.233) * 43758.5453) % 1;
        const blocks = Array.from({ length: 60 }, (_, i) =>
          block(
            `b${i}`,
            ((i % 8) - 4) * 14 + 5 * spread(i),
            12 + Math.floor(i / 8) * 13 + 4 * spread(i + 100),
            5 + 7 * spread(i + 200),
            5 + 7 * spread(i + 300),
            4 + 14 * spread(i + 400),
            360 * spread(i + 500),
          ),
        );
        const solids = build(blocks);
        const eye: Vec3 = [x, -5, z];
        const occluders = solids.flatMap(({ faces }, s) =>
          faces.flatMap((face, f) => (dot(face.normal, eye) > face.offset ? occludersOf(solids, s, f, eye) : [])),
        );
        const flags = hiddenWhole(solids, occluders, eye);
        const meshes = blocks.map(mesh);
        flags.forEach((flag, s) => {
          if (!flag) return;
          lost++;
          for (const { a, b } of solids[s].edges)
            for (const t of [0, 0.31, 0.77]) {
              const [p, q] = [solids[s].vertices[a], solids[s].vertices[b]];
              expect(
                stopped(
                  meshes.filter((_, n) => n !== s),
                  new Vector3(...eye),
                  new Vector3(p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1]), p[2] + t * (q[2] - p[2])),
                ),
              ).toBe(true);
            }
        });
      }),
      { numRuns: 12, seed: 5, endOnFailure: true },
    );
    expect(lost).toBeGreaterThan(100);
  });

  it("draws the line in which two solids meet, where it is seen, and what is inside the other as hidden", () => {
    // A bar 4 m long runs 2 m into a house from the south, 1 m wide, from 0 to 2 m up.
    const [house, bar] = [block("house", -4, 10, 6, 8, 6), block("bar", -0.5, 8, 4, 1, 2)];
    const solids = build([house, bar]);
    const found = intersectionCurves(solids);
    const all = found
      .map(({ a, b }) =>
        [a, b]
          .map(([x, y, z]) => `${x} ${y} ${z}`)
          .sort()
          .join(" to "),
      )
      .sort();
    expect(all).toEqual(["-0.5 10 0 to -0.5 10 2", "-0.5 10 2 to 0.5 10 2", "0.5 10 0 to 0.5 10 2"]);
    const visible = visibleEdges(solids, [6, 0, 5]);
    const at = (y: number) =>
      stretchesOf(visible, (i) => visible.edgeClass[i] !== HIDDEN && visible.solid[i] === 0).filter(
        ([a, b]) =>
          a[1] === y && b[1] === y && Math.max(a[2], b[2]) <= 2 && Math.abs(a[0]) <= 0.5 && Math.abs(b[0]) <= 0.5,
      );
    // From the right and above: along the top, and up its right side.
    expect(at(10)).toHaveLength(2);
    // The bar's edges end at the wall.
    for (const [a, b] of stretchesOf(visible, (i) => visible.edgeClass[i] !== HIDDEN && visible.solid[i] === 1))
      expect(Math.max(a[1], b[1])).toBeLessThan(10 + 1e-5);
    // Houses that touch do not meet in a line of its own.
    expect(intersectionCurves(build([block("a", 0, 10, 6, 8, 9, 90), block("b", 6, 10, 6, 8, 9, 90)]))).toEqual([]);
  });

  it("answers an empty world with nothing", () => {
    expect(visibleEdges([], [0, 0, 0]).edgeClass).toHaveLength(0);
  });
});
