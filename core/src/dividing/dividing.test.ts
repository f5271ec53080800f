import cv from "@techstark/opencv-js";
import fc from "fast-check";
import { cvLoaded } from "../../testing/opencv";
import { anyShot, between, shotWith } from "../../testing";
import {
  along as onward,
  applyHomography,
  distance2,
  fromUnitSquare,
  inverseHomography,
  type Quad,
  type Vec2,
  type Vec3,
} from "../geometry";
import { project, viewOf, type View } from "../shot";
import {
  asRhythm,
  byDiagonals,
  byMarks,
  byMeasuringPoint,
  divideQuad,
  equalParts,
  evenError,
  meet,
  onQuad,
  partsOf,
  quadProblem,
  rhythmOf,
  sharesOf,
  spacedTowards,
  through,
  type Stretch,
} from ".";

/** Pictures of rectangles: convex quadrilaterals that are nowhere flat. */
const anyQuad = fc
  .tuple(between(10, 60), between(10, 60), between(10, 60), between(10, 60), between(0, 7))
  .map(([a, b, c, d, turn]): Quad => {
    const at = (r: number, k: number): Vec2 => [200 + r * Math.cos(turn + k), 150 + r * Math.sin(turn + k)];
    return [at(a, 0), at(b, 1.6), at(c, 3.1), at(d, 4.8)];
  })
  .filter((quad) => quadProblem(quad) === null);

const anyShares = fc
  .array(between(0.2, 3), { minLength: 2, maxLength: 9 })
  .map((sizes) => sharesOf(sizes.map((size) => ({ size }))));

/** Along a line that runs to a point 1/r changes evenly, r being the distance to it (common practice). */
function shareTowards([from, to]: Stretch, point: Vec2, share: number): Vec2 {
  const [a, b] = [distance2(from, point), distance2(to, point)];
  const r = (a * b) / (b + share * (a - b));
  const t = (a - r) / (a - b);
  return [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
}

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
      fc.property(anyQuad, between(0, 1), between(0, 1), (quad, u, v) => {
        const there = fromUnitSquare(quad);
        const square: Quad = [
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 1],
        ];
        square.forEach((corner, i) => expect(distance2(applyHomography(there, corner)!, quad[i])).toBeLessThan(1e-9));
        const back = applyHomography(inverseHomography(there), applyHomography(there, [u, v])!)!;
        expect(distance2(back, [u, v])).toBeLessThan(1e-9);
      }),
    );
  });
});

describe("a divided quadrilateral", () => {
  // A wall that runs to a point: 90 mm high at its near upright, 30 mm at its far one, 120 mm away. By similar triangles
  // its point is 180 mm from the near upright, and 1/r changes evenly: 1/180, 1/60; the middle is at 1/90.
  const WALL: Quad = [
    [0, 45],
    [120, 15],
    [120, -15],
    [0, -45],
  ];

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
    const told = (quad: Quad) => quadProblem(quad);
    expect(
      told([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ).toBe("The corners cross: press them in their order around.");
    expect(
      told([
        [0, 0],
        [10, 0],
        [20, 0],
        [0, 10],
      ]),
    ).toBe("Corners 1, 2, 3 lie on one line.");
    expect(
      told([
        [0, 0],
        [10, 0],
        [3, 3],
        [0, 10],
      ]),
    ).toBe("Corner 3 lies inside the other three.");
    expect(
      told([
        [0, 0],
        [0, 0],
        [10, 10],
        [0, 10],
      ]),
    ).toBe("Corners 1, 2, 3 lie on one line.");
    expect(told(WALL)).toBeNull();
    expect(told([WALL[3], WALL[2], WALL[1], WALL[0]])).toBeNull();
    expect(() => divideQuad(WALL, { columns: equalParts(200), after: 4 })).toThrow("More than 500");
  });
});

describe("a rhythm", () => {
  const sizes = (text: string) => rhythmOf(text).map(({ size }) => size);

  it("is read word by word", () => {
    expect(sizes("2 4 2 4 x3")).toEqual([2, 4, 2, 4, 2, 4, 2, 4, 2, 4, 2, 4]);
    expect(rhythmOf("door 1, window 1.4 x3")).toEqual([
      { size: 1, name: "door" },
      ...Array.from({ length: 3 }, () => ({ size: 1.4, name: "window" })),
    ]);
    expect(sizes("(door 1, tall window 1.4) x2 .5")).toEqual([1, 1.4, 1, 1.4, 0.5]);
    expect(rhythmOf("tall window 2")[0].name).toBe("tall window");
    expect(partsOf(" 5 ")).toHaveLength(5);
    expect(asRhythm([1.23456, 2, 0.5])).toBe("1.235 2 0.5");
    expect(sizes(asRhythm([1.2, 3]))).toEqual([1.2, 3]);
  });

  it.each([
    ["2 4 twice", 'word 3, "twice", has no size after it.'],
    ["2 0 4", 'word 2, "0", is not above nothing.'],
    ["2 -1", 'word 2, "-1", is not above nothing.'],
    ["x3 2", 'word 1, "x3", repeats nothing.'],
    ["2 4 x0", 'word 3, "x0", repeats it no times.'],
    ["(2 4", 'word 1, "(", is not closed.'],
    ["2 4) x2", 'word 3, ")", closes nothing.'],
    ["1 x501", "makes more than 500 parts."],
    ["  ", "nothing is in it"],
  ])("says at which word %p cannot be read", (text, told) => {
    expect(() => rhythmOf(text)).toThrow(told);
  });

  it.each([0, -2, 2.5, 501])("of %p equal parts is refused", (n) => {
    expect(() => equalParts(n)).toThrow("is no whole number from 1 to 500");
  });

  it("is stretched, cut or centred", () => {
    const parts = rhythmOf("2 4 x2");
    expect(sharesOf(parts)).toEqual([0, 1 / 6, 0.5, 4 / 6, 1].map((s) => expect.closeTo(s, 12)));
    expect(sharesOf(parts, "cut", 10)).toEqual([0, 0.2, 0.6, 0.8, 1].map((s) => expect.closeTo(s, 12)));
    expect(sharesOf(parts, "cut", 20)).toEqual(
      [0, 0.1, 0.3, 0.4, 0.6, 1].map((s) => expect.closeTo(s, 12)).slice(0, 5),
    );
    expect(sharesOf(parts, "centre", 10)).toEqual([0.1, 0.3, 0.7, 0.9].map((s) => expect.closeTo(s, 12)));
    expect(() => sharesOf(parts, "centre", 1)).toThrow("The first part, 2, is longer than the line, 1.");
    expect(() => sharesOf(parts, "cut")).toThrow("is not known");
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
    const line: Stretch = [
      [110, 248.5],
      [310, 198.5],
    ];
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
        const [line, point]: [Stretch, Vec2] = [
          [
            [0, 0],
            [120, 40],
          ],
          [300, 100],
        ];
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
    const square: Quad = [
      [0, 0],
      [90, 0],
      [90, 60],
      [0, 60],
    ];
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
    expect(
      through(
        [0, 5],
        [
          [0, 0],
          [10, 0],
        ],
        [
          [0, 10],
          [10, 5],
        ],
      ),
    ).toEqual([
      [0, 5],
      [20, 0],
    ]);
    expect(
      through(
        [0, 5],
        [
          [0, 0],
          [10, 0],
        ],
        [
          [0, 10],
          [10, 10],
        ],
      ),
    ).toEqual([
      [0, 5],
      [10, 5],
    ]);
  });
});
