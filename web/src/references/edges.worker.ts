import { expose } from "comlink";
import type { Vec2 } from "@zanvo/core/geometry";
import {
  detect,
  follow,
  greyOf,
  groupEdges,
  settle,
  settleOnStroke,
  type Detected,
  type Grey,
  type Grouped,
  type OnStroke,
  type Settled,
} from "@zanvo/core/recover";
import { NoAnswer } from "@zanvo/core/problem";

/** Colours are read so many rows at a time: all of a large picture at once would take four times its memory. */
const ROWS = 512;

let opened: Promise<Grey> | null = null;

async function read(picture: Blob): Promise<Grey> {
  const bitmap = await createImageBitmap(picture);
  const { width, height } = bitmap;
  const pen = new OffscreenCanvas(width, ROWS).getContext("2d", { willReadFrequently: true });
  if (!pen) throw new Error("This browser cannot work on pictures in the background.");
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y += ROWS) {
    const rows = Math.min(ROWS, height - y);
    pen.drawImage(bitmap, 0, -y);
    greyOf(pen.getImageData(0, 0, width, rows), data, y * width);
  }
  bitmap.close();
  return { width, height, data };
}

/** Edges found in a picture, and the sets they make. */
export interface Found {
  readonly edges: readonly Detected[];
  readonly groups: readonly Grouped[];
}

const api = {
  /** Takes a picture in, to be worked on. */
  async open(picture: Blob): Promise<void> {
    opened = read(picture);
    await opened;
  },
  /** The strongest edge within reach of a line. */
  async settle(a: Vec2, b: Vec2, reach: number): Promise<Settled | null> {
    return opened && settle(await opened, a, b, reach);
  },
  /** The middle of the strongest stroke within reach of a line. */
  async settleOnStroke(a: Vec2, b: Vec2, reach: number): Promise<OnStroke | null> {
    return opened && settleOnStroke(await opened, a, b, reach);
  },
  /** Places along a bowed edge, laid on it. */
  async follow(places: readonly Vec2[], reach: number): Promise<readonly Vec2[]> {
    const grey = await opened;
    return grey ? follow(grey, places, reach) : places;
  },
  /** All edges of the picture by set. @param tell told how much is done, 0 to 1 */
  async find(tell: (share: number) => void): Promise<Found> {
    const grey = await opened;
    if (!grey) throw new Error("The picture is not there yet.");
    const edges = detect(grey, tell);
    try {
      return { edges, groups: groupEdges(edges, grey) };
    } catch (error) {
      if (error instanceof NoAnswer) return { edges, groups: [] };
      throw error;
    }
  },
};

export type EdgesWorker = typeof api;
expose(api);
