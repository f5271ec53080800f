import type { Straightening } from "./straighten";

/** A picture's px, four bytes each: red, green, blue, alpha. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray<ArrayBuffer>;
}

/** A picture taken over by a homography, each new px mixed from the four old ones around it. Places are px centres at .5. */
export function resample({ width: w, height: h, data }: Pixels, { from, width, height }: Pick<Straightening, "from" | "width" | "height">): Pixels {
  const out = new Uint8ClampedArray(4 * width * height);
  const [a, b, c, d, e, f, g, i, j] = from;
  for (let y = 0, o = 0; y < height; y++) {
    for (let x = 0; x < width; x++, o += 4) {
      const [px, py] = [x + 0.5, y + 0.5];
      const k = 1 / (g * px + i * py + j);
      const u = Math.min(w - 1, Math.max(0, (a * px + b * py + c) * k - 0.5));
      const v = Math.min(h - 1, Math.max(0, (d * px + e * py + f) * k - 0.5));
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
