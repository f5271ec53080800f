import type { DrawingFormat } from "./format";

/** A PNG for each layer, clear where nothing is drawn. */
export const pngSet: DrawingFormat = {
  id: "png-set",
  label: "PNG for each layer",
  mime: "application/zip",
  extension: "zip",
  of: "drawing",
  dots: true,
  write: async (drawing, options) => (await import("@zanvo/raster")).toPngSet(drawing, options),
};
