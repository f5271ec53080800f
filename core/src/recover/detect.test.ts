import { readFileSync } from "node:fs";
import { join } from "node:path";
import cv from "@techstark/opencv-js";
import sharp from "sharp";
import { distance2, type Vec2 } from "../geometry";
import {
  detect,
  familiesOf,
  follow,
  greyOf,
  groupEdges,
  recoverView,
  settle,
  settleOnStroke,
  type Detected,
  type Grey,
  type Grouped,
} from ".";
import { cvLoaded } from "../../testing/opencv";
import { gauss } from "../../testing/simulated";

/** A dark polygon on light ground, drawn with the share of each px that it covers (8 x 8 places a px), with grain. */
function polygon(corners: readonly Vec2[], width: number, height: number, grain = 4): Grey {
  const noise = gauss(5);
  /** How far a place lies within the side that is nearest to leaving it out, px. */
  const within = (x: number, y: number) =>
    Math.min(
      ...corners.map(([ax, ay], i) => {
        const [bx, by] = corners[(i + 1) % corners.length];
        return ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay);
      }),
    );
  const coverage = (x: number, y: number) => {
    const middle = within(x + 0.5, y + 0.5);
    if (Math.abs(middle) > Math.SQRT1_2) return middle > 0 ? 64 : 0;
    let covered = 0;
    for (let j = 0; j < 8; j++)
      for (let i = 0; i < 8; i++) covered += within(x + (i + 0.5) / 8, y + (j + 0.5) / 8) >= 0 ? 1 : 0;
    return covered;
  };
  const data = new Uint8Array(width * height).map(
    (_, p) => 190 - (120 * coverage(p % width, Math.floor(p / width))) / 64 + grain * noise(),
  );
  return { width, height, data };
}

/** How far a place is from the line through two others. */
const off = ([px, py]: Vec2, [ax, ay]: Vec2, [bx, by]: Vec2) =>
  Math.abs((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / Math.hypot(bx - ax, by - ay);

const CORNERS: readonly Vec2[] = [
  [60.3, 40.7],
  [331.2, 71.4],
  [300.8, 231.9],
  [81.6, 260.2],
];
const PICTURE = polygon(CORNERS, 400, 300);

describe("edges found in a picture", () => {
  it("are those of a known polygon, within a tenth of a px, and no others", () => {
    const told: number[] = [];
    const found = detect(PICTURE, (share) => told.push(share));
    expect(found).toHaveLength(4);
    for (const [i, corner] of CORNERS.entries()) {
      const next = CORNERS[(i + 1) % 4];
      const edge = found.find(({ a, b }) => Math.max(off(a, corner, next), off(b, corner, next)) < 0.1);
      expect(edge && distance2(edge.a, edge.b) / distance2(corner, next)).toBeGreaterThan(0.9);
    }
    expect([...told].sort((a, b) => a - b)).toEqual(told);
    expect(told.length).toBeGreaterThan(5);
  });

  it("are none in mere grain, and a picture of next to no px is refused", () => {
    const noise = gauss(5);
    expect(detect({ width: 300, height: 200, data: new Uint8Array(60_000).map(() => 70 + 6 * noise()) })).toEqual([]);
    expect(() => detect({ width: 20, height: 400, data: new Uint8Array(8000) })).toThrow("too small");
  });

  it(
    "are where a line that is drawn near one settles, softly: not beyond the reach, and on the nearest of " +
      "two alike",
    () => {
      const [a, b] = [CORNERS[0], CORNERS[1]];
      const near = settle(PICTURE, [a[0] + 20, a[1] + 7], [b[0] - 20, b[1] - 8], 9)!;
      expect(Math.max(off(near.a, a, b), off(near.b, a, b))).toBeLessThan(0.1);
      expect(near.off).toBeLessThan(0.3);
      expect(settle(PICTURE, [120, 130], [260, 140], 9)).toBeNull();
      expect(settle(PICTURE, [-50, 10], [-20, 290], 9)).toBeNull();
      expect(settle(PICTURE, [10, 10], [10, 10], 9)).toBeNull();
      // Two edges 14 px apart: a line between them, nearer to one.
      const bar = polygon(
        [
          [0, 80],
          [300, 80],
          [300, 94],
          [0, 94],
        ],
        300,
        200,
        0,
      );
      expect(settle(bar, [20, 84], [280, 84], 12)!.a[1]).toBeCloseTo(80, 1);
      expect(settle(bar, [20, 90], [280, 90], 12)!.a[1]).toBeCloseTo(94, 1);
    },
  );

  it("are followed place by place; where most find the edge, those past its end are left out", () => {
    const [a, b] = [CORNERS[0], CORNERS[1]];
    const at = (t: number, beside: number): Vec2 => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]) + beside];
    const places = Array.from({ length: 10 }, (_, i) => at(0.05 + 0.1 * i, i % 2 ? 2 : -2));
    const past: Vec2[] = [
      [360, 30],
      [380, 20],
    ];
    const found = follow(PICTURE, [...places, ...past], 9);
    expect(found.length).toBeGreaterThanOrEqual(9);
    expect(found.length).toBeLessThanOrEqual(11);
    for (const place of found) expect(off(place, a, b)).toBeLessThan(1);
    // Nothing near: every place stays.
    expect(follow(PICTURE, past, 9)).toEqual(past);
  });

  it("come from colours by their brightness, as OpenCV's cvtColor has it, to the nearest step", async () => {
    await cvLoaded();
    const [width, height] = [64, 64];
    const data = new Uint8ClampedArray(4 * width * height);
    const noise = gauss(5);
    for (let i = 0; i < data.length; i++) data[i] = i % 4 === 3 ? 255 : 128 + 80 * noise();
    const [colours, expected] = [cv.matFromArray(height, width, cv.CV_8UC4, [...data]), new cv.Mat()];
    cv.cvtColor(colours, expected, cv.COLOR_RGBA2GRAY);
    const found = greyOf({ width, height, data }).data;
    const off = found.map((grey, i) => Math.abs(grey - expected.data[i]));
    expect(Math.max(...off)).toBeLessThanOrEqual(1);
    for (const mat of [colours, expected]) mat.delete();
    expect([
      ...greyOf({
        width: 3,
        height: 1,
        data: Uint8ClampedArray.from([255, 255, 255, 255, 0, 0, 0, 255, 255, 0, 0, 255]),
      }).data,
    ]).toEqual([255, 0, 76]);
  });
});

// The demo's rendered photos, whose cameras are known; and OpenCV's own way to find edges (Canny, then HoughLinesP).
const photos = join(__dirname, "../../../demo/photos");
interface Truth {
  readonly focalLength: number;
  readonly pitch: number;
  readonly roll: number;
}
async function photo(name: string): Promise<{ readonly grey: Grey; readonly truth: Truth }> {
  const { data, info } = await sharp(join(photos, `${name}.jpg`))
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return {
    grey: { width: info.width, height: info.height, data: new Uint8Array(data) },
    truth: JSON.parse(readFileSync(join(photos, `${name}.json`), "utf8")) as Truth,
  };
}
const viewFrom = (edges: readonly Detected[], groups: readonly Grouped[], { width, height }: Grey) =>
  recoverView(familiesOf(edges, groups), { width, height, centre: [width / 2, height / 2] });
async function byOpenCv({ width, height, data }: Grey): Promise<Detected[]> {
  await cvLoaded();
  const [source, edges, lines] = [new cv.Mat(height, width, cv.CV_8UC1), new cv.Mat(), new cv.Mat()];
  source.data.set(data);
  cv.Canny(source, edges, 50, 150, 3, false);
  cv.HoughLinesP(edges, lines, 1, Math.PI / 720, 60, 0.02 * width, 4);
  const found = Array.from({ length: lines.rows }, (_, i) => [...lines.data32S.slice(4 * i, 4 * i + 4)]).map(
    ([ax, ay, bx, by]): Detected => ({ a: [ax + 0.5, ay + 0.5], b: [bx + 0.5, by + 0.5], strength: 1 }),
  );
  for (const mat of [source, edges, lines]) mat.delete();
  return found.sort((p, q) => distance2(q.a, q.b) - distance2(p.a, p.b)).slice(0, 4000);
}

describe("a line on a pencil stroke", () => {
  /** A stroke of so many px from one place to another, on paper with grain. */
  const stroke = (from: Vec2, to: Vec2, wide: number) => {
    const long = distance2(from, to);
    const [nx, ny] = [(-(to[1] - from[1]) * wide) / (2 * long), ((to[0] - from[0]) * wide) / (2 * long)];
    return polygon(
      [
        [from[0] + nx, from[1] + ny],
        [from[0] - nx, from[1] - ny],
        [to[0] - nx, to[1] - ny],
        [to[0] + nx, to[1] + ny],
      ],
      400,
      300,
    );
  };

  it.each([2.5, 8])("of %d px lies in its middle, and not on its flank", (wide) => {
    const [from, to] = [
      [60, 80],
      [330, 190],
    ] as const;
    const picture = stroke(from, to, wide);
    for (const beside of [-6, -3, 0, 3, 6]) {
      const found = settleOnStroke(picture, [80, 88.15 + beside], [310, 181.85 + beside], 12)!;
      expect(Math.max(off(found.a, from, to), off(found.b, from, to))).toBeLessThan(0.3);
      expect(found.width! / wide).toBeCloseTo(1, 0);
    }
    // On the strongest flank alone it is half the stroke off.
    const flank = settle(picture, [80, 88], [310, 182], 12)!;
    expect(off(flank.a, from, to)).toBeGreaterThan(wide / 2 - 0.6);
  });

  it("is where it was where there is an edge and no stroke", () => {
    const edge = settleOnStroke(PICTURE, [80, 45], [310, 70], 8)!;
    expect(edge.width).toBeNull();
    expect(off(edge.a, CORNERS[0], CORNERS[1])).toBeLessThan(0.2);
  });
});

describe("a photo's own edges", () => {
  it.each(["the-corner", "up-the-tower"])(
    "tell the camera of %s, nearer than those that OpenCV finds",
    async (name) => {
      const { grey, truth } = await photo(name);
      const off2 = (edges: readonly Detected[], groups: readonly Grouped[]) => {
        const { focalLength, pitch, roll } = viewFrom(edges, groups, grey);
        return {
          lens: Math.abs(focalLength!.px / truth.focalLength - 1),
          turn: Math.hypot(pitch! - truth.pitch, roll! - truth.roll),
        };
      };
      const edges = detect(grey);
      const groups = groupEdges(edges, grey);
      if (name === "the-corner") expect(groupEdges(edges, grey)).toEqual(groups);
      const ours = off2(edges, groups);
      expect(ours.lens).toBeLessThan(0.004);
      expect(ours.turn).toBeLessThan(0.06);
      const found = await byOpenCv(grey);
      const theirs = off2(found, groupEdges(found, grey));
      expect([ours.lens < theirs.lens, ours.turn < theirs.turn]).toEqual([true, true]);
    },
  );

  it("tell nothing of the lens where the photo faces a wall: its gaze, once the lens is given", async () => {
    const { grey, truth } = await photo("facing-the-house");
    const edges = detect(grey);
    const groups = groupEdges(edges, grey);
    const ahead = groups.find(({ role, members }) => (role === "left" || role === "right") && members.length > 5)!;
    expect(ahead).toBeDefined();
    const { focalLength, lacking } = viewFrom(edges, groups, grey);
    expect([focalLength, lacking]).toEqual([null, expect.stringContaining("One point only")]);
    const held = recoverView(
      familiesOf(
        edges,
        groups.filter(({ role }) => role !== "upright"),
      ),
      { width: grey.width, height: grey.height, level: true, focalLength: truth.focalLength },
    );
    expect(held.lacking).toBeNull();
    // It looks along the level set that runs away from it.
    expect(Math.max(...held.directions.map((d) => d![2]))).toBeGreaterThan(Math.cos((0.3 * Math.PI) / 180));
  });

  it("are not grouped where they go nowhere together", () => {
    const noise = gauss(3);
    const stray = Array.from({ length: 6 }, (_, i) => ({
      a: [200 + 300 * i, 200 + 40 * noise()] as const,
      b: [260 + 300 * i + 90 * noise(), 700 + 200 * noise()] as const,
    }));
    expect(() => groupEdges(stray, { width: 2400, height: 1600 })).toThrow("No edges stand out");
  });
});
