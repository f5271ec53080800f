import type { DrawingFormat } from "./format";

export const dxf: DrawingFormat = {
  id: "dxf",
  label: "DXF in true millimetres",
  mime: "image/vnd.dxf",
  extension: "dxf",
  of: "drawing",
  write: async (drawing) => (await import("@zanvo/core/drawing")).toDxf(drawing),
};
