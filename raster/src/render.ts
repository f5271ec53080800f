import sharp, { type Sharp } from "sharp";
import { toSvg, type Drawing } from "@zanvo/core/drawing";
import type { Rect } from "@zanvo/core/geometry";
import { BadInput } from "@zanvo/core/problem";

/** The longest side a picture may have, in px: the limit of the rasteriser. */
export const MAX_SIDE = 32_767;
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

/** With what a picture is printed: colours, greys, or black alone. */
export type Ink = "colour" | "grey" | "black";

/** How a drawing is made a picture of dots. */
export interface PngOptions {
  /** Dots per inch of paper. */
  readonly dpi: number;
  readonly jpegs?: Jpegs;
  /** Without paper under the lines. */
  readonly transparent?: boolean;
  /** Cut to the rectangle around the drawing's panels. */
  readonly toPanel?: boolean;
  /** With what it is printed; colours where nothing is said. */
  readonly ink?: Ink;
  /** Just so many dots, into which the drawing is fitted, instead of a resolution. */
  readonly size?: { readonly width: number; readonly height: number };
}

/** The rectangle around a drawing's panels, mm: its whole sheet where it has none. */
export const panelOf = ({ panel, width, height }: Drawing): Rect => panel ?? { x: 0, y: 0, width, height };

/** The px of the panel in a picture of the whole sheet, at least one. */
function panelIn(drawing: Drawing, dpi: number) {
  const { x, y, width: w, height: h } = panelOf(drawing);
  const px = (mm: number) => Math.round((mm / 25.4) * dpi);
  const [left, top] = [px(x), px(y)];
  return { left, top, width: Math.max(1, px(x + w) - left), height: Math.max(1, px(y + h) - top) };
}

/** @throws BadInput when the picture would be too large, or the resolution is no sensible number */
export function requireDpi(drawing: Pick<Drawing, "width" | "height">, { dpi, size }: PngOptions): void {
  const most = mostDpi(drawing);
  // A picture of just so many dots may be as coarse as it is small.
  if (dpi >= (size ? 0 : MIN_DPI) && dpi <= most) return;
  const [width, height] = pixels(drawing, dpi);
  const told = Number.isFinite(dpi)
    ? `would make a picture of ${width.toLocaleString("en")} x ${height.toLocaleString("en")} px`
    : "is no number";
  throw new BadInput([{ path: "dpi", message: `${told}; this sheet takes ${MIN_DPI} to ${most} dpi.` }]);
}

/** A rectangle of a picture, px. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/**
 * A drawing in dots, on white unless it is to be transparent.
 * @param part the only part of the picture that is wanted: no more of it is drawn
 * @throws BadInput as `toPng`
 */
export function inDots(drawing: Drawing, options: PngOptions, part?: Box): Sharp {
  const { dpi, jpegs, transparent, toPanel } = options;
  const [width, height] = pixels(drawing, dpi);
  requireDpi(drawing, options);
  const image = sharp(Buffer.from(toSvgWith(drawing, jpegs)), {
    density: dpi,
    limitInputPixels: false,
    unlimited: true,
  }).resize(width, height, { fit: "fill" });
  const onPaper = transparent ? image : image.flatten({ background: "#ffffff" });
  if (!part) return toPanel ? onPaper.extract(panelIn(drawing, dpi)) : onPaper;
  const { left, top } = toPanel ? panelIn(drawing, dpi) : { left: 0, top: 0 };
  return onPaper.extract({ ...part, left: left + part.left, top: top + part.top });
}

/** The size of a picture of a drawing, or of its panel, px. */
export function pictureSize(drawing: Drawing, { dpi, toPanel }: PngOptions): Pick<Box, "width" | "height"> {
  const [width, height] = pixels(drawing, dpi);
  return toPanel ? panelIn(drawing, dpi) : { width, height };
}

/**
 * The part of a picture that something drawn takes, with half its stroke and a dot around it; null where none of it.
 */
export function boxAround(
  drawing: Drawing,
  options: PngOptions,
  { x, y, width, height }: Rect,
  stroke: number,
): Box | null {
  const picture = pictureSize(drawing, options);
  const origin = options.toPanel ? panelOf(drawing) : { x: 0, y: 0 };
  const px = (mm: number) => (mm / 25.4) * options.dpi;
  const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const [left, top] = [
    clamp(Math.floor(px(x - origin.x - stroke / 2)) - 1, picture.width),
    clamp(Math.floor(px(y - origin.y - stroke / 2)) - 1, picture.height),
  ];
  const right = clamp(Math.ceil(px(x + width - origin.x + stroke / 2)) + 1, picture.width);
  const bottom = clamp(Math.ceil(px(y + height - origin.y + stroke / 2)) + 1, picture.height);
  return right > left && bottom > top ? { left, top, width: right - left, height: bottom - top } : null;
}
