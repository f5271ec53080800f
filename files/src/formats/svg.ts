import type { DrawingFormat } from "./format";

export const svg: DrawingFormat = {
  id: "svg",
  label: "SVG in true millimetres",
  mime: "image/svg+xml",
  extension: "svg",
  of: "drawing",
  write: async (drawing, { jpegs }) => (await import("@zanvo/raster")).toSvgWith(drawing, jpegs),
};
