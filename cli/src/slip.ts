import { BadInput } from "@zanvo/core/problem";
import { shotOf } from "@zanvo/core/scene";
import { slipText } from "@zanvo/core/slip";
import { slipPdf } from "@zanvo/pdf";
import { sceneIn, writeOut, type Call } from "./io";

/** `zanvo slip`: a shot's set-up sheet, as plain text on standard output or as a PDF in a file. */
export async function slip(call: Call): Promise<undefined> {
  const every = Number(call.options.every ?? 10);
  if (!(every >= 1 && every <= 500)) throw new BadInput([{ path: "--every", message: "must be from 1 to 500 mm." }]);
  const scene = await sceneIn(call);
  const shot = shotOf(scene, call.options.shot);
  const { out, page } = call.options;
  if (out === undefined) call.io.out(slipText(scene, shot, every, "metric", page));
  else await writeOut(out, await slipPdf(scene, shot, every, "metric", page));
  return undefined;
}
