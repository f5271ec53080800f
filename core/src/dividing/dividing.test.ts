import cv from "@techstark/opencv-js";
import fc from "fast-check";
import { cvLoaded } from "../../testing/opencv";
import { anyShot, between, shotWith } from "../../testing";
import { anyQuad, anyShares, quad, shareTowards, stretch } from "../../testing/quads";
import {
  along as onward,
  applyHomography,
  distance2,
  fromUnitSquare,
  inverseHomography,
  type Vec2,
  type Vec3,
} from "../geometry";
import { project, viewOf, type View } from "../shot";
import { equalParts } from "../rhythm";
import { divideQuad, evenError, meet, onQuad, quadProblem, spacedTowards, type Stretch } from ".";

const crossRatio = (a: Vec2, b: Vec2, c: Vec2, d: Vec2): number =>
  (distance2(a, c) * distance2(b, d)) / (distance2(b, c) * distance2(a, d));

describe("homographies from four points", () => {
  beforeAll(cvLoaded);

  it("are OpenCV's getPerspectiveTransform", () => {
    fc.assert(
      fc.property(anyQuad, (quad) => {
        const [square, corners] = [[0, 0, 1, 0, 1, 1, 0, 1], quad.flat()].map((four) =>
          cv.matFromArray(4, 1, cv.CV_32FC2, four),
        );
        const theirs = cv.getPerspectiveTransform(square, corners);
        // It reads single precision: as near as that.
        const ours = fromUnitSquare(quad);
        ours.forEach((value, i) =>
          expect(Math.abs(value - theirs.data64F[i])).toBeLessThan(2e-3 * (1 + Math.abs(value))),
        );
        [square, corners, theirs].forEach((mat) => mat.delete());
      }),
      { numRuns: 60 },
    );
  });

  it("send the corners where they are, and come back by their inverse", () => {
    fc.assert(
      fc.property(anyQuad, between(0, 1), between(0, 1), (drawn, u, v) => {
        const there = fromUnitSquare(drawn);
        const square = quad(0, 0, 1, 0, 1, 1, 0, 1);
        square.forEach((corner, i) => expect(distance2(applyHomography(there, corner)!, drawn[i])).toBeLessThan(1e-9));
        const back = applyHomography(inverseHomography(there), applyHomography(there, [u, v])!)!;
        expect(distance2(back, [u, v])).toBeLessThan(1e-9);
      }),
    );
  });
});

describe("a divided quadrilateral", () => {
  // A wall that runs to a point: 90 mm high at its near upright, 30 mm at its far one, 120 mm away. By similar
  // triangles its point is 180 mm from the near upright, and 1/r changes evenly: 1/180, 1/60; the middle is at 1/90.
  const WALL = quad(0, 45, 120, 15, 120, -15, 0, -45);

  it("is halved where its diagonals cross, at 2ab / (a + b) from the point (handbook of the trade)", () => {
    const { centre, halves, columns } = divideQuad(WALL, { columns: equalParts(2) });
    expect(centre[0]).toBeCloseTo(180 - (2 * 180 * 60) / 240, 9);
    expect(distance2(centre, meet([WALL[0], WALL[2]], [WALL[1], WALL[3]]))).toBeLessThan(1e-9);
    expect(halves[0][0][0]).toBeCloseTo(90, 9);
    expect(columns.map(([[x]]) => x)).toEqual([0, 90, 120].map((x) => expect.closeTo(x, 9)));
  });

  it("is repeated by the line from a corner through the middle of the next edge (common practice)", () => {
    const { columns, rows } = divideQuad(WALL, { columns: equalParts(1), rows: equalParts(3), after: 3 });
    expect(columns).toHaveLength(5);
    for (let i = 1; i + 1 < columns.length; i++) {
      const [[foot], [, top]] = [columns[i - 1], columns[i + 1]];
      const middle: Vec2 = [columns[i][0][0], 0];
      const [ax, ay] = [middle[0] - foot[0], middle[1] - foot[1]];
      expect(Math.abs(ax * (top[1] - foot[1]) - ay * (top[0] - foot[0]))).toBeLessThan(1e-6);
    }
    // Rows go on over the repeats.
    expect(rows).toHaveLength(4);
    expect(rows[0][1][0]).toBeCloseTo(columns[4][0][0], 9);
    expect(() => divideQuad(WALL, { columns: equalParts(1), before: 1 })).toThrow("behind the eye");
  });

  it("keeps the cross-ratio of its rhythm along every line, and closes the complete quadrilateral", () => {
    fc.assert(
      fc.property(anyQuad, anyShares, between(0, 1), (quad, shares, v) => {
        if (shares.length < 4) return;
        const at = onQuad(quad);
        const [a, b, c, d] = [shares[0], shares[1], shares[2], shares[3]];
        const truth = ((c - a) * (d - b)) / ((c - b) * (d - a));
        const drawn = crossRatio(at([a, v]), at([b, v]), at([c, v]), at([d, v]));
        expect(Math.abs(drawn / truth - 1)).toBeLessThan(1e-6);
      }),
    );
    // A complete quadrilateral: the diagonal through two of its points is cut harmonically by the other two.
    fc.assert(
      fc.property(anyQuad, ([a, b, c, d]) => {
        const [p, q] = [meet([a, b], [d, c]), meet([a, d], [b, c])];
        if (Math.hypot(...p) > 1e4 || Math.hypot(...q) > 1e4) return;
        const [x, y] = [meet([a, c], [p, q]), meet([b, d], [p, q])];
        if (Math.hypot(...x) > 1e4 || Math.hypot(...y) > 1e4) return;
        expect(Math.abs(crossRatio(p, q, x, y) - 1)).toBeLessThan(1e-5);
      }),
    );
  });

  it("is refused in a sentence where its corners are none of a rectangle's picture", () => {
    expect(quadProblem(quad(0, 0, 10, 10, 10, 0, 0, 10))).toBe("The corners cross: press them in their order around.");
    expect(quadProblem(quad(0, 0, 10, 0, 20, 0, 0, 10))).toBe("Corners 1, 2, 3 lie on one line.");
    expect(quadProblem(quad(0, 0, 10, 0, 3, 3, 0, 10))).toBe("Corner 3 lies inside the other three.");
    expect(quadProblem(quad(0, 0, 0, 0, 10, 10, 0, 10))).toBe("Corners 1, 2, 3 lie on one line.");
    expect(quadProblem(WALL)).toBeNull();
    expect(quadProblem([WALL[3], WALL[2], WALL[1], WALL[0]])).toBeNull();
    expect(() => divideQuad(WALL, { columns: equalParts(200), after: 4 })).toThrow("More than 500");
  });
});

describe("spacing along a line towards a point", () => {
  it("is where the places themselves are seen, in every straight view", () => {
    fc.assert(
      fc.property(
        anyShot,
        between(5, 60),
        between(-20, 20),
        between(0, 360),
        anyShares,
        (shot, far, side, turn, shares) => {
          const view = viewOf(shot);
          const start = onward(onward(view.eye, view.forward, far), view.right, side);
          const way: Vec3 = [Math.sin(turn), Math.cos(turn), 0.1];
          const on = (share: number) => project(view, onward(start, way, 20 * share));
          const [a, b] = [on(0), on(1)];
          if (!a || !b || distance2(a, b) < 1 || shares.some((share) => !on(share))) return;
          spacedTowards(view, [a, b], way, shares).forEach((at, i) =>
            expect(distance2(at, on(shares[i])!)).toBeLessThan(1e-6 * (1 + Math.hypot(...at))),
          );
        },
      ),
    );
  });

  it("changes 1/r evenly along the paper, and has no answer across the point", () => {
    // A level way 45 degrees to the right of the gaze: its point stands at C + d, (510, 148.5).
    const [view, way, point]: [View, Vec3, Vec2] = [viewOf(shotWith()), [1, 1, 0], [510, 148.5]];
    const line = stretch(110, 248.5, 310, 198.5);
    const shares = [0, 0.25, 0.5, 1];
    spacedTowards(view, line, way, shares).forEach((at, i) =>
      expect(distance2(at, shareTowards(line, point, shares[i]))).toBeLessThan(1e-9),
    );
    const places: Vec2[] = [
      [0, 0],
      [90, 0],
      [120, 0],
    ];
    expect(evenError(places, [0, 0.5, 1])).toBeCloseTo(30, 12);
    const across: Stretch = [line[0], [710, 98.5]];
    expect(() => spacedTowards(view, across, way, [0.5])).toThrow("The point lies between the two ends");
    expect(() => spacedTowards(view, [line[0], line[0]], way, [0.5])).toThrow("The two ends are one place.");
  });
});
