import { BadInput } from "../problem";
import { DEFAULT_SHOW, shotOf, showOf, type Scene, type Show } from "../scene";
import { viewOf } from "../shot";
import { see } from "../visibility";
import { build } from "../world";
import { draw } from "./draw";
import type { Drawing } from "./layer";

/** Kinds of line that can be left out of a drawing. */
export const KINDS_OF_LINE = Object.keys(DEFAULT_SHOW) as (keyof Show)[];

/**
 * A shot of a scene as a drawing, from nothing: solids built, hidden lines found, everything laid on the sheet.
 * @param without kinds of line to leave out, whatever the shot shows
 * @throws BadInput for a shot or a kind of line that does not exist
 */
export function drawShot(scene: Scene, shotId?: string, without: readonly string[] = []): Drawing {
  const unknown = without.find((kind) => !KINDS_OF_LINE.some((known) => known === kind));
  if (unknown !== undefined) {
    throw new BadInput([{ path: "without", message: `there are no lines called "${unknown}"; there are ${KINDS_OF_LINE.join(", ")}.` }]);
  }
  const shot = shotOf(scene, shotId);
  const show = { ...showOf(shot), ...Object.fromEntries(without.map((kind) => [kind, 0])) };
  return draw(scene, { ...shot, show }, see(build(scene.elements), viewOf(shot).eye));
}
