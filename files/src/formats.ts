import type { Drawing } from "@zanvo/core/drawing";
import { toGeoJson, toObj } from "@zanvo/core/exchange";
import { BadInput } from "@zanvo/core/problem";
import type { Scene } from "@zanvo/core/scene";
import { toPdf } from "@zanvo/pdf";
import { toPng, toSvgWith, type Jpegs } from "@zanvo/raster";

/** Writes a drawing, with those of the pictures under it that are there. */
type Writer = (drawing: Drawing, dpi: number, jpegs?: Jpegs) => string | Promise<Buffer>;

/** What a drawing can be written as; only a PNG asks for its dots per inch. */
export const FORMATS: Readonly<Record<string, Writer>> = {
  svg: (drawing, _, jpegs) => toSvgWith(drawing, jpegs),
  png: toPng,
  pdf: (drawing, _, jpegs) => toPdf(drawing, jpegs),
};

/** What the masses of a scene can be written as, without any view. */
export const MASSES: Readonly<Record<string, (scene: Scene) => string>> = {
  obj: toObj,
  geojson: (scene) => `${JSON.stringify(toGeoJson(scene))}\n`,
};

/** The writer of a format. @throws BadInput for any other, under the path of what asked for it */
export function writerOf(format: string, path: string): Writer {
  if (!Object.hasOwn(FORMATS, format))
    throw new BadInput([
      { path, message: `must be one of: ${[...Object.keys(FORMATS), ...Object.keys(MASSES)].join(", ")}.` },
    ]);
  return FORMATS[format];
}
