import cv from "@techstark/opencv-js";
import fc from "fast-check";
import { applyHomography, distance2, type Vec2 } from "../geometry";
import { examineBow, recoverBow, resample, undistorted, undistorting, type Pixels } from ".";
import { bowedAt, undistortedAt, undistortedPlace, type Bow } from "./bow";
import { cvLoaded } from "../../testing/opencv";
import { gauss } from "../../testing/simulated";

const SIZE = { width: 3000, height: 2000 };
const bowOf = (k1: number, k2 = 0): Bow => ({ centre: [1500, 1000], size: Math.hypot(3000, 2000) / 2, k1, k2 });
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Straight lines near the border as a lens bows them and a hand of so many px traces them. */
const LINES = [
  [
    [80, 120],
    [2900, 160],
  ],
  [
    [120, 90],
    [150, 1900],
  ],
  [
    [100, 1880],
    [2900, 1800],
  ],
  [
    [2850, 100],
    [2880, 1900],
  ],
  [
    [300, 400],
    [2700, 300],
  ],
] as const;
const traced = (bow: Bow, hand: number, seed: number, lines: readonly (readonly [Vec2, Vec2])[] = LINES) => {
  const noise = gauss(seed);
  return lines.map(([a, b]) => ({
    points: Array.from({ length: 12 }, (_, i) => {
      const [x, y] = bowedAt(bow, [a[0] + ((b[0] - a[0]) * i) / 11, a[1] + ((b[1] - a[1]) * i) / 11]);
      return { x: x + hand * noise(), y: y + hand * noise() };
    }),
  }));
};

/** A picture of stripes both ways, as smooth as interpolation needs. */
const striped = (width: number, height: number): Pixels => ({
  width,
  height,
  data: Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) => {
    const [x, y] = [(i >> 2) % width, Math.floor((i >> 2) / width)];
    return i % 4 === 3 ? 255 : 128 + 60 * Math.sin(x / 9) + 50 * Math.cos(y / 7);
  }),
});

describe("a lens that bows", () => {
  it("has an inverse, and stays within two standard deviations of the truth as often as it should", () => {
    fc.assert(
      fc.property(between(-0.2, 0.25), between(-0.03, 0.05), between(0, 3000), between(0, 2000), (k1, k2, x, y) => {
        const bow = bowOf(k1, k2);
        const there = bowedAt(bow, [x, y]);
        expect(distance2(undistortedAt(bow, there), [x, y])).toBeLessThan(1e-6);
      }),
      { numRuns: 300 },
    );
    const inside = Array.from({ length: 120 }, (_, seed) => {
      const { k1, sd } = recoverBow({ ...SIZE, bowed: traced(bowOf(-0.12), 1, seed + 1, LINES.slice(0, 3)) });
      return Math.abs(k1 + 0.12) < 2 * sd;
    }).filter(Boolean).length;
    // 95.4 % of 120 lie within two standard deviations; 98 % of such samples between 105 and 120.
    expect(inside).toBeGreaterThanOrEqual(105);
  });

  it("is told by edges near the border, with k2 from four on, and not by one through the middle", () => {
    const told = recoverBow({ ...SIZE, bowed: traced(bowOf(-0.15, 0.03), 0, 1) });
    expect([told.k1, told.k2]).toEqual([expect.closeTo(-0.15, 5), expect.closeTo(0.03, 5)]);
    expect(told.before).toBeGreaterThan(20);
    expect(told.after).toBeLessThan(0.01);
    expect(() =>
      recoverBow({
        ...SIZE,
        bowed: traced(bowOf(-0.15), 1, 1, [
          [
            [100, 1000],
            [2900, 1000],
          ],
        ]),
      }),
    ).toThrow("do not tell how the lens bows");
    expect(() => recoverBow(SIZE)).toThrow("Draw along an edge");
    expect(() =>
      recoverBow({
        ...SIZE,
        bowed: [
          {
            points: [
              { x: 5, y: 5 },
              { x: 5, y: 5 },
              { x: 5, y: 5 },
            ],
          },
        ],
      }),
    ).toThrow("do not tell");
  });

  it("names the edge that spoils the fit, and none where all agree", () => {
    const bowed = traced(bowOf(-0.12), 1, 5);
    // A kerb that is curved in the world: 30 px out in its middle.
    const curved = {
      points: Array.from({ length: 12 }, (_, i) => ({
        x: 300 + 200 * i,
        y: 1700 + 30 * Math.sin((Math.PI * i) / 11),
      })),
    };
    expect(examineBow({ ...SIZE, bowed }).spoiler).toBeUndefined();
    for (const at of [0, 2, 5]) expect(examineBow({ ...SIZE, bowed: bowed.toSpliced(at, 0, curved) }).spoiler).toBe(at);
    // An honest edge is named once in a thousand by chance: of 40 sets of five, in 0.2 on the mean.
    const named = Array.from({ length: 40 }, (_, seed) =>
      examineBow({ ...SIZE, bowed: traced(bowOf(-0.12), 1, 1000 + seed) }),
    )
      .map(({ spoiler }) => spoiler)
      .filter((edge) => edge !== undefined);
    expect(named.length).toBeLessThanOrEqual(2);
    // With two edges nobody can tell which one is wrong.
    expect(examineBow({ ...SIZE, bowed: [bowed[0], curved] }).spoiler).toBeUndefined();
  });

  it("is refused where the edges do not justify one", () => {
    const straight = traced(bowOf(0), 1, 3);
    expect(() => recoverBow({ ...SIZE, bowed: straight })).toThrow("no more than a hand strays");
    // A wavy line is no lens's doing.
    const wavy = LINES.slice(0, 3).map(([a, b]) => ({
      points: Array.from({ length: 12 }, (_, i) => ({
        x: a[0] + ((b[0] - a[0]) * i) / 11 + 25 * Math.sin(2.5 * i),
        y: a[1] + ((b[1] - a[1]) * i) / 11 + 25 * Math.sin(2.5 * i),
      })),
    }));
    expect(() => recoverBow({ ...SIZE, bowed: wavy })).toThrow("No bow of a lens");
    // Lines near the middle that a barrel of -0.9 would bow so, which folds what lies at the corners.
    const strong = traced({ ...bowOf(-0.9), size: bowOf(0).size }, 0.2, 2, [
      [
        [600, 700],
        [2400, 700],
      ],
      [
        [600, 1300],
        [2400, 1300],
      ],
    ]);
    expect(() => recoverBow({ ...SIZE, bowed: strong }, 0.2)).toThrow("fold the photo over");
  });

  it("is undone with all that was traced, in a picture that is full to its corners", () => {
    for (const k1 of [-0.15, 0.1]) {
      const bow = bowOf(k1);
      const plan = undistorting(SIZE, bow);
      for (const corner of [
        [0, 0],
        [3000, 0],
        [3000, 2000],
        [0, 2000],
      ] as const) {
        const [x, y] = bowedAt(bow, [1500 + plan.scale * (corner[0] - 1500), 1000 + plan.scale * (corner[1] - 1000)]);
        expect(x > -1e-6 && x < 3000 + 1e-6 && y > -1e-6 && y < 2000 + 1e-6).toBe(true);
      }
      const [{ points }] = traced(bow, 0, 1);
      const back = points.map(({ x, y }) => undistortedPlace(plan, [x, y]));
      const [a, z] = [back[0], back[11]];
      for (const [x, y] of back)
        expect(Math.abs((z[0] - a[0]) * (y - a[1]) - (z[1] - a[1]) * (x - a[0])) / distance2(a, z)).toBeLessThan(1e-6);
      const reference = {
        id: "r",
        name: "R",
        picture: "0".repeat(64),
        ...SIZE,
        sets: [
          {
            id: "s",
            name: "S",
            role: "left" as const,
            edges: [{ x1: points[0].x, y1: points[0].y, x2: points[11].x, y2: points[11].y }],
          },
        ],
      };
      const {
        sets: [
          {
            edges: [edge],
          },
        ],
        centre,
        bowed,
      } = undistorted(reference, plan, { id: "u", name: "U", picture: "1".repeat(64) });
      expect([edge.x1, edge.y2, centre, bowed]).toEqual([
        expect.closeTo(a[0], 9),
        expect.closeTo(z[1], 9),
        { x: 1500, y: 1000 },
        undefined,
      ]);
    }
  });

  it(
    "is OpenCV's undistort with both focal lengths at half the diagonal; a homography is its " + "warpPerspective",
    async () => {
      await cvLoaded();
      const [width, height] = [240, 160];
      const picture = striped(width, height);
      const size = Math.hypot(width, height) / 2;
      const source = cv.matFromArray(height, width, cv.CV_8UC4, [...picture.data]);
      const differ = (made: Pixels, mat: InstanceType<typeof cv.Mat>) => {
        // Within 2 px of the border both differ in what they take for what lies outside.
        let [sum, most, n] = [0, 0, 0];
        for (let y = 8; y < height - 8; y++)
          for (let x = 8; x < width - 8; x++) {
            const off = Math.abs(made.data[4 * (y * width + x)] - mat.data[4 * (y * width + x)]);
            [sum, most, n] = [sum + off, Math.max(most, off), n + 1];
          }
        return { mean: sum / n, most };
      };
      const made = new cv.Mat();
      // OpenCV's centres of px are whole numbers, ours are at .5.
      const camera = cv.matFromArray(3, 3, cv.CV_64F, [size, 0, width / 2 - 0.5, 0, size, height / 2 - 0.5, 0, 0, 1]);
      const lens = cv.matFromArray(1, 4, cv.CV_64F, [-0.2, 0.05, 0, 0]);
      cv.undistort(source, made, camera, lens);
      const ours = resample(picture, {
        width,
        height,
        bow: { centre: [width / 2, height / 2], size, k1: -0.2, k2: 0.05 },
        scale: 1,
      });
      expect(differ(ours, made).mean).toBeLessThan(0.3);
      expect(differ(ours, made).most).toBeLessThan(4);

      const corners = [
        [10, 20],
        [220, 5],
        [230, 150],
        [15, 140],
      ] as const;
      const square = [
        [0, 0],
        [240, 0],
        [240, 160],
        [0, 160],
      ] as const;
      const [p, q] = [square, corners].map((four) => cv.matFromArray(4, 1, cv.CV_32FC2, four.flat()));
      const found = cv.findHomography(p, q);
      const [a, b, c, d, e, f, g, h, one] = found.data64F;
      const from = [a, b, c, d, e, f, g, h, one] as const;
      for (const [i, at] of square.entries())
        expect(distance2(applyHomography(from, at)!, corners[i])).toBeLessThan(1e-4);
      // The same map between places whose px centres are whole numbers.
      const shift = (dx: number) => cv.matFromArray(3, 3, cv.CV_64F, [1, 0, dx, 0, 1, dx, 0, 0, 1]);
      const [whole, part, none] = [new cv.Mat(), new cv.Mat(), new cv.Mat()];
      cv.gemm(shift(-0.5), found, 1, none, 0, part);
      cv.gemm(part, shift(0.5), 1, none, 0, whole);
      cv.warpPerspective(
        source,
        made,
        whole,
        new cv.Size(width, height),
        cv.INTER_LINEAR | cv.WARP_INVERSE_MAP,
        cv.BORDER_REPLICATE,
        new cv.Scalar(),
      );
      const warped = differ(resample(picture, { from, width, height }), made);
      expect(warped.mean).toBeLessThan(0.3);
      expect(warped.most).toBeLessThan(4);
    },
  );
});
