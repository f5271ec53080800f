import { givenIn, recipeOf } from "@zanvo/core/recipes";
import { inMetric } from "@zanvo/core/units";
import { recipePdf } from "@zanvo/pdf";
import { needed, sceneIn, writeOut, type Call } from "./io";

/** `zanvo recipe`: the steps of a construction, as text on standard output or as a PDF of small pictures. */
export async function recipe(call: Call): Promise<undefined> {
  const wanted = recipeOf(needed(call, "thing"));
  const { shot, of, out } = call.options;
  const given = givenIn(await sceneIn(call), shot, of);
  const steps = wanted.steps(given);
  if (out === undefined) {
    call.io.out(`${wanted.label}\n\n`);
    steps.forEach(({ text }, i) => call.io.out(`${i + 1}. ${inMetric(text)}\n`));
  } else await writeOut(out, await recipePdf(wanted, given));
  return undefined;
}
