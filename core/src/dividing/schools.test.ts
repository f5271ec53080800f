import fc from "fast-check";
import { between } from "../../testing";
import { anyQuad, anyShares, quad, shareTowards, stretch } from "../../testing/quads";
import { distance2, type Vec2 } from "../geometry";
import { equalParts, rhythmOf, sharesOf } from "../rhythm";
import { byDiagonals, byMarks, byMeasuringPoint, meet, onQuad, through, type Stretch } from ".";

describe("three schools", () => {
  it("find what arithmetic finds, to 1e-9 of the drawing", () => {
    fc.assert(
      fc.property(anyQuad, fc.integer({ min: 2, max: 9 }), (quad, n) => {
        const at = onQuad(quad);
        const shares = sharesOf(equalParts(n));
        const truth = shares.map((share) => at([share, 0]));
        const size = Math.max(...quad.flat().map(Math.abs));
        const off = (places: readonly Vec2[]) => Math.max(...places.map((p, i) => distance2(p, truth[i])));
        expect(off(byDiagonals(quad, equalParts(n)).places)).toBeLessThan(1e-9 * size);
        expect(off(byMarks(quad, shares).places)).toBeLessThan(1e-9 * size);
      }),
    );
  });

  it("find a rhythm by marks and by a measuring point", () => {
    fc.assert(
      fc.property(anyShares, between(0, 2), between(20, 400), (shares, tilt, off) => {
        // A line from (0, 0) to (120, 40), its point at (300, 100); the vanishing line through it, at a tilt.
        const [line, point]: [Stretch, Vec2] = [stretch(0, 0, 120, 40), [300, 100]];
        const along: Vec2 = [Math.cos(tilt + 1), Math.sin(tilt + 1)];
        const measuring: Vec2 = [point[0] + off * along[0], point[1] + off * along[1]];
        const { places } = byMeasuringPoint(line, measuring, along, shares);
        const truth = shares.map((share) => shareTowards(line, point, share));
        places.forEach((at, i) => expect(distance2(at, truth[i])).toBeLessThan(1e-9 * 300));
      }),
    );
    fc.assert(
      fc.property(anyQuad, anyShares, (quad, shares) => {
        const at = onQuad(quad);
        byMarks(quad, shares).places.forEach((place, i) =>
          expect(distance2(place, at([shares[i], 0]))).toBeLessThan(1e-9 * 300),
        );
      }),
    );
  });

  it("draw on paper whose edges are parallel, too", () => {
    const square = quad(0, 0, 90, 0, 90, 60, 0, 60);
    expect(byDiagonals(square, equalParts(3)).places.map(([x]) => x)).toEqual(
      [0, 30, 60, 90].map((x) => expect.closeTo(x, 9)),
    );
    expect(byMarks(square, [0, 0.25, 1]).places[1]).toEqual([expect.closeTo(22.5, 9), expect.closeTo(0, 9)]);
    expect(() => byDiagonals(square, equalParts(1))).toThrow("nothing to divide");
    expect(() => byDiagonals(square, rhythmOf("2 4"))).toThrow("equal parts only");
  });

  it("stand on the laws of Pappus and Desargues", () => {
    const on = (a: Vec2, b: Vec2, t: number): Vec2 => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
    const turn = (a: Vec2, b: Vec2, c: Vec2) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    const flatness = (a: Vec2, b: Vec2, c: Vec2) =>
      Math.abs(turn(a, b, c)) / Math.max(distance2(a, b), distance2(b, c), distance2(a, c)) ** 2;
    fc.assert(
      fc.property(anyQuad, between(0.2, 0.8), between(0.2, 0.8), ([a, b, c, d], s, t) => {
        // Pappus: three places on each of two lines; the three crossings of lines across lie on one line.
        const [p, q] = [on(a, b, s), on(d, c, t)];
        const crossings = [meet([a, q], [p, d]), meet([a, c], [b, d]), meet([p, c], [b, q])];
        expect(flatness(crossings[0], crossings[1], crossings[2])).toBeLessThan(1e-9);
        // Desargues: two triangles seen from one point have sides that meet on one line.
        const eye: Vec2 = [200, 150];
        const other = [a, b, c].map((corner, i) => on(eye, corner, [1.4, 0.6 + s, 2 + t][i]));
        const sides = [0, 1, 2].map((i): Vec2 => {
          const k = (i + 1) % 3;
          return meet([[a, b, c][i], [a, b, c][k]], [other[i], other[k]]);
        });
        if (sides.some((side) => Math.hypot(...side) > 1e4)) return;
        expect(flatness(sides[0], sides[1], sides[2])).toBeLessThan(1e-6);
      }),
    );
  });

  it("draw lines through a place to a point, or beside two that have none", () => {
    expect(through([0, 5], stretch(0, 0, 10, 0), stretch(0, 10, 10, 5))).toEqual(stretch(0, 5, 20, 0));
    expect(through([0, 5], stretch(0, 0, 10, 0), stretch(0, 10, 10, 10))).toEqual(stretch(0, 5, 10, 5));
  });
});
