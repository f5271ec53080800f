import PDFDocument from "pdfkit";
import { registerFonts } from "./words";

export type Doc = PDFKit.PDFDocument;

/** One millimetre in PDF's points of 1/72 inch. */
export const MM = 72 / 25.4;

/**
 * PDF's own limit: a page is at most 14,400 points, which is 200 inches, wide or tall (ISO 32000-1, annex C (from
 * memory)).
 */
export const MAX_PAGE = 5080;

/** Optional content needs 1.5, transparency 1.4 (ISO 32000-1, 8.11 and 11.1 (from memory)); its own is this. */
const VERSION = "1.7";

/** A document without pages yet, its typefaces known. */
export function newDocument(title: string): Doc {
  const doc = new PDFDocument({
    pdfVersion: VERSION,
    autoFirstPage: false,
    margin: 0,
    info: { Title: title, Creator: "Zanvo" },
  });
  registerFonts(doc);
  return doc;
}

/** A new page of a size in mm. */
export const addPage = (doc: Doc, width: number, height: number): Doc =>
  doc.addPage({ size: [width * MM, height * MM], margin: 0 });

/** All of a document's bytes, once what writes it has run. */
export async function written(doc: Doc, write: () => void | Promise<void>): Promise<Buffer> {
  const parts: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on("data", (part: Buffer) => parts.push(part));
    doc.on("end", () => resolve(Buffer.concat(parts)));
    doc.on("error", reject);
  });
  await write();
  doc.end();
  return done;
}

/** A straight line; places and width in mm. */
export const line = (doc: Doc, x1: number, y1: number, x2: number, y2: number, width: number, colour: string): Doc =>
  doc
    .lineWidth(width * MM)
    .strokeColor(colour)
    .moveTo(x1 * MM, y1 * MM)
    .lineTo(x2 * MM, y2 * MM)
    .stroke();
