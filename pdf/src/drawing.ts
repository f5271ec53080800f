import type { Drawing } from "@zanvo/core/drawing";
import { BadInput } from "@zanvo/core/problem";
import { addPage, MOST_PAGE, newDocument, written } from "./page";
import { strokeLayer } from "./strokes";

/**
 * A drawing as a PDF of one page in true millimetres, all of it lines.
 * @throws BadInput for a sheet larger than a PDF's page can be
 */
export async function toPdf(drawing: Drawing): Promise<Buffer> {
  const { title, width, height, layers } = drawing;
  if (Math.max(width, height) > MOST_PAGE) throw new BadInput([{ path: "sheet", message: `is larger than a PDF's page can be, which is ${MOST_PAGE} mm; save it as SVG.` }]);
  const doc = newDocument(title);
  return written(doc, () => {
    addPage(doc, width, height);
    for (const layer of layers) strokeLayer(doc, layer);
  });
}
