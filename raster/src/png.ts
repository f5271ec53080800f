import type { Drawing } from "@zanvo/core/drawing";
import { dotsOf, dpiFor, packed } from "./dots";
import { inDots, type PngOptions } from "./render";

/**
 * A drawing as a PNG, on white unless it is to be transparent, its resolution written into the file.
 * @throws BadInput when the picture would be too large, or the resolution is no sensible number
 */
export async function toPng(drawing: Drawing, options: PngOptions): Promise<Buffer> {
  const { ink = "colour", size, dpi } = options;
  if (ink === "colour" && !size) return inDots(drawing, options).withMetadata({ density: dpi }).png().toBuffer();
  return packed(await dotsOf(drawing, options), dpiFor(drawing, options), ink).toBuffer();
}
