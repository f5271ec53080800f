import { Type, type Static } from "@sinclair/typebox";
import { drawShot } from "@zanvo/core/drawing";
import { fileName, type Shot } from "@zanvo/core/scene";
import { blankGrids } from "@zanvo/core/shot";
import { zipOf } from "./zipOf";
import { SHEET_FORMATS } from "./formats";

/** How blank grids are ordered: the resolution of their PNGs. */
export const GridsSchema = Type.Object(
  { dpi: Type.Number({ minimum: 36, maximum: 1200 }) },
  { additionalProperties: false },
);
export type Grids = Static<typeof GridsSchema>;

/**
 * Blank grids to trace on a shot's sheet and in its panel: every ready system as SVG, PDF and PNG, in one ZIP.
 * @param onFile told after each file, with how many there will be
 * @throws BadInput where the sheet is too large for a PNG of so many dots per inch
 */
export async function blankGridFiles(
  shot: Pick<Shot, "sheet" | "frame">,
  { dpi }: Grids,
  onFile?: (done: number, of: number) => void,
): Promise<Uint8Array> {
  const scene = blankGrids(shot);
  const files: Record<string, Uint8Array> = {};
  for (const [i, { id, name }] of scene.shots.entries()) {
    const drawing = drawShot(scene, id);
    for (const { extension, write } of SHEET_FORMATS) {
      const content = await write(drawing, { dpi });
      files[`${extension}/${String(i + 1).padStart(2, "0")} ${fileName(name)}.${extension}`] =
        typeof content === "string" ? new TextEncoder().encode(content) : content;
      onFile?.(Object.keys(files).length, scene.shots.length * SHEET_FORMATS.length);
    }
  }
  // PNG and PDF are packed already.
  return zipOf(files);
}
