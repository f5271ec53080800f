import { BadInput } from "../problem";
import { shotOf, type Scene } from "../scene";
import type { Given } from "./recipe";

/**
 * What a construction is made for, by ids: a shot, and an element or an own line of it.
 * @throws BadInput for a shot, an element or a line that is not there
 */
export function givenIn(scene: Scene, shotId?: string, of?: string): Given & { readonly scene: Scene } {
  const shot = shotOf(scene, shotId);
  if (of === undefined) return { scene, shot };
  const element = scene.elements.find(({ id }) => id === of);
  const line = [...(shot.lines ?? []), ...(scene.lines ?? [])].find(({ id }) => id === of);
  if (!element && !line) throw new BadInput([{ path: "of", message: `there is no element or line "${of}".` }]);
  return { scene, shot, element, line };
}
