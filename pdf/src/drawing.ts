import { layerGroups, type Drawing, type Photo } from "@zanvo/core/drawing";
import { middle, type Rect } from "@zanvo/core/geometry";
import { BadInput } from "@zanvo/core/problem";
import { addPage, MM, MAX_PAGE, newDocument, written, type Doc } from "./page";
import { drawLayer } from "./layers";
import { OptionalContent } from "./optional";

/** A picture under the drawing, cut at its panel. */
function layPhoto(doc: Doc, { at, turn, clip, opacity }: Photo, jpeg: Buffer): void {
  doc
    .save()
    .rect(clip.x * MM, clip.y * MM, clip.width * MM, clip.height * MM)
    .clip()
    .opacity(opacity);
  const [cx, cy] = middle(at);
  doc.rotate(turn, { origin: [cx * MM, cy * MM] });
  doc.image(jpeg, at.x * MM, at.y * MM, { width: at.width * MM, height: at.height * MM }).restore();
}

/** Tells printers where the page is trimmed, and how far it is printed (ISO 32000-1, 14.11.2 (from memory)). */
function pageBoxes(doc: Doc, { height, trim, bleed }: Drawing): void {
  // From the lower left corner of the page.
  const box = ({ x, y, width: w, height: h }: Rect) => [x, height - y - h, x + w, height - y].map((mm) => mm * MM);
  if (trim && bleed) Object.assign(doc.page.dictionary.data, { TrimBox: box(trim), BleedBox: box(bleed) });
}

/**
 * A drawing as a PDF of one page in true millimetres, all of it lines, but for pictures under it.
 * @param jpegs the pictures under the drawing, by what they are called; one that is not there is left out
 * @throws BadInput for a sheet larger than a PDF's page can be
 */
export async function toPdf(drawing: Drawing, jpegs: ReadonlyMap<string, Buffer> = new Map()): Promise<Buffer> {
  const { title, width, height, layers, photos = [] } = drawing;
  if (Math.max(width, height) > MAX_PAGE)
    throw new BadInput([
      { path: "sheet", message: `is larger than a PDF's page can be, which is ${MAX_PAGE} mm; save it as SVG.` },
    ]);
  const doc = newDocument(title);
  return written(doc, () => {
    addPage(doc, width, height);
    pageBoxes(doc, drawing);
    const optional = new OptionalContent(doc);
    for (const photo of photos) {
      const jpeg = jpegs.get(photo.picture);
      if (jpeg) optional.group(photo.name, () => layPhoto(doc, photo, jpeg));
    }
    for (const { name, layers: own } of layerGroups(layers))
      optional.group(name, () => own.forEach((layer) => drawLayer(doc, layer)));
    optional.close();
  });
}
