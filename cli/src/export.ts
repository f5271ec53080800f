import { drawPage, drawShot, toSvg, type Drawing } from "@zanvo/core/drawing";
import { BadInput } from "@zanvo/core/problem";
import { toPdf } from "@zanvo/pdf";
import { toPng } from "@zanvo/raster";
import { needed, sceneIn, writeOut, type Call } from "./io";

type Writer = (drawing: Drawing, dpi: number) => string | Promise<Buffer>;
const FORMATS: Readonly<Record<string, Writer>> = { svg: (drawing) => toSvg(drawing), png: toPng, pdf: toPdf };

/** `zanvo export`: a shot as a file. */
export async function exportScene(call: Call): Promise<undefined> {
  const format = needed(call, "format");
  const out = needed(call, "out");
  if (!Object.hasOwn(FORMATS, format)) throw new BadInput([{ path: "--format", message: `must be one of: ${Object.keys(FORMATS).join(", ")}.` }]);
  const draw = call.options.page ? drawPage : drawShot;
  const drawing = draw(await sceneIn(call), call.options.shot, call.options.without?.split(",").filter(Boolean));
  const content = await FORMATS[format](drawing, Number(call.options.dpi ?? 300));
  await writeOut(out, content);
  return undefined;
}
