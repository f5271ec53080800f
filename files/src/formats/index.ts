import { BadInput } from "@zanvo/core/problem";
import type { DrawingFormat, Format } from "./format";
import { geojson } from "./geojson";
import { obj } from "./obj";
import { pdf } from "./pdf";
import { png } from "./png";
import { svg } from "./svg";
export type { Content, DrawingFormat, DrawingOptions, Format, MassesFormat } from "./format";

/** Every format that a drawing or the masses of a scene can be written as. */
export const FORMATS: readonly Format[] = [svg, pdf, png, obj, geojson];

export const DRAWING_FORMATS: readonly DrawingFormat[] = FORMATS.filter((format) => format.of === "drawing");

/** A format by its id. @throws BadInput for one that there is not, under the path of what asked for it */
export function formatOf(id: string, path: string): Format {
  const format = FORMATS.find((one) => one.id === id);
  if (format) return format;
  throw new BadInput([{ path, message: `must be one of: ${FORMATS.map((one) => one.id).join(", ")}.` }]);
}
