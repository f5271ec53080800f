import { findings } from "@zanvo/core/checks";
import { shotOf } from "@zanvo/core/scene";
import { sceneIn, type Call } from "./io";

/** `zanvo check`: all that is to be said about a shot, the most serious first. */
export async function check(call: Call) {
  const scene = await sceneIn(call);
  return findings(scene, shotOf(scene, call.options.shot)).map(({ id, severity, where, value, unit, message }) => ({ id, severity, where, value, unit, message }));
}
