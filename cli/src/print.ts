import { checker } from "@zanvo/core/document";
import { DEFAULT_TILING, TilingSchema } from "@zanvo/core/print";
import { printOf, toTiles } from "@zanvo/pdf";
import { needed, sceneIn, writeOut, type Call } from "./io";

const fits = checker(TilingSchema);

/** `zanvo print`: a shot's desk, its enlarged grid or a view finder at true size on many sheets, as a PDF. */
export async function print(call: Call): Promise<undefined> {
  const out = needed(call, "out");
  const { shot, paper = DEFAULT_TILING.paper, overlap, margin, tiles, of, times, width } = call.options;
  const tiling = fits({
    ...DEFAULT_TILING,
    paper,
    overlap: Number(overlap ?? DEFAULT_TILING.overlap),
    margin: Number(margin ?? DEFAULT_TILING.margin),
    ...(of === undefined ? {} : { of }),
    ...(times === undefined ? {} : { times: Number(times) }),
    ...(width === undefined ? {} : { width: Number(width) }),
    ...(tiles === undefined ? {} : { only: tiles.split(",").filter(Boolean) }),
  });
  const content = await toTiles(printOf(await sceneIn(call), shot, tiling), {
    onPage: (done, of) => (done === of ? call.io.err(`${of} sheets of ${paper}\n`) : undefined),
  });
  await writeOut(out, content);
  return undefined;
}
