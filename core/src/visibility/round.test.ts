import fc from "fast-check";
import { BufferGeometry, DoubleSide, Float32BufferAttribute, Mesh, MeshBasicMaterial, Vector3 } from "three";
import { between } from "../../testing";
import { placeOn, stopped } from "../../testing/rays";
import { cross, dot, norm, scale, sub, unit, type Vec3 } from "../geometry";
import {
  built,
  bulgeOf,
  circle,
  DEFAULT_WINDOWS,
  newArches,
  newBuilding,
  newColumns,
  newTurned,
  roundSolid,
  type Detail,
  type Element,
  type OutlinePoint,
  type RoundShape,
  type Solid,
} from "../world";
import { DETAIL, HIDDEN, OUTLINE, visibleEdges, type VisibleEdges } from ".";

const turned = (outline: OutlinePoint[], origin: Vec3 = [0, 0, 0], more: object = {}): RoundShape => ({
  kind: "revolved",
  axis: { origin, up: [0, 0, 1], side: [1, 0, 0] },
  outline,
  ...more,
});
const QUARTER = bulgeOf(Math.PI / 2);
const ball = (radius: number, middle: Vec3) =>
  turned([{ at: [0, -radius], bulge: bulgeOf(Math.PI) }, { at: [0, radius] }], middle);

/** Places of the stretches of a class, on their cubics. */
const placesOf = (visible: VisibleEdges, wanted: (edgeClass: number) => boolean): Vec3[] =>
  [...visible.edgeClass.keys()].flatMap((i) =>
    wanted(visible.edgeClass[i]) ? [0, 0.2, 0.5, 0.8, 1].map((t) => placeOn(visible, i, t)) : [],
  );

const eyes = fc
  .tuple(between(4, 60), between(-3.2, 3.2), between(-1.4, 1.4))
  .map(([far, turn, rise]): Vec3 => [
    far * Math.cos(turn) * Math.cos(rise),
    far * Math.sin(turn) * Math.cos(rise),
    far * Math.sin(rise),
  ]);

describe("round solids as an eye sees them", () => {
  it("has the contour of a ball on the cone of lines that touch it (sin of its half angle: radius to distance)", () => {
    fc.assert(
      fc.property(eyes, between(0.3, 3.5), (eye, radius) => {
        const visible = visibleEdges([roundSolid("ball", ball(radius, [0, 0, 0]))], eye);
        const half = Math.asin(radius / norm(eye));
        const places = placesOf(visible, (edgeClass) => edgeClass === OUTLINE);
        const angles = places.map((p) => {
          const [u, v] = [unit(sub(p, eye)), unit(scale(eye, -1))];
          return Math.acos(dot(u, v));
        });
        // A hundredth of a mm at a picture distance of a metre.
        expect(Math.max(...angles.map((angle) => Math.abs(angle - half)))).toBeLessThan(1e-5);
        // All around it: in every twelfth of a turn about the line from the eye to its middle.
        const side = unit(cross(eye, [eye[1], -eye[0], 0]));
        const over = cross(unit(eye), side);
        const twelfth = (p: Vec3) => Math.floor((6 * Math.atan2(dot(p, over), dot(p, side))) / Math.PI + 12) % 12;
        const seen = new Set(places.map(twelfth));
        expect(seen.size).toBe(12);
      }),
      { numRuns: 25 },
    );
  });

  it("has rims on their circles, and contours of cylinders where their normal is square to the line of sight", () => {
    fc.assert(
      fc.property(eyes, between(0.2, 2), between(0.5, 3), (eye, radius, high) => {
        const solid = roundSolid("drum", turned([{ at: [radius, 0] }, { at: [radius, high] }], [0.3, -0.2, -1]));
        const places = placesOf(visibleEdges([solid], eye), () => true);
        const off = places.map((p) => Math.abs(Math.hypot(p[0] - 0.3, p[1] + 0.2) - radius) / norm(sub(p, eye)));
        expect(Math.max(...off)).toBeLessThan(1e-5);
        // What lies on no rim lies where the normal is square to the line of sight.
        const contour = places.filter(([, , z]) => Math.min(Math.abs(z + 1), Math.abs(z + 1 - high)) > 1e-9);
        const square = contour.map((p) => Math.abs(dot([p[0] - 0.3, p[1] + 0.2, 0], sub(p, eye))));
        expect(Math.max(0, ...square)).toBeLessThan(1e-6);
      }),
      { numRuns: 25 },
    );
  });
});

describe("what is drawn on a round surface", () => {
  const at = { x: 0, y: 0, z: 0 };
  const drum = newBuilding({
    id: "drum",
    name: "Signal tower",
    footprint: circle([0, 0], 5).map(([x, y]) => ({ x, y })),
    ...{ base: 0, height: 9, storeys: 3, round: true, windows: DEFAULT_WINDOWS },
    roof: { kind: "dome", rise: 5 },
    doors: [{ x: 5, y: 0, width: 0.9, height: 2.1 }],
  });
  const things: readonly Element[] = [
    { id: "dome", name: "Observatory", ...newTurned("dome", at), ribs: 16 },
    { id: "low", name: "Market hall", ...newTurned("dome", at), height: 2, ribs: 12 },
    drum,
    { id: "column", name: "Column", ...newColumns("doric", at), stand: "single", count: 1, entablature: undefined },
  ];
  const raised: Element = {
    id: "hill",
    kind: "ground",
    name: "Signal hill",
    footprint: [-30, 30].flatMap((x) => [
      { x, y: x < 0 ? 30 : -30 },
      { x, y: x < 0 ? -30 : 30 },
    ]),
    height: 3,
  };

  it.each([
    ["on level ground", []],
    ["on a hill", [raised]],
  ] as const)("is seen whole where that looks at the eye, and not at all where it turns away, %s", (_, ground) => {
    for (const thing of things)
      for (const eye of [
        [17, -6, 5],
        [-9, 14, 13],
        [3, 40, 4.7],
      ] as const) {
        const { solids, details } = built([thing, ...ground]);
        const own = details.filter(({ on }) => on?.round);
        expect(own.length).toBeGreaterThan(20);
        const visible = visibleEdges(solids, eye, own);
        const drawn = new Map<string, number>();
        const key = (p: readonly number[]) => p.map((k) => k.toFixed(6)).join(" ");
        visible.edgeClass.forEach((edgeClass, i) => {
          const ends = [...visible.ends.subarray(6 * i, 6 * i + 6)];
          if (edgeClass === DETAIL) drawn.set(`${key(ends.slice(0, 3))} ${key(ends.slice(3))}`, i);
        });
        const looks = (detail: Detail) =>
          [detail.a, detail.b].map((p, end) => dot(detail.on!.round!.normals[end], sub(eye, p)) > 0);
        for (const detail of own) {
          const isWhole = drawn.has(`${key(detail.a)} ${key(detail.b)}`);
          // A capital or a base may hide what looks at the eye; nothing does of what is convex.
          if (looks(detail).every((one) => one) && thing.id !== "column") expect(isWhole).toBe(true);
          if (looks(detail).every((one) => !one)) expect(isWhole).toBe(false);
        }
        expect(own.filter((detail) => drawn.has(`${key(detail.a)} ${key(detail.b)}`)).length).toBeGreaterThan(5);
      }
  });
});

describe("curves near an eye", () => {
  it("end where what stands before them does, though their wall bows between their ends", () => {
    const house = newBuilding({
      id: "house",
      name: "Bow house",
      footprint: [-6, 6].flatMap((x) => [
        { x, y: x < 0 ? 18 : 8 },
        { x, y: x < 0 ? 8 : 18 },
      ]),
      ...{ base: 0, height: 9, storeys: 3, roof: { kind: "flat" }, dress: { pattern: "stone" } },
      bows: [{ side: 1, rise: 2 }],
    });
    const [left, right] = [-0.9, 0.5];
    const post = newBuilding({
      ...{ id: "post", name: "Post", base: 0, height: 9, roof: { kind: "flat" } },
      footprint: [
        { x: left, y: 2 },
        { x: right, y: 2 },
        { x: right / 2, y: 3 },
      ],
    });
    const eye = [0, 0, 1.6] as const;
    const { solids, details } = built([house, post]);
    const courses = details.filter(({ on, bend }) => on?.round && bend);
    const visible = visibleEdges(solids, eye, courses);
    // Where it begins and ends on the plan, as seen by the eye: its front corners.
    const bounds = [left, right].map((x) => x / 2);
    const cut: number[] = [];
    visible.edgeClass.forEach((edgeClass, i) => {
      if (edgeClass !== DETAIL) return;
      const e = visible.ends.subarray(6 * i, 6 * i + 6);
      for (const way of [e[0] / e[1], e[3] / e[4]]) if (way > bounds[0] - 0.02 && way < bounds[1] + 0.02) cut.push(way);
    });
    expect(cut.length).toBeGreaterThan(20);
    for (const way of cut) {
      const off = Math.min(...bounds.map((bound) => Math.abs(way - bound)));
      // What ends by itself near there is a course's own end.
      if (off < 0.019) expect(off).toBeLessThan(1e-4);
    }
  });

  it("are whole where their surface is cut by others: the moulding between the scrolls of a capital", () => {
    const column = { id: "column", name: "Column", ...newColumns("ionic", { x: 0, y: 4.2, z: 0 }, 180) };
    const { solids } = built([{ ...column, stand: "single", count: 1, height: 3, entablature: undefined }]);
    const visible = visibleEdges(solids, [0, 0, 1.65], [], 5e-5 / 1.4);
    const seen = new Set<number>();
    visible.edgeClass.forEach((edgeClass, i) => {
      if (edgeClass !== OUTLINE) return;
      for (let t = 0; t <= 1; t += 0.02) {
        const [x, y, z] = placeOn(visible, i, t);
        const turn = Math.atan2(x, 4.2 - y);
        if (z > 2.8445 && z < 2.8468 && Math.abs(turn) < 0.6) seen.add(Math.floor((turn + 0.6) / 0.03));
      }
    });
    expect(seen.size).toBe(40);
  });
});

/** A solid for `three`. */
function meshOf({ vertices, faces }: Solid): Mesh {
  const corners = faces.flatMap(({ pieces }) =>
    pieces.flatMap((piece) => piece.slice(2).flatMap((_, i) => [piece[0], piece[i + 1], piece[i + 2]])),
  );
  const places = new Float32BufferAttribute(
    corners.flatMap((n) => vertices[n]),
    3,
  );
  return new Mesh(new BufferGeometry().setAttribute("position", places), new MeshBasicMaterial({ side: DoubleSide }));
}

describe("what round solids hide", () => {
  const scene: RoundShape[] = [
    turned([{ at: [2, 0] }, { at: [2, 3], bulge: QUARTER }, { at: [0, 5] }]),
    turned(
      [
        { at: [1, 0] },
        { at: [1.2, 0.2], bulge: QUARTER / 2 },
        { at: [0.5, 2], bulge: -QUARTER / 2 },
        { at: [0.8, 2.6] },
      ],
      [1, -5, 0],
    ),
    turned(
      [
        { at: [1.6, 0.5], bulge: bulgeOf(Math.PI) },
        { at: [1.6, 1.1], bulge: bulgeOf(Math.PI) },
      ],
      [-4, -3, 0.6],
      { closed: true },
    ),
    turned([{ at: [2.2, 0] }, { at: [2.2, 3], bulge: QUARTER }, { at: [0, 5.2] }], [5, 1, 0], {
      sweep: [2, 2 + Math.PI],
    }),
    ball(1.3, [-4.5, 2, 2]),
    {
      kind: "extruded",
      frame: { origin: [-2, -7, 0], x: [1, 0, 0], y: [0, 0, 1] },
      outline: [
        { at: [0, 0] },
        { at: [0.6, 0] },
        { at: [0.6, 2], bulge: -1 },
        { at: [2.4, 2] },
        { at: [2.4, 0] },
        { at: [3, 0] },
        { at: [3, 4] },
        { at: [0, 4] },
      ],
      from: -0.5,
      to: 0.5,
    },
    // A house with a bow and a round corner.
    {
      kind: "extruded",
      frame: { origin: [7, -8, 0], x: [1, 0, 0], y: [0, 1, 0] },
      outline: [
        { at: [0, 0], bulge: 0.3 },
        { at: [4, 0] },
        { at: [4, 2], bulge: QUARTER },
        { at: [3, 3] },
        { at: [0, 3], bulge: -0.2 },
      ],
      from: 0,
      to: 3,
    },
  ];
  const vault = { ...newArches({ x: -9, y: -6, z: 0 }, 150, 2), id: "vault", name: "Fish market", vaults: 2 };
  const vaults = built([vault]).solids;
  const solids: Solid[] = [...scene.map((shape, i) => roundSolid(`s${i}`, shape)), ...vaults];
  const meshes = [...scene.map((shape) => meshOf(roundSolid("fine", shape, undefined, 4e-3))), ...vaults.map(meshOf)];

  it.each([[[-3, -22, 1.7]], [[14, -12, 9]], [[-18, 4, 3]], [[2, 25, 12]], [[-1, -9.5, 1.6]]] as [Vec3][])(
    "agree with rays of three at more than 99.9 in 100 places, from %j",
    (eye) => {
      const visible = visibleEdges(solids, eye);
      const from = new Vector3(...eye);
      let [asked, differ] = [0, 0];
      const near = [0, 1, 2].flatMap((axis) => [8e-3, -8e-3].map((by) => [0, 1, 2].map((k) => (k === axis ? by : 0))));
      visible.edgeClass.forEach((edgeClass, i) => {
        const e = visible.ends.subarray(6 * i, 6 * i + 6);
        const long = Math.hypot(e[3] - e[0], e[4] - e[1], e[5] - e[2]);
        if (long < 0.02 || i % 2 === 1) return;
        const p = new Vector3((e[0] + e[3]) / 2, (e[1] + e[4]) / 2, (e[2] + e[5]) / 2);
        const hidden = edgeClass === HIDDEN;
        asked++;
        // A contour grazes its own surface: what is asked is whether any ray close by answers alike.
        const agrees = (by: readonly number[]) =>
          stopped(meshes, from, p.clone().add(new Vector3(by[0], by[1], by[2])), 0.02) === hidden;
        if (!agrees([0, 0, 0]) && !near.some(agrees)) differ++;
      });
      expect(asked).toBeGreaterThan(150);
      expect(differ / asked).toBeLessThan(0.001);
    },
  );
});
