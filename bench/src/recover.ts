import cv from "@techstark/opencv-js";
import { detect, groupEdges, normOf, recoverPoint, recoverView, type Grey, type Segment } from "@zanvo/core/recover";
import sharp from "sharp";
import { medians, row, seeded } from "./timing";

/** Edges to a point of a 4,000 x 3,000 px picture, traced by a hand of about 1 px, every tenth a stray. */
function fan([vx, vy]: readonly [number, number], n: number, seed: number): Segment[] {
  const random = seeded(seed);
  return Array.from({ length: n }, (_, i) => {
    const [x, y] = [4000 * random(), 3000 * random()];
    const turn = i % 10 === 9 ? 0.4 : 0;
    const a = Math.atan2(vy - y, vx - x) + turn;
    const end = (k: number) =>
      [x + k * Math.cos(a) + 2 * random() - 1, y + k * Math.sin(a) + 2 * random() - 1] as const;
    return { a: end(-150), b: end(150) };
  });
}

/** One point from 10,000 edges, and the whole view from 200 in three families. */
export function recovering(): void {
  const size = { width: 4000, height: 3000 };
  const many = fan([6200, 900], 10_000, 3);
  const families = (
    [
      [-2900, 1200],
      [7600, 1000],
      [2100, 9000],
    ] as const
  ).map((v, i) => ({
    name: String(i),
    role: i < 2 ? ("horizontal" as const) : ("upright" as const),
    segments: fan(v, 67, 10 + i),
  }));
  const [point, view] = medians(
    [() => void recoverPoint(many, normOf(size)), () => void recoverView(families, size)],
    7,
  );
  row("a vanishing point from 10,000 edges", `${point.toFixed(1)} ms`, "under 50 ms");
  row("points and view from 200 edges in three families", `${view.toFixed(1)} ms`, "under 30 ms");
}

/** The demo's photo at 12 megapixels, as brightness. */
async function photo(): Promise<Grey> {
  const { data, info } = await sharp(new URL("../../demo/photos/the-corner.jpg", import.meta.url).pathname)
    .resize(4243, 2828)
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}

/** Edges of 12 megapixels found and grouped, against OpenCV's Canny and HoughLinesP on as many px. */
export async function detecting(): Promise<void> {
  const grey = await photo();
  // The module has a `then` of its own that never settles.
  if (typeof (cv as { Mat?: unknown }).Mat !== "function")
    await new Promise<void>((resolve) => {
      cv.onRuntimeInitialized = resolve;
    });
  const source = new cv.Mat(grey.height, grey.width, cv.CV_8UC1);
  source.data.set(grey.data);
  const [edges, lines] = [new cv.Mat(), new cv.Mat()];
  const [ours, theirs] = medians(
    [
      () => void groupEdges(detect(grey), grey),
      () => {
        cv.Canny(source, edges, 50, 150, 3, false);
        cv.HoughLinesP(edges, lines, 1, Math.PI / 720, 60, 0.02 * grey.width, 4);
      },
    ],
    5,
  );
  row(
    "edges of 12 megapixels found and grouped",
    `${ours.toFixed(0)} ms, OpenCV's Canny and Hough ${theirs.toFixed(0)} ms`,
    "under 2,000 ms",
  );
}
