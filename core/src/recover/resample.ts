import { bowedAt, type Undistorting } from "./bow";
import type { Homography } from "../geometry";

/** A picture's px, four bytes each: red, green, blue, alpha. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray<ArrayBuffer>;
}

/** How a new picture is had from an old one: its size, px, and where each of its places is found in the old one. */
export type Warp = { readonly width: number; readonly height: number; readonly from: Homography } | Undistorting;

/** Where a warp finds a place of the new picture in the old one. */
function finder(warp: Warp): (x: number, y: number) => readonly [number, number] {
  if ("bow" in warp) {
    const { bow, scale } = warp;
    const [cx, cy] = bow.centre;
    return (x, y) => bowedAt(bow, [cx + scale * (x - cx), cy + scale * (y - cy)]);
  }
  const [a, b, c, d, e, f, g, i, j] = warp.from;
  return (x, y) => {
    const k = 1 / (g * x + i * y + j);
    return [(a * x + b * y + c) * k, (d * x + e * y + f) * k];
  };
}

/** A picture taken over by a warp, each new px mixed from the four old ones around it. Places are px centres at .5. */
export function resample({ width: w, height: h, data }: Pixels, warp: Warp): Pixels {
  const { width, height } = warp;
  const out = new Uint8ClampedArray(4 * width * height);
  const find = finder(warp);
  for (let y = 0, o = 0; y < height; y++) {
    for (let x = 0; x < width; x++, o += 4) {
      const [px, py] = find(x + 0.5, y + 0.5);
      const u = Math.min(w - 1, Math.max(0, px - 0.5));
      const v = Math.min(h - 1, Math.max(0, py - 0.5));
      const [x0, y0] = [Math.floor(u), Math.floor(v)];
      const [s, t] = [u - x0, v - y0];
      const p = 4 * (y0 * w + x0);
      const right = x0 + 1 < w ? 4 : 0;
      const below = y0 + 1 < h ? 4 * w : 0;
      for (let n = 0; n < 3; n++) {
        const upper = data[p + n] * (1 - s) + data[p + right + n] * s;
        const lower = data[p + below + n] * (1 - s) + data[p + below + right + n] * s;
        out[o + n] = upper * (1 - t) + lower * t;
      }
      out[o + 3] = 255;
    }
  }
  return { width, height, data: out };
}
