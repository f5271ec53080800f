import { findings, seenFindings, toldOf } from "@zanvo/core/checks";
import { checkDrawn } from "@zanvo/core/recover";
import { shotOf } from "@zanvo/core/scene";
import { inMetric } from "@zanvo/core/units";
import { sceneIn, type Call } from "./io";

/**
 * `zanvo check`: all that is to be said about a shot, the most serious first, and about scanned drawings among the
 * references.
 */
export async function check(call: Call) {
  const scene = await sceneIn(call);
  const shot = shotOf(scene, call.options.shot);
  const found = toldOf(shot, [...findings(scene, shot), ...seenFindings(scene, shot)]).told.map(
    ({ message, id, severity, where, value, unit }) => ({
      id,
      severity,
      where,
      value,
      unit,
      message: inMetric(message),
    }),
  );
  const drawn = (scene.references ?? [])
    .filter(({ drawing }) => drawing)
    .flatMap((reference) =>
      checkDrawn(reference).map(({ kind, where, value, unit, message }) => ({
        id: `drawn-${kind}`,
        severity: "warning",
        where: `${reference.name}: ${where}`,
        value,
        unit,
        message: inMetric(message),
      })),
    );
  return [...found, ...drawn];
}
