import fc from "fast-check";
import { anyStar } from "../../testing";
import { cgalSkeletons } from "../../testing/cgal";
import type { Vec2 } from "../geometry";
import { areaTwice, areClear, isWithin, tidy } from "./polygon";
import { straightSkeleton } from "./skeleton";

const area = (points: readonly Vec2[]) => areaTwice(points) / 2;
const areasOf = (outer: readonly Vec2[], holes: readonly (readonly Vec2[])[] = []) => {
  const { nodes, faces } = straightSkeleton(outer, holes)!;
  return faces.map((face) => Number(area(face.map((n) => nodes[n].at)).toFixed(6)));
};
const heights = (outer: readonly Vec2[], holes: readonly (readonly Vec2[])[] = []) =>
  [...new Set(straightSkeleton(outer, holes)!.nodes.map(({ inwards }) => Number(inwards.toFixed(6))))].sort(
    (a, b) => a - b,
  );

const star = anyStar(14).map(tidy);

describe("a straight skeleton", () => {
  it("parts a square into four triangles, and an oblong into two of them and two trapezia", () => {
    expect(
      areasOf([
        [0, 0],
        [4, 0],
        [4, 4],
        [0, 4],
      ]),
    ).toEqual([4, 4, 4, 4]);
    expect(
      areasOf([
        [0, 0],
        [10, 0],
        [10, 4],
        [0, 4],
      ]),
    ).toEqual([16, 4, 16, 4]);
  });

  it("parts an L whose wings are as wide as each other, with one valley", () => {
    const ell: Vec2[] = [
      [0, 0],
      [10, 0],
      [10, 4],
      [4, 4],
      [4, 12],
      [0, 12],
    ];
    // By hand: ridges 2 m in, one valley from (4, 4) to (2, 2).
    expect(areasOf(ell)).toEqual([16, 4, 12, 16, 4, 20]);
    expect(heights(ell)).toEqual([0, 2]);
  });

  it("parts a cross, a U, and a court's four sides, though much happens at one time", () => {
    const cross: Vec2[] = [
      [4, 0],
      [8, 0],
      [8, 4],
      [12, 4],
      [12, 8],
      [8, 8],
      [8, 12],
      [4, 12],
      [4, 8],
      [0, 8],
      [0, 4],
      [4, 4],
    ];
    expect(areasOf(cross)).toEqual([4, 8, 8, 4, 8, 8, 4, 8, 8, 4, 8, 8]);
    const outer: Vec2[] = [
      [0, 0],
      [12, 0],
      [12, 12],
      [0, 12],
    ];
    const court: Vec2[] = [
      [4, 4],
      [8, 4],
      [8, 8],
      [4, 8],
    ];
    // Four trapezia outside, 12 and 8 m long and 2 m deep; four inside, 4 and 8 m long.
    expect(areasOf(outer, [court])).toEqual([20, 20, 20, 20, 12, 12, 12, 12]);
    const horseshoe: Vec2[] = [
      [0, 0],
      [14, 0],
      [14, 10],
      [10, 10],
      [10, 4],
      [4, 4],
      [4, 10],
      [0, 10],
    ];
    expect(areasOf(horseshoe).reduce((sum, one) => sum + one, 0)).toBeCloseTo(14 * 4 + 2 * 4 * 6, 6);
  });

  it("is that of CGAL, in any area with a hole or none", async () => {
    const cgal = await cgalSkeletons();
    const hole: Vec2[] = [
      [-1, -0.5],
      [0.7, -0.8],
      [0.9, 0.6],
    ];
    let compared = 0;
    fc.assert(
      fc.property(star, fc.boolean(), (ring, holed) => {
        const holes = holed && areClear(hole, ring, 0.05) && isWithin(hole[0], ring) ? [hole] : [];
        const closed = (points: readonly Vec2[]) => [...points, points[0]].map(([x, y]) => [x, y]);
        const other = cgal.buildFromPolygon([closed(ring), ...holes.map((one) => closed([...one].reverse()))]);
        if (!other) return;
        compared++;
        const own = straightSkeleton(ring, holes)!;
        const sizes = (nodes: readonly Vec2[], faces: readonly (readonly number[])[]) =>
          faces.map((face) => Math.abs(area(face.map((n) => nodes[n])))).sort((a, b) => a - b);
        const theirs = sizes(
          other.vertices.map(([x, y]): Vec2 => [x, y]),
          other.polygons,
        );
        const ours = sizes(
          own.nodes.map(({ at }) => at),
          own.faces,
        );
        expect(ours).toHaveLength(theirs.length);
        ours.forEach((one, i) => expect(one).toBeCloseTo(theirs[i], 4));
        const top = (all: readonly number[]) => Math.max(...all);
        expect(top(own.nodes.map(({ inwards }) => inwards))).toBeCloseTo(
          top(other.vertices.map(([, , time]) => time)),
          4,
        );
      }),
      { numRuns: 150 },
    );
    expect(compared).toBeGreaterThan(100);
  });

  it("puts every node as far from all its sides as it says, in any area that does not cross itself", () => {
    fc.assert(
      fc.property(star, (ring) => {
        const skeleton = straightSkeleton(ring);
        expect(skeleton).not.toBeNull();
        const { nodes, faces } = skeleton!;
        faces.forEach((face, i) => {
          const [p, q] = [ring[i], ring[(i + 1) % ring.length]];
          const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
          for (const n of face) {
            const [x, y] = nodes[n].at;
            const off = ((q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0])) / long;
            expect(Math.abs(off - nodes[n].inwards)).toBeLessThan(1e-5);
          }
        });
      }),
      { numRuns: 400 },
    );
  });
});
