import fc from "fast-check";
import { BufferGeometry, DoubleSide, Float32BufferAttribute, Mesh, MeshBasicMaterial, Vector3 } from "three";
import { between } from "../../testing";
import { stopped } from "../../testing/rays";
import { dot, norm, scale, sub, unit, type Vec3 } from "../geometry";
import { bulgeOf, onBend, roundSolid, type OutlinePoint, type RoundShape, type Solid } from "../world";
import { HIDDEN, OUTLINE, visibleEdges, type VisibleEdges } from ".";

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
function placesOf(visible: VisibleEdges, wanted: (edgeClass: number) => boolean): Vec3[] {
  const vector = (all: Float64Array, o: number): Vec3 => [all[o], all[o + 1], all[o + 2]];
  return [...visible.edgeClass.keys()].flatMap((i) => {
    if (!wanted(visible.edgeClass[i])) return [];
    const [a, b] = [vector(visible.ends, 6 * i), vector(visible.ends, 6 * i + 3)];
    const bends = visible.bends ?? new Float64Array(visible.ends.length);
    const [u, v] = [vector(bends, 6 * i), vector(bends, 6 * i + 3)];
    const curved = norm(u) > 0;
    return [0, 0.2, 0.5, 0.8, 1].map((t): Vec3 =>
      curved
        ? onBend(a, b, [u, v], t).at
        : [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])],
    );
  });
}

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
        // All around it.
        const seen = new Set(places.map((p) => Math.round(Math.atan2(p[1], p[0]) * 2)));
        expect(seen.size).toBeGreaterThan(4);
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

/** A finely meshed copy for `three`. */
function meshOf(shape: RoundShape): Mesh {
  const { vertices, faces } = roundSolid("fine", shape, undefined, 4e-3);
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
  ];
  const solids: Solid[] = scene.map((shape, i) => roundSolid(`s${i}`, shape));
  const meshes = scene.map(meshOf);

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
