import type { DrawingFormat } from "./format";

export const png: DrawingFormat = {
  id: "png",
  label: "PNG",
  mime: "image/png",
  extension: "png",
  of: "drawing",
  dots: true,
  write: async (drawing, options) => (await import("@zanvo/raster")).toPng(drawing, options),
};
