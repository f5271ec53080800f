import { checker } from "@zanvo/core/document";
import { drawPage, drawShot, tellMissing, transferred, type Drawing } from "@zanvo/core/drawing";
import { BadInput, NoAnswer } from "@zanvo/core/problem";
import { fileName, frameOn, pageOf, PAPERS, sheetOf, shotOf, type Scene, type Shot } from "@zanvo/core/scene";
import {
  blankGridFiles,
  formatOf,
  GridsSchema,
  howWritten,
  zipOf,
  type Content,
  type DrawingFormat,
} from "@zanvo/files";
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

/** A file of a drawing, and the references whose picture it lacks. */
interface Written {
  readonly title: string;
  readonly content: Content;
  readonly missing: readonly string[];
}

/** A shot, or its page, written as the call wants it. */
async function written(call: Call, format: DrawingFormat, scene: Scene, shot?: string): Promise<Written> {
  const { dpi = "300", page, mirrored, blue, without, by, ink, size, transparent, panel } = call.options;
  const { by: grouping, ...dots } = howWritten({ by, ink, size }, "--");
  const drawn = (page ? drawPage : drawShot)(scene, shot, without?.split(",").filter(Boolean), grouping);
  const drawing = transferred(drawn, { mirrored, blue });
  const jpegs = await photosFor(call, drawing);
  const { drawing: told, missing } = tellMissing(drawing, jpegs);
  const content = await format.write(told, { dpi: Number(dpi), jpegs, transparent, toPanel: panel, ...dots });
  return { title: drawing.title, content, missing };
}

/** Every shot of a scene, or every page by its first panel, in one ZIP. */
async function allWritten(call: Call, format: DrawingFormat, scene: Scene): Promise<Written> {
  const shots = call.options.page ? scene.shots.filter((shot) => pageOf(scene, shot)[0] === shot) : scene.shots;
  const files: Record<string, Uint8Array> = {};
  const missing = new Set<string>();
  for (const [i, shot] of shots.entries()) {
    const one = await written(call, format, scene, shot.id);
    const name = `${String(i + 1).padStart(2, "0")} ${fileName(shot.name)}.${format.extension}`;
    files[name] = typeof one.content === "string" ? Buffer.from(one.content) : one.content;
    one.missing.forEach((reference) => missing.add(reference));
    call.io.err(`${i + 1} of ${shots.length}\n`);
  }
  return { title: scene.title, content: zipOf(files), missing: [...missing] };
}

/** The blank curved grids to trace on a shot's sheet or on a paper, as a ZIP. */
async function exportBlank(call: Call, format: string, out: string): Promise<void> {
  const { shot, dpi = "300", paper } = call.options;
  if (format !== "zip")
    throw new BadInput([
      { path: "--format", message: "must be zip for blank grids: each of them is in it as SVG, PDF and PNG." },
    ]);
  const sheet = blank(shotOf(await sceneIn(call), shot), paper);
  const grids = await blankGridFiles(sheet, fits({ dpi: Number(dpi) }), (done, of) =>
    done === of ? call.io.err(`${of} files\n`) : undefined,
  );
  await writeOut(out, grids);
}

/** `zanvo export`: a shot or all of them as a file, or a ZIP of blank grids to trace on its sheet. */
export async function exportScene(call: Call): Promise<undefined> {
  const format = needed(call, "format");
  const out = needed(call, "out");
  const { tolerance, all, strict, shot } = call.options;
  if (call.options.blank) {
    await exportBlank(call, format, out);
    return undefined;
  }
  const wanted = formatOf(format, "--format");
  const scene = await sceneIn(call);
  if (wanted.of === "masses") {
    const facets = tolerance === undefined ? undefined : Number(tolerance);
    await writeOut(out, await wanted.write(scene, { tolerance: facets }));
    return undefined;
  }
  const { content, missing } = await (all ? allWritten(call, wanted, scene) : written(call, wanted, scene, shot));
  await writeOut(out, content);
  if (missing.length === 0) return undefined;
  const lacking = `The photo under the drawing is missing (${missing.join(", ")}); give it with --photo FILE.`;
  if (strict) throw new NoAnswer(lacking);
  call.io.err(`${lacking}\n`);
  return undefined;
}
