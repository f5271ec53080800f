import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { distance2, type Vec2 } from "../geometry";
import { areaWithout } from "./areas";
import { groundAround } from "./ground";
import { areaTwice } from "./polygon";
import { trianglesOf } from "./triangles";
import { build, built, DEFAULT_CANAL, lengthOf, offPath, pathOf, validateElement, volumeOf, type Canal } from ".";

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

describe("canals that join, cross or bend sharply", () => {
  const canal = (id: string, ...path: (readonly [number, number])[]): Canal => ({
    id,
    kind: "canal",
    name: id,
    path: path.map(([x, y]) => ({ x, y })),
    ...DEFAULT_CANAL,
  });
  const { width, quay, depth, coping } = DEFAULT_CANAL;
  const under = depth + 1;
  /** The area of what is so high, m^2: volumes of upright solids by their height. */
  const areaOf = (elements: Canal[], top: number, height: number): number =>
    built(elements)
      .solids.filter(({ id, vertices }) => id && Math.abs(Math.max(...vertices.map(([, , z]) => z)) - top) < 1e-9)
      .reduce((sum, solid) => sum + volumeOf(solid) / height, 0);
  const water = (...elements: Canal[]) => areaOf(elements, -depth, under - depth);
  const walls = (...elements: Canal[]) => areaOf(elements, coping, under + coping);

  it("have one water where they cross, and no wall in it", () => {
    const [along, across] = [canal("a", [-50, 0], [50, 0]), canal("b", [0, -50], [0, 50])];
    const alone = (100 - 2 * quay) * width;
    expect(water(along)).toBeCloseTo(alone, 6);
    expect(water(along, across)).toBeCloseTo(2 * alone - width * width, 6);
    const wall = 2 * quay * 100 + 2 * quay * width;
    expect(walls(along)).toBeCloseTo(wall, 6);
    // Each opens both walls of the other, over the width of its water and of its own walls; corners are shared.
    expect(walls(along, across)).toBeCloseTo(2 * wall - 4 * quay * width - 4 * quay * quay, 6);
    const [around, ...waters] = built([along, across]).solids.filter(({ id }) => id);
    expect([around, ...waters].map((solid, i) => whyOpen(solid, i === 0 ? 1 : 0))).toEqual([null, null]);
  });

  it("are open to one another where one ends in the other", () => {
    const [along, into] = [canal("a", [-50, 0], [50, 0]), canal("b", [0, 0], [0, 40])];
    const rim = width / 2;
    expect(water(along, into)).toBeCloseTo((100 - 2 * quay) * width + (40 - quay - rim) * width, 6);
    expect(built([along, into]).solids.filter(({ id }) => id === "b")).toEqual([]);
    expect(built([along, { ...into, hidden: true }]).solids.filter(({ id }) => id)).toHaveLength(5);
  });

  it("keep apart where they do not touch, and each its own solids", () => {
    const [one, other] = [canal("a", [-50, 0], [50, 0]), canal("b", [-50, 30], [50, 30])];
    expect(built([one, other]).solids.slice(0, -1)).toEqual([...build([one]), ...build([other])]);
  });

  it("are closed and upright however sharply they bend, and never wider than their walls", () => {
    const place = fc.tuple(between(-60, 60), between(-60, 60));
    fc.assert(
      fc.property(fc.array(place, { minLength: 3, maxLength: 5 }), (places) => {
        const one = canal("a", ...places);
        fc.pre(validateElement(one) === null);
        const path = pathOf(one);
        fc.pre(path.every((p, i) => i === 0 || distance2(p, path[i - 1]) > width));
        for (const solid of built([one]).solids.filter(({ id }) => id)) {
          expect(volumeOf(solid)).toBeGreaterThan(0);
          for (const [x, y] of solid.vertices) expect(offPath(one, [x, y])).toBeLessThan(4 * (width / 2 + quay) + 1e-6);
        }
        const most = lengthOf(path) * (width + 2 * quay) + path.length * (width + 2 * quay) ** 2;
        expect(walls(one) + water(one)).toBeLessThan(most);
      }),
      { numRuns: 60 },
    );
  });

  it("turn back on themselves", () => {
    const hairpin = canal("a", [0, 0], [60, 0], [0, 14]);
    expect(validateElement(hairpin)).toBeNull();
    // Between its arms lies an island, or they are one water; never is there more of it than of both arms.
    expect(water(hairpin)).toBeGreaterThan(60 * width);
    expect(water(hairpin)).toBeLessThan(2 * 62 * width);
    const [ground] = built([hairpin]).solids.slice(-1);
    expect(ground.id).toBe("");
  });
});
