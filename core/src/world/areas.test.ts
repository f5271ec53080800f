import fc from "fast-check";
import { between } from "../../testing";
import type { Vec2 } from "../geometry";
import { areaWithout } from "./areas";
import { groundAround } from "./ground";
import { areaTwice } from "./polygon";
import { trianglesOf } from "./triangles";
import { DEFAULT_CANAL, type Canal } from ".";

const square = (x: number, y: number, r: number): Vec2[] => [
  [x - r, y - r],
  [x + r, y - r],
  [x + r, y + r],
  [x - r, y + r],
];
/** The area of an area in triangles, m^2. */
const covered = (areas: ReturnType<typeof areaWithout>): number =>
  areas.reduce((sum, area) => {
    const { places, triangles } = trianglesOf(area);
    return sum + triangles.reduce((part, three) => part + areaTwice(three.map((n) => places[n])) / 2, 0);
  }, 0);

describe("an area without others", () => {
  it("loses what is taken out of it once, where that overlaps, too", () => {
    // Two squares of 4 m that share 2 by 2 m: 16 + 16 - 4 of 400 square metres.
    expect(covered(areaWithout(square(0, 0, 10), [square(0, 0, 2), square(2, 2, 2)]))).toBeCloseTo(400 - 28, 6);
  });

  it("keeps an island that what is taken out runs around", () => {
    const bar = (x: number, y: number, w: number, h: number): Vec2[] => [
      [x, y],
      [x + w, y],
      [x + w, y + h],
      [x, y + h],
    ];
    // A ring of four bars of 1 m around 4 by 4 m.
    const ring = [bar(-3, -3, 6, 1), bar(-3, 2, 6, 1), bar(-3, -3, 1, 6), bar(2, -3, 1, 6)];
    const areas = areaWithout(square(0, 0, 10), ring);
    expect(areas).toHaveLength(2);
    expect(covered(areas)).toBeCloseTo(400 - (36 - 16), 6);
  });

  it("is never more than it was, nor less by more than what was taken (inclusion and exclusion)", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(between(-8, 8), between(-8, 8), between(0.5, 1.5)), { maxLength: 6 }), (cuts) => {
        const rings = cuts.map(([x, y, r]) => square(x, y, r));
        const left = covered(areaWithout(square(0, 0, 10), rings));
        const taken = rings.reduce((sum, one) => sum + areaTwice(one) / 2, 0);
        expect(left).toBeLessThan(400 + 1e-6);
        expect(left).toBeGreaterThan(400 - taken - 1e-6);
      }),
    );
  });
});

it("the ground is cut out once where two canals cross", () => {
  const canal = (id: string, path: Canal["path"]): Canal => ({ id, kind: "canal", name: id, path, ...DEFAULT_CANAL });
  const [along, across] = [
    canal("a", [
      { x: -50, y: 0 },
      { x: 50, y: 0 },
    ]),
    canal("b", [
      { x: 0, y: -50 },
      { x: 0, y: 50 },
    ]),
  ];
  const openIn = (elements: Canal[]): number => {
    const [{ vertices, faces }] = groundAround(elements);
    const flat = vertices.map(([x, y]): Vec2 => [x, y]);
    const whole = Math.abs(areaTwice(faces[0].loop.map((n) => flat[n]))) / 2;
    return whole - faces[0].pieces.reduce((sum, piece) => sum + areaTwice(piece.map((n) => flat[n])) / 2, 0);
  };
  const width = DEFAULT_CANAL.width + 2 * DEFAULT_CANAL.quay;
  expect(openIn([along])).toBeCloseTo(100 * width, 1);
  expect(openIn([along, across])).toBeCloseTo(200 * width - width * width, 1);
});
