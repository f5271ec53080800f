import { BadInput } from "@zanvo/core/problem";
import { dxf } from "./dxf";
import type { DrawingFormat, Format } from "./format";
import { geojson } from "./geojson";
import { gltf } from "./gltf";
import { obj } from "./obj";
import { ora } from "./ora";
import { pdf } from "./pdf";
import { png } from "./png";
import { pngSet } from "./pngSet";
import { svg } from "./svg";
export type { Content, DrawingFormat, DrawingOptions, Format, MassesFormat } from "./format";

/** Every format that a drawing or the masses of a scene can be written as. */
export const FORMATS: readonly Format[] = [svg, pdf, png, ora, pngSet, dxf, obj, gltf, geojson];

/** Those that a sheet of blank grids is written as. */
export const SHEET_FORMATS: readonly DrawingFormat[] = [svg, pdf, png];

/** A format by its id. @throws BadInput for one that there is not, under the path of what asked for it */
export function formatOf(id: string, path: string): Format {
  const format = FORMATS.find((one) => one.id === id);
  if (format) return format;
  throw new BadInput([{ path, message: `must be one of: ${FORMATS.map((one) => one.id).join(", ")}.` }]);
}
