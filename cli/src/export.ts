import { checker } from "@zanvo/core/document";
import { drawPage, drawShot, tellMissing, transferred, type Drawing } from "@zanvo/core/drawing";
import { BadInput, NoAnswer } from "@zanvo/core/problem";
import { frameOn, PAPERS, sheetOf, shotOf, type Shot } from "@zanvo/core/scene";
import { blankGridFiles, formatOf, GridsSchema } from "@zanvo/files";
import { jpegOf, type Jpegs } from "@zanvo/raster";
import { bytesIn, needed, sceneIn, writeOut, type Call } from "./io";

const fits = checker(GridsSchema);

/** The sheet and panel that blank grids are drawn on: the shot's, or a standard paper landscape. */
function blank(shot: Shot, id?: string): Pick<Shot, "sheet" | "frame"> {
  if (id === undefined) return shot;
  const paper = PAPERS.find((one) => one.id === id);
  if (!paper)
    throw new BadInput([{ path: "--paper", message: `must be one of: ${PAPERS.map((one) => one.id).join(", ")}.` }]);
  const sheet = sheetOf(paper, true);
  return { sheet, frame: frameOn(sheet) };
}

/** The picture that lies under a drawing, from the file that the call names; a scene's own file does not hold it. */
async function photosFor(call: Call, { photos = [] }: Drawing): Promise<Jpegs> {
  const { photo } = call.options;
  if (photo === undefined) return new Map();
  if (photos.length === 0)
    throw new BadInput([{ path: "--photo", message: "is given, but no photo lies under this drawing." }]);
  const jpeg = await jpegOf(await bytesIn({ ...call, file: photo }));
  return new Map(photos.map(({ picture }) => [picture, jpeg]));
}

/** `zanvo export`: a shot as a file, or as a ZIP of blank grids to trace on its sheet. */
export async function exportScene(call: Call): Promise<undefined> {
  const format = needed(call, "format");
  const out = needed(call, "out");
  const { shot, dpi = "300", paper, tolerance } = call.options;
  if (call.options.blank) {
    if (format !== "zip")
      throw new BadInput([
        { path: "--format", message: "must be zip for blank grids: each of them is in it as SVG, PDF and PNG." },
      ]);
    const sheet = blank(shotOf(await sceneIn(call), shot), paper);
    await writeOut(
      out,
      await blankGridFiles(sheet, fits({ dpi: Number(dpi) }), (done, of) =>
        done === of ? call.io.err(`${of} files\n`) : undefined,
      ),
    );
    return undefined;
  }
  const wanted = formatOf(format, "--format");
  if (wanted.of === "masses") {
    await writeOut(
      out,
      await wanted.write(await sceneIn(call), { tolerance: tolerance === undefined ? undefined : Number(tolerance) }),
    );
    return undefined;
  }
  const draw = call.options.page ? drawPage : drawShot;
  const { mirrored, blue } = call.options;
  const drawn = draw(await sceneIn(call), shot, call.options.without?.split(",").filter(Boolean));
  const drawing = transferred(drawn, { mirrored, blue });
  const jpegs = await photosFor(call, drawing);
  const { drawing: told, missing } = tellMissing(drawing, jpegs);
  await writeOut(
    out,
    await wanted.write(told, {
      dpi: Number(dpi),
      jpegs,
      transparent: call.options.transparent,
      toPanel: call.options.panel,
    }),
  );
  if (missing.length === 0) return undefined;
  const lacking = `The photo under the drawing is missing (${missing.join(", ")}); give it with --photo FILE.`;
  if (call.options.strict) throw new NoAnswer(lacking);
  call.io.err(`${lacking}\n`);
  return undefined;
}
