import type { DrawingFormat } from "./format";

/** OpenRaster: every layer as a picture of its own, for programs that paint. */
export const ora: DrawingFormat = {
  id: "ora",
  label: "OpenRaster, in layers",
  mime: "image/openraster",
  extension: "ora",
  of: "drawing",
  dots: true,
  write: async (drawing, options) => (await import("@zanvo/raster")).toOra(drawing, options),
};
