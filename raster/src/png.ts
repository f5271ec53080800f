import sharp, { type Sharp } from "sharp";
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

/** How a drawing is made a picture of dots. */
export interface PngOptions {
  /** Dots per inch of paper. */
  readonly dpi: number;
  readonly jpegs?: Jpegs;
  /** Without paper under the lines. */
  readonly transparent?: boolean;
  /** Cut to the rectangle around the drawing's panels. */
  readonly toPanel?: boolean;
}

/** The px of the panel in a picture of the whole sheet, at least one. */
function panelIn({ panel, width, height }: Drawing, dpi: number) {
  const { x, y, width: w, height: h } = panel ?? { x: 0, y: 0, width, height };
  const px = (mm: number) => Math.round((mm / 25.4) * dpi);
  const [left, top] = [px(x), px(y)];
  return { left, top, width: Math.max(1, px(x + w) - left), height: Math.max(1, px(y + h) - top) };
}

/** @throws BadInput when the picture would be too large, or the resolution is no sensible number */
export function requireDpi(drawing: Pick<Drawing, "width" | "height">, dpi: number): void {
  const most = mostDpi(drawing);
  if (dpi >= MIN_DPI && dpi <= most) return;
  const [width, height] = pixels(drawing, dpi);
  const size = Number.isFinite(dpi)
    ? `would make a picture of ${width.toLocaleString("en")} x ${height.toLocaleString("en")} px`
    : "is no number";
  throw new BadInput([{ path: "dpi", message: `${size}; this sheet takes ${MIN_DPI} to ${most} dpi.` }]);
}

/**
 * A drawing as a PNG, on white unless it is to be transparent, its resolution written into the file.
 * @throws BadInput when the picture would be too large, or the resolution is no sensible number
 */
export const toPng = (drawing: Drawing, options: PngOptions): Promise<Buffer> =>
  inDots(drawing, options).withMetadata({ density: options.dpi }).png().toBuffer();

/** A drawing in dots, on white unless it is to be transparent. @throws BadInput as `toPng` */
export function inDots(drawing: Drawing, { dpi, jpegs, transparent, toPanel }: PngOptions): Sharp {
  const [width, height] = pixels(drawing, dpi);
  requireDpi(drawing, dpi);
  const image = sharp(Buffer.from(toSvgWith(drawing, jpegs)), {
    density: dpi,
    limitInputPixels: false,
    unlimited: true,
  }).resize(width, height, { fit: "fill" });
  const onPaper = transparent ? image : image.flatten({ background: "#ffffff" });
  return toPanel ? onPaper.extract(panelIn(drawing, dpi)) : onPaper;
}
