import fc from "fast-check";
import { between } from "../../../testing";
import { norm, type Vec3 } from "../../geometry";
import { volumeOf, type Solid } from "../solid";
import { bulgeOf, roundSolid, type OutlinePoint, type RoundShape } from ".";
import { facing } from "./facing";

const UP: Vec3 = [0, 0, 1];
const turned = (outline: OutlinePoint[], more: object = {}): RoundShape => ({
  kind: "revolved",
  axis: { origin: [0, 0, 0], up: UP, side: [1, 0, 0] },
  outline,
  ...more,
});
const QUARTER = bulgeOf(Math.PI / 2);
const cylinder = turned([{ at: [2, 0] }, { at: [2, 5] }]);
const cone = turned([{ at: [2, 0] }, { at: [0, 5] }]);
const dome = turned([{ at: [3, 0], bulge: QUARTER }, { at: [0, 3] }]);
const ball = turned([{ at: [0, -3], bulge: bulgeOf(Math.PI) }, { at: [0, 3] }]);
const ring = turned(
  [
    { at: [4, -1], bulge: bulgeOf(Math.PI) },
    { at: [4, 1], bulge: bulgeOf(Math.PI) },
  ],
  { closed: true },
);
const lowDome = turned([{ at: [3, 0] }, { at: [3, 3], bulge: 0.124 }, { at: [0, 3.75] }]);
const vase = turned([
  { at: [1, 0] },
  { at: [1.2, 0.2], bulge: QUARTER / 2 },
  { at: [0.5, 2], bulge: -QUARTER / 2 },
  { at: [0.8, 2.6] },
]);
const apse = turned([{ at: [3, 0] }, { at: [3, 6], bulge: QUARTER }, { at: [0, 9] }], { sweep: [0, Math.PI] });
const slot: RoundShape = {
  kind: "extruded",
  frame: { origin: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0] },
  outline: [
    { at: [0, -1] },
    { at: [6, -1], bulge: bulgeOf(Math.PI) },
    { at: [6, 1] },
    { at: [0, 1], bulge: bulgeOf(Math.PI) },
  ],
  holes: [
    [
      { at: [2.5, 0], bulge: 1 },
      { at: [3.5, 0], bulge: 1 },
    ],
  ],
  from: 0,
  to: 4,
};
const SHAPES = { cylinder, cone, dome, lowDome, ball, ring, vase, apse, slot };

/** Every edge of a closed solid is run along once each way. */
function isClosed({ faces }: Solid): boolean {
  const open = new Map<string, number>();
  for (const { loop, holes = [] } of faces)
    for (const one of [loop, ...holes])
      one.forEach((a, i) => {
        const b = one[(i + 1) % one.length];
        open.set(`${a} ${b}`, (open.get(`${a} ${b}`) ?? 0) + 1);
      });
  return [...open].every(([key, n]) => n === 1 && open.get(key.split(" ").reverse().join(" ")) === 1);
}

const eyes = fc.tuple(between(-30, 30), between(-30, 30), between(-20, 30)) as fc.Arbitrary<Vec3>;

describe("solids with round faces", () => {
  it.each(Object.entries(SHAPES))("%s is closed from any eye, and as finely as it is asked", (_, shape) => {
    fc.assert(
      fc.property(eyes, between(0.002, 0.04), (eye, within) => {
        const solid = facing(roundSolid("r", shape), eye, { within, isCut: true });
        expect(isClosed(solid)).toBe(true);
        expect(solid.faces.every(({ normal }) => Math.abs(norm(normal) - 1) < 1e-9)).toBe(true);
        // Smooth surfaces have no edges but where they turn away: each edge is between two faces.
        expect(solid.edges.filter(({ faces: [p, q] }) => p === q)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it("enclose what their formulas say (Archimedes, Pappus of Alexandria)", () => {
    const volume = (shape: RoundShape) => volumeOf(roundSolid("r", shape, undefined, 1e-4));
    expect(volume(cylinder) / (Math.PI * 4 * 5)).toBeCloseTo(1, 3);
    expect(volume(cone) / ((Math.PI * 4 * 5) / 3)).toBeCloseTo(1, 3);
    expect(volume(dome) / ((2 / 3) * Math.PI * 27)).toBeCloseTo(1, 3);
    expect(volume(ball) / ((4 / 3) * Math.PI * 27)).toBeCloseTo(1, 3);
    expect(volume(ring) / (2 * Math.PI * 4 * Math.PI)).toBeCloseTo(1, 3);
    expect(volume(apse) / (Math.PI * 4.5 * 6 + Math.PI * 9)).toBeCloseTo(1, 3);
    expect(volume(slot) / ((12 + Math.PI - Math.PI / 4) * 4)).toBeCloseTo(1, 3);
  });
});
