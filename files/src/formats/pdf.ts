import type { DrawingFormat } from "./format";

export const pdf: DrawingFormat = {
  id: "pdf",
  label: "PDF in true millimetres",
  mime: "application/pdf",
  extension: "pdf",
  of: "drawing",
  write: async (drawing, { jpegs }) => (await import("@zanvo/pdf")).toPdf(drawing, jpegs),
};
