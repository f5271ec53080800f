import fc from "fast-check";
import { distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { between } from "../../testing";
import { gauss } from "../../testing/simulated";
import { ellipseOf, normOf, recoverPoint, type Segment } from ".";

const picture = normOf({ width: 4000, height: 3000 });

/** Edges that run to a point (or along a direction), of a length, with noise across at both ends. */
function edges(
  point: { at: Vec2 } | { along: Vec2 },
  n: number,
  sigma: number,
  noise: () => number,
  seed = 1,
): Segment[] {
  const place = gauss(seed);
  return Array.from({ length: n }, () => {
    const m: Vec2 = [2000 + 900 * place(), 1500 + 700 * place()];
    const [dx, dy] = "at" in point ? [point.at[0] - m[0], point.at[1] - m[1]] : point.along;
    const length = Math.hypot(dx, dy);
    const half = 150 + Math.abs(120 * place());
    const [ux, uy] = [dx / length, dy / length];
    const end = (side: number): Vec2 => {
      const across = sigma * noise();
      return [m[0] + side * half * ux - across * uy, m[1] + side * half * uy + across * ux];
    };
    return { a: end(-1), b: end(1) };
  });
}

describe("a vanishing point from edges", () => {
  it("is exact for exact edges, near, far and at infinity", () => {
    fc.assert(
      fc.property(between(-30000, 30000), between(-30000, 30000), fc.integer({ min: 2, max: 30 }), (x, y, n) => {
        fc.pre(Math.hypot(x - 2000, y - 1500) > 50);
        const found = recoverPoint(
          edges({ at: [x, y] }, n, 0, () => 0, n),
          picture,
        );
        // Few short edges far from their point leave it to rounding; what they show is exact all the same.
        expect(Math.max(...found.residuals)).toBeLessThan(1e-6);
        if (n > 5) expect(distance2(found.at!, [x, y])).toBeLessThan(1e-3 * (1 + Math.hypot(x, y) / 1000));
      }),
    );
    const parallel = recoverPoint(
      edges({ along: [1, 0.25] }, 12, 0, () => 0),
      picture,
    );
    expect(parallel.at).toBeNull();
    expect(parallel.angle).toBeCloseTo((Math.atan(0.25) * 180) / Math.PI, 6);
  });

  it(
    "spreads no more than 1.1 times the Cramer-Rao bound, and its 95 % ellipse holds the truth as often " +
      "as it says",
    () => {
      // Monte Carlo: 1,500 tracings of the same 14 edges by a hand of 1 px. The bound is the inverse of the information
      // at the truth: with edge i seen from the point at rho1, rho2, its residual moves by
      // (rho1 - rho2) / sqrt(rho1^2 + rho2^2) of the point's step across the edge, times 1 / sigma.
      const truth: Vec2 = [6200, 900];
      const sigma = 1;
      const exact = edges({ at: truth }, 14, 0, () => 0, 5);
      const information = [
        [0, 0],
        [0, 0],
      ];
      for (const { a, b } of exact) {
        const [r1, r2] = [distance2(a, truth), distance2(b, truth)];
        const [nx, ny] = [-(b[1] - a[1]) / distance2(a, b), (b[0] - a[0]) / distance2(a, b)];
        const k = (r1 - r2) ** 2 / (r1 * r1 + r2 * r2) / sigma ** 2;
        for (const [i, p] of [nx, ny].entries())
          for (const [j, q] of [nx, ny].entries()) information[i][j] += k * p * q;
      }
      const det = information[0][0] * information[1][1] - information[0][1] ** 2;
      const bound = (information[0][0] + information[1][1]) / det;
      const runs = 1500;
      let [spread, held] = [0, 0];
      for (let run = 0; run < runs; run++) {
        const { at, covariance } = recoverPoint(edges({ at: truth }, 14, sigma, gauss(1000 + run), 5), picture, sigma);
        const [dx, dy] = [at![0] - truth[0], at![1] - truth[1]];
        spread += (dx * dx + dy * dy) / runs;
        const [[a, b], [, d]] = covariance!;
        if ((d * dx * dx - 2 * b * dx * dy + a * dy * dy) / (a * d - b * b) <= -2 * Math.log(0.05)) held += 1 / runs;
      }
      expect(Math.sqrt(spread / bound)).toBeLessThan(1.1);
      expect(held).toBeGreaterThan(0.93);
      expect(held).toBeLessThan(0.97);
    },
  );

  it("leaves strays out and names them", () => {
    const good = edges({ at: [-3000, 1400] }, 16, 1, gauss(3));
    const strays: Segment[] = [
      { a: [500, 500], b: [900, 2200] },
      { a: [2500, 2500], b: [3100, 1700] },
    ];
    const { at, strays: named } = recoverPoint([...good.slice(0, 8), strays[0], ...good.slice(8), strays[1]], picture);
    expect(named).toEqual([8, 17]);
    const clean = recoverPoint(good, picture);
    expect(distance2(at!, clean.at!)).toBeLessThan(1e-3);
  });

  it("trusts edges that were traced in a small picture less", () => {
    const sharp = edges({ at: [7000, 1000] }, 10, 1, gauss(7));
    const loose = edges({ at: [7000, 1000] }, 10, 6, gauss(8), 2).map((edge) => ({ ...edge, looser: 6 }));
    const error = (segments: readonly Segment[]) => distance2(recoverPoint(segments, picture).at!, [7000, 1000]);
    const axes = (segments: readonly Segment[]) => ellipseOf(recoverPoint(segments, picture).covariance!).major;
    expect(axes(loose)).toBeGreaterThan(4 * axes(sharp));
    expect(axes([...sharp, ...loose])).toBeLessThan(axes(sharp));
    expect(error([...sharp, ...loose])).toBeLessThan(axes([...sharp, ...loose]));
    expect(recoverPoint(loose, picture).strays).toEqual([]);
  });

  it("gets surer with more edges", () => {
    const major = (n: number) =>
      ellipseOf(recoverPoint(edges({ at: [7000, 1000] }, n, 1, gauss(7)), picture).covariance!).major;
    expect(major(40)).toBeLessThan(major(10) / 1.5);
    expect(
      ellipseOf([
        [9, 0],
        [0, 4],
      ]),
    ).toEqual({ major: expect.closeTo(3 * 2.4477, 3), minor: expect.closeTo(2 * 2.4477, 3), slant: 0 });
  });

  it("says what it lacks, and makes no NaN of whatever is traced", () => {
    expect(() => recoverPoint([{ a: [0, 0], b: [100, 0] }], picture)).toThrow(
      "There is one edge with a length: two at least are needed",
    );
    expect(() =>
      recoverPoint(
        [
          { a: [0, 0], b: [100, 0] },
          { a: [5, 5], b: [5, 5] },
        ],
        picture,
      ),
    ).toThrow(NoAnswer);
    expect(() =>
      recoverPoint(
        [
          { a: [0, 0], b: [100, 0] },
          { a: [200, 0], b: [300, 0] },
        ],
        picture,
      ),
    ).toThrow("All edges lie on one line");
    const anyPlace = fc.tuple(between(-1e4, 1e4), between(-1e4, 1e4));
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.record({ a: anyPlace, b: anyPlace }),
            anyPlace.map((a) => ({ a, b: a })),
            anyPlace.map(([x, y]) => ({ a: [x, 500] as const, b: [y, 500] as const })),
          ),
          { maxLength: 12 },
        ),
        (segments) => {
          try {
            const found = recoverPoint(segments, picture);
            expect(
              [
                ...found.direction,
                ...found.residuals,
                ...found.turns,
                ...(found.at ?? []),
                ...(found.covariance?.flat() ?? []),
              ].every(Number.isFinite),
            ).toBe(true);
          } catch (refused) {
            expect(refused).toBeInstanceOf(NoAnswer);
          }
        },
      ),
    );
  });
});
