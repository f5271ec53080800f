// Shapes a text with HarfBuzz, the reference for it: the outlines of its glyphs and where each stands, in font units.
// node harfbuzz.mjs FONT.woff TEXT ltr|rtl
import { readFileSync } from "node:fs";
import { inflateSync } from "node:zlib";
import * as hb from "harfbuzzjs";

/** The TrueType or OpenType font in a WOFF file (W3C's WOFF File Format 1.0). */
function sfntOf(woff) {
  const tables = woff.readUInt16BE(12);
  const entries = Array.from({ length: tables }, (_, i) => {
    const at = 44 + 20 * i;
    const [offset, packed, length, sum] = [4, 8, 12, 16].map((k) => woff.readUInt32BE(at + k));
    const raw = woff.subarray(offset, offset + packed);
    return { tag: woff.subarray(at, at + 4), sum, data: packed < length ? inflateSync(raw) : raw };
  });
  const head = Buffer.alloc(12 + 16 * tables);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(tables, 4);
  let at = head.length;
  const bodies = entries.map(({ tag, sum, data }, i) => {
    tag.copy(head, 12 + 16 * i);
    head.writeUInt32BE(sum, 16 + 16 * i);
    head.writeUInt32BE(at, 20 + 16 * i);
    head.writeUInt32BE(data.length, 24 + 16 * i);
    const padded = Buffer.concat([data, Buffer.alloc((4 - (data.length % 4)) % 4)]);
    at += padded.length;
    return padded;
  });
  return Buffer.concat([head, ...bodies]);
}

const [, , file, text, direction] = process.argv;
const sfnt = sfntOf(readFileSync(file));
const font = new hb.Font(new hb.Face(new hb.Blob(sfnt.buffer.slice(sfnt.byteOffset, sfnt.byteOffset + sfnt.length))));
const buffer = new hb.Buffer();
buffer.addText(text);
buffer.guessSegmentProperties();
if (direction === "rtl") buffer.setDirection?.(hb.Direction?.RTL ?? 5);
hb.shape(font, buffer);
const positions = buffer.getGlyphPositions();
const glyphs = buffer
  .getGlyphInfos()
  .map(({ codepoint }, i) => ({ path: font.glyphToPath(codepoint), ...positions[i] }));
process.stdout.write(JSON.stringify(glyphs));
