import { inMetric, sentence } from "@zanvo/core/units";
import { drawDesk, drawShot } from "@zanvo/core/drawing";
import type { Tiling } from "@zanvo/core/print";
import { shotOf, type Scene } from "@zanvo/core/scene";
import { CAUTIONS } from "@zanvo/core/slip";
import { fromEdge, pinsOf } from "@zanvo/core/vanishing";
import type { Print } from "./tiles";

/** The print of a shot's desk, worked out from its scene: all that `toTiles` needs. */
export function printOf(scene: Scene, shotId: string | undefined, tiling: Tiling): Print {
  const shot = shotOf(scene, shotId);
  const drawing = drawShot(scene, shotId);
  return {
    title: drawing.title,
    desk: drawDesk(scene, shot, drawing.layers),
    tiling,
    pins: pinsOf(scene.orientations, shot).flatMap(({ name, point: { at } }) =>
      at ? [inMetric(sentence`${name}: ${fromEdge(shot.sheet, ...at)}`)] : [],
    ),
    cautions: CAUTIONS,
  };
}
