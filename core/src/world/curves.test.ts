import fc from "fast-check";
import { CatmullRomCurve3, Vector3 } from "three";
import { between, whyOpen } from "../../testing";
import { distance2, type Vec2 } from "../geometry";
import { bentPath, smoothPath, turnAt } from "./curves";
import { built, DEFAULT_CANAL, DEFAULT_STREET, lengthOf, volumeOf, type Element, type Solid } from ".";

const open = (solid: Solid) => whyOpen(solid, solid.faces.reduce((sum, { holes = [] }) => sum + holes.length, 0) / 2);
const points = (path: readonly Vec2[]) => path.map(([x, y]) => ({ x, y }));
const CORNER: readonly Vec2[] = [
  [0, 0],
  [40, 0],
  [40, 30],
];
/** Paths with legs of 4 m or more, none of which turns back on itself. */
const anyPath = fc
  .array(fc.tuple(between(-60, 60), between(-60, 60)), { minLength: 3, maxLength: 7 })
  .filter((path) => path.slice(1).every((p, i) => distance2(p, path[i]) >= 4));

describe("a path with a radius at its bends", () => {
  it("leaves its legs where a circle of the radius touches them, and is as long as that circle's quarter", () => {
    const bent = bentPath(CORNER, 12);
    expect(distance2(bent[1], [28, 0])).toBeLessThan(1e-9);
    expect(distance2(bent[bent.length - 2], [40, 12])).toBeLessThan(1e-9);
    for (const at of bent.slice(1, -1)) expect(distance2(at, [28, 12])).toBeCloseTo(12, 9);
    expect(lengthOf(bent)).toBeCloseTo(28 + 18 + 6 * Math.PI, 1);
  });

  it("turns around the largest radius that fits where a leg is too short", () => {
    const bent = bentPath(CORNER, 100);
    // Half of the shorter leg, 15 m, is the radius of a square bend.
    for (const at of bent.slice(1, -1)) expect(distance2(at, [25, 15])).toBeCloseTo(15, 9);
  });

  it("turns nowhere sharply, and stays within its corners", () => {
    fc.assert(
      fc.property(anyPath, between(1, 50), (path, radius) => {
        const bent = bentPath(path, radius);
        expect(bent[0]).toEqual(path[0]);
        expect(lengthOf(bent)).toBeLessThanOrEqual(lengthOf(path) + 1e-9);
        const sharp = path.slice(1, -1).some((at, i) => Math.abs(turnAt(path[i], at, path[i + 2])) > 150);
        fc.pre(!sharp);
        for (let i = 1; i + 1 < bent.length; i++)
          expect(Math.abs(turnAt(bent[i - 1], bent[i], bent[i + 1]))).toBeLessThan(61);
      }),
      { endOnFailure: true },
    );
  });
});

describe("a smooth path", () => {
  it("is three's centripetal Catmull-Rom curve: through all its points, and nowhere off the curve", () => {
    fc.assert(
      fc.property(anyPath, (path) => {
        const smooth = smoothPath(path);
        for (const at of path) expect(smooth.some((p) => distance2(p, at) < 1e-12)).toBe(true);
        const curve = new CatmullRomCurve3(
          path.map(([x, y]) => new Vector3(x, y, 0)),
          false,
          "centripetal",
        );
        const fine = curve.getPoints(4000 * (path.length - 1));
        for (const [x, y] of smooth.filter((_, i) => i % 7 === 0)) {
          const off = fine.reduce((least, p) => Math.min(least, Math.hypot(p.x - x, p.y - y)), Infinity);
          expect(off).toBeLessThan(0.03);
        }
      }),
      { numRuns: 10 },
    );
  });
});

describe("a smooth path that ends where it begins", () => {
  it("is three's closed centripetal Catmull-Rom curve", () => {
    fc.assert(
      fc.property(between(5, 60), fc.integer({ min: 4, max: 20 }), between(0, 6), (radius, count, from) => {
        const ring = Array.from({ length: count + 1 }, (_, i): Vec2 => {
          const turn = from + (2 * Math.PI * (i % count)) / count;
          return [radius * Math.cos(turn), 0.6 * radius * Math.sin(turn)];
        });
        const curve = new CatmullRomCurve3(
          ring.slice(0, -1).map(([x, y]) => new Vector3(x, y, 0)),
          true,
          "centripetal",
        );
        const fine = curve.getPoints(4000);
        for (const [x, y] of smoothPath(ring)) {
          const off = fine.reduce((least, p) => Math.min(least, Math.hypot(p.x - x, p.y - y)), Infinity);
          expect(off).toBeLessThan(0.002 * radius);
        }
      }),
      { numRuns: 10 },
    );
  });
});

describe("streets and canals that curve", () => {
  const path = points([
    [-60, 0],
    [0, 0],
    [30, 40],
    [90, 50],
  ]);

  it("are closed, and draw no upright within a curve", () => {
    for (const curve of [{ bend: 20 }, { smooth: true }])
      for (const element of [
        { id: "s", kind: "street", name: "Quay curve", path, ...DEFAULT_STREET, ...curve },
        { id: "c", kind: "canal", name: "Cut", path, ...DEFAULT_CANAL, ...curve },
      ] as Element[]) {
        const solids = built([element]).solids.filter(({ id }) => id);
        expect(solids.map(open)).toEqual(solids.map(() => null));
        for (const { edges, vertices } of solids) {
          const upright = edges.filter(({ a, b, smooth }) => !smooth && vertices[a][2] !== vertices[b][2]);
          expect(upright).toHaveLength(4);
        }
      }
  });

  it("have pavements as long as their curves, by Guldin's rule", () => {
    const quarter = points(CORNER);
    const solids = built([
      { id: "s", kind: "street", name: "Bend", path: quarter, ...DEFAULT_STREET, bend: 12 },
    ]).solids;
    // Both pavements lie as far from the middle, 4.1 m: what the outer one is longer, the inner one is shorter.
    const volume = solids.reduce((sum, solid) => sum + volumeOf(solid), 0);
    expect(volume / 0.12).toBeCloseTo(2 * 2.2 * (28 + 18 + 6 * Math.PI), 0);
  });
});
