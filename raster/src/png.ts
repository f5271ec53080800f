import sharp from "sharp";
import { toSvg, type Drawing } from "@zanvo/core/drawing";
import { BadInput } from "@zanvo/core/problem";

/** The longest side a picture may have, in px: the limit of the rasteriser. */
const MAX_SIDE = 32_767;
/** The most px a picture may have. */
const MAX_AREA = 150_000_000;
const MIN_DPI = 36;

/** The size of a sheet in px at a resolution. */
const pixels = (drawing: Pick<Drawing, "width" | "height">, dpi: number): readonly [number, number] => {
  const [w, h] = [drawing.width, drawing.height].map((mm) => Math.max(1, Math.round((mm / 25.4) * dpi)));
  return [w, h];
};

/** The finest resolution, in whole dpi, at which a sheet still makes a picture. */
function mostDpi({ width, height }: Pick<Drawing, "width" | "height">): number {
  const bySide = (MAX_SIDE * 25.4) / Math.max(width, height);
  const byArea = 25.4 * Math.sqrt(MAX_AREA / (width * height));
  return Math.floor(Math.min(bySide, byArea));
}

/** JPEGs of the pictures under a drawing, by what they are called. */
export type Jpegs = ReadonlyMap<string, Buffer>;

/** A drawing as an SVG with the pictures under it in the file itself. */
export const toSvgWith = (drawing: Drawing, jpegs: Jpegs = new Map()): string =>
  toSvg(
    drawing,
    1,
    new Map([...jpegs].map(([name, bytes]) => [name, `data:image/jpeg;base64,${bytes.toString("base64")}`])),
  );

/**
 * A drawing as a PNG on white, its resolution written into the file.
 * @param dpi dots per inch of paper
 * @throws BadInput when the picture would be too large, or the resolution is no sensible number
 */
export async function toPng(drawing: Drawing, dpi: number, jpegs?: Jpegs): Promise<Buffer> {
  const [width, height] = pixels(drawing, dpi);
  const most = mostDpi(drawing);
  if (!(dpi >= MIN_DPI && dpi <= most)) {
    const size = Number.isFinite(dpi)
      ? `would make a picture of ${width.toLocaleString("en")} x ${height.toLocaleString("en")} px`
      : "is no number";
    throw new BadInput([{ path: "dpi", message: `${size}; this sheet takes ${MIN_DPI} to ${most} dpi.` }]);
  }
  return sharp(Buffer.from(toSvgWith(drawing, jpegs)), { density: dpi, limitInputPixels: false, unlimited: true })
    .resize(width, height, { fit: "fill" })
    .flatten({ background: "#ffffff" })
    .withMetadata({ density: dpi })
    .png()
    .toBuffer();
}
