import type { Drawing } from "@zanvo/core/drawing";
import { BadInput } from "@zanvo/core/problem";
import sharp, { type Sharp } from "sharp";
import { inDots, MAX_SIDE, panelOf, type Box, type Ink, type PngOptions } from "./render";

/** A picture in dots: red, green, blue and how far each covers what is under it, a byte each. */
export interface Dots {
  readonly data: Buffer;
  readonly width: number;
  readonly height: number;
}

/** How bright a dot of RGB is, 0 to 255 (Rec. 709's luma (from memory)). */
const brightness = (r: number, g: number, b: number): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** Turns dots to greys, or to black where they are rather dark than bright, and clear or white elsewhere. */
function inked({ data, ...size }: Dots, ink: Ink, transparent: boolean): Dots {
  if (ink === "colour") return { data, ...size };
  for (let i = 0; i < data.length; i += 4) {
    const bright = brightness(data[i], data[i + 1], data[i + 2]);
    if (ink === "grey") {
      data.fill(Math.round(bright), i, i + 3);
      continue;
    }
    const isBlack = (data[i + 3] / 255) * (255 - bright) >= 128;
    data.fill(isBlack || transparent ? 0 : 255, i, i + 3);
    data[i + 3] = isBlack || !transparent ? 255 : 0;
  }
  return { data, ...size };
}

/** The resolution at which a drawing, or its panel, just fits into a picture of so many dots. */
export function dpiFor(drawing: Drawing, { size, dpi, toPanel }: PngOptions): number {
  if (!size) return dpi;
  const { width, height } = toPanel ? panelOf(drawing) : drawing;
  return 25.4 * Math.min(size.width / width, size.height / height);
}

/** @throws BadInput for a size that no picture has */
function requireSize({ width, height }: NonNullable<PngOptions["size"]>): void {
  if ([width, height].every((side) => Number.isInteger(side) && side >= 16 && side <= MAX_SIDE)) return;
  throw new BadInput([{ path: "size", message: `must be two whole numbers from 16 to ${MAX_SIDE}, as 1920x1080.` }]);
}

/**
 * A drawing in dots: at its resolution, or in the middle of a picture of just so many dots.
 * @param part the only part of it that is wanted; not of a picture of just so many dots
 * @throws BadInput as `toPng`
 */
export async function dotsOf(drawing: Drawing, options: PngOptions, part?: Box): Promise<Dots> {
  const { size, transparent = false, ink = "colour" } = options;
  if (size) requireSize(size);
  const dpi = dpiFor(drawing, options);
  const taken = async (image: Sharp) => {
    const { data, info } = await image.ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    return { data, width: info.width, height: info.height };
  };
  const dots = await taken(inDots(drawing, { ...options, dpi }, part));
  if (!size) return inked(dots, ink, transparent);
  const background = transparent ? { r: 0, g: 0, b: 0, alpha: 0 } : "#ffffff";
  const fitted = await taken(raw(dots).resize(size.width, size.height, { fit: "contain", background }));
  return inked(fitted, ink, transparent);
}

const raw = ({ data, width, height }: Dots): Sharp =>
  sharp(data, { raw: { width, height, channels: 4 }, limitInputPixels: false });

/** Dots as a PNG with its resolution; those of black alone take a bit each, or two where some are clear. */
export const packed = (dots: Dots, dpi: number, ink: Ink = "colour"): Sharp => {
  const image = raw(dots).withMetadata({ density: dpi });
  if (ink === "colour") return image.png({ compressionLevel: 3 });
  return ink === "grey" ? image.toColourspace("b-w").png() : image.png({ palette: true, colours: 2, dither: 0 });
};
