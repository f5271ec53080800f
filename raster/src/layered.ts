import { layerGroups, type Drawing } from "@zanvo/core/drawing";
import { strToU8, zipSync, type Zippable } from "fflate";
import { dotsOf, dpiFor, packed, type Dots } from "./dots";
import { boxAround, requireDpi, type Box, type PngOptions } from "./render";

/** A layer of a drawing as a picture: what it is called, and where its picture lies, px. */
interface LayerPicture {
  readonly name: string;
  readonly png: Buffer;
  readonly x: number;
  readonly y: number;
}

/** Room for what curves leave their chords by, mm. */
const CURVED = 0.2;

/** The longest side of the small picture in an OpenRaster file, px (its baseline). */
const THUMBNAIL = 256;

/** A drawing fallen apart into one for each group of its layers, and for each picture under it, from the bottom up. */
const partsOf = (drawing: Drawing): readonly { readonly name: string; readonly part: Drawing }[] => [
  ...(drawing.photos ?? []).map((photo) => ({ name: photo.name, part: { ...drawing, layers: [], photos: [photo] } })),
  ...layerGroups(drawing.layers).map(({ name, layers }) => ({ name, part: { ...drawing, layers, photos: [] } })),
];

/** The rectangle of dots that are not clear; null where all are. */
function drawnPart({ data, width, height }: Dots) {
  const dots = new Uint32Array(data.buffer, data.byteOffset, width * height);
  const isEmpty = (row: number) => dots.subarray(row * width, (row + 1) * width).every((dot) => dot === 0);
  let [top, bottom] = [0, height - 1];
  while (top < height && isEmpty(top)) top++;
  if (top === height) return null;
  while (isEmpty(bottom)) bottom--;
  let [left, right] = [width, -1];
  for (let row = top; row <= bottom; row++) {
    const line = dots.subarray(row * width, (row + 1) * width);
    for (let x = 0; x < left; x++) if (line[x] !== 0) left = x;
    for (let x = width - 1; x > right; x--) if (line[x] !== 0) right = x;
  }
  return { left, top, width: right - left + 1, height: bottom - top + 1 };
}

/**
 * The part of its picture that a drawing may take; null where it takes none, and all of it where a photo lies in it.
 */
function partDrawn(part: Drawing, options: PngOptions): Box | null | undefined {
  if (part.photos?.length) return undefined;
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { lines, curves, areas } of part.layers)
    for (const xy of [lines, curves?.xy, areas?.xy])
      for (let i = 0; xy && i < xy.length; i += 2) {
        [x0, x1] = [Math.min(x0, xy[i]), Math.max(x1, xy[i])];
        [y0, y1] = [Math.min(y0, xy[i + 1]), Math.max(y1, xy[i + 1])];
      }
  if (x1 < x0) return null;
  const stroke = Math.max(...part.layers.map(({ style }) => style.width));
  // Between their vertices curves leave their chords by less than a tenth of a mm.
  return boxAround(part, options, { x: x0, y: y0, width: x1 - x0, height: y1 - y0 }, stroke + CURVED);
}

/** The pictures of the layers, cut to what is drawn on each; layers with nothing on them are left out. */
async function picturesOf(drawing: Drawing, options: PngOptions): Promise<LayerPicture[]> {
  const dpi = dpiFor(drawing, options);
  const out: LayerPicture[] = [];
  for (const { name, part } of partsOf(drawing)) {
    const within = options.size ? undefined : partDrawn(part, { ...options, dpi });
    if (within === null) continue;
    const dots = await dotsOf(part, { ...options, transparent: true }, within);
    const box = drawnPart(dots);
    if (!box) continue;
    const png = await packed(dots, dpi, options.ink).extract(box).toBuffer();
    out.push({ name, png, x: box.left + (within?.left ?? 0), y: box.top + (within?.top ?? 0) });
  }
  return out;
}

const ESCAPES: Readonly<Record<string, string>> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" };
const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => ESCAPES[c]);

/**
 * A drawing as an OpenRaster file: every layer as a picture of its own, named, the topmost first in its stack
 * (OpenRaster baseline 0.0.3, from memory).
 * @throws BadInput when the picture would be too large, or the resolution is no sensible number
 */
export async function toOra(drawing: Drawing, options: PngOptions): Promise<Uint8Array> {
  const dpi = dpiFor(drawing, options);
  requireDpi(drawing, { ...options, dpi });
  const pictures = await picturesOf(drawing, options);
  const dots = await dotsOf(drawing, options);
  const { width, height } = dots;
  const merged = await packed(dots, dpi, options.ink).toBuffer();
  const thumbnail = await packed(dots, dpi).resize(THUMBNAIL, THUMBNAIL, { fit: "inside" }).toBuffer();
  const perInch = Math.round(dpi);
  const rows = pictures.map(
    ({ name, x, y }, i) =>
      `    <layer name="${escaped(name)}" src="data/layer${i}.png" x="${x}" y="${y}" opacity="1.0" ` +
      `visibility="visible" composite-op="svg:src-over"/>`,
  );
  const stack = [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<image version="0.0.3" w="${width}" h="${height}" xres="${perInch}" yres="${perInch}">`,
    "  <stack>",
    ...rows.reverse(),
    "  </stack>",
    "</image>",
    "",
  ].join("\n");
  // PNGs are packed already; the type comes first, as it is.
  const files: Zippable = {
    mimetype: [strToU8("image/openraster"), { level: 0 }],
    "stack.xml": strToU8(stack),
    ...Object.fromEntries(pictures.map(({ png }, i) => [`data/layer${i}.png`, [png, { level: 0 }] as const])),
    "Thumbnails/thumbnail.png": [thumbnail, { level: 0 }],
    "mergedimage.png": [merged, { level: 0 }],
  };
  return zipSync(files);
}

/** What stands in no name of a file. */
const plainName = (name: string): string => name.replace(/[^\p{L}\p{N},.'()-]+/gu, " ").trim() || "Layer";

/** A drawing as a PNG for each of its layers, all of one size and clear where nothing is drawn, in a ZIP. */
export async function toPngSet(drawing: Drawing, options: PngOptions): Promise<Uint8Array> {
  const dpi = dpiFor(drawing, options);
  requireDpi(drawing, { ...options, dpi });
  const files: Zippable = {};
  for (const [i, { name, part }] of partsOf(drawing).entries()) {
    const png = await packed(await dotsOf(part, { ...options, transparent: true }), dpi, options.ink).toBuffer();
    files[`${String(i + 1).padStart(2, "0")} ${plainName(name)}.png`] = [png, { level: 0 }];
  }
  return zipSync(files);
}
