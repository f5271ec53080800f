import type { Pixels } from "./resample";

/** A picture's brightness, one byte a px, row by row. */
export interface Grey {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/** The brightness of coloured px: the weights of Rec. 601, in 256ths. */
export function greyOf({ width, height, data }: Pixels, out = new Uint8Array(width * height), at = 0): Grey {
  for (let i = 0, o = at; i < 4 * width * height; i += 4)
    out[o++] = (77 * data[i] + 150 * data[i + 1] + 29 * data[i + 2]) >> 8;
  return { width, height, data: out };
}

/**
 * The picture at one part in `by` of its size, each new px the mean of by x by old ones; what is over at the edges is
 * left.
 */
export function smaller({ width, height, data }: Grey, by: number): Grey {
  if (by === 1) return { width, height, data };
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const out = new Uint8Array(w * h);
  const row = new Uint32Array(w);
  const area = by * by;
  for (let y = 0; y < h; y++) {
    row.fill(0);
    for (let j = 0; j < by; j++) {
      let p = (y * by + j) * width;
      for (let x = 0; x < w; x++) for (let i = 0; i < by; i++) row[x] += data[p++];
    }
    for (let x = 0; x < w; x++) out[y * w + x] = row[x] / area;
  }
  return { width: w, height: h, data: out };
}

/** Brightness at a place between px, whose centres are at .5; -1 outside. */
export function brightness({ width, height, data }: Grey, x: number, y: number): number {
  const [u, v] = [x - 0.5, y - 0.5];
  const [i, j] = [Math.floor(u), Math.floor(v)];
  if (i < 0 || j < 0 || i + 1 >= width || j + 1 >= height) return -1;
  const [s, t, p] = [u - i, v - j, j * width + i];
  return (data[p] * (1 - s) + data[p + 1] * s) * (1 - t) + (data[p + width] * (1 - s) + data[p + width + 1] * s) * t;
}
