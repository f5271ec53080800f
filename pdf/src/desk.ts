import { inMetric, sentence } from "@zanvo/core/units";
import { drawPrint, drawShot } from "@zanvo/core/drawing";
import type { Tiling } from "@zanvo/core/print";
import { shotOf, type Scene } from "@zanvo/core/scene";
import { CAUTIONS } from "@zanvo/core/slip";
import { fromEdge, pinsOf } from "@zanvo/core/vanishing";
import type { Print } from "./tiles";

/** A print at true size, worked out from a shot's scene: all that `toTiles` needs. */
export function printOf(scene: Scene, shotId: string | undefined, tiling: Tiling): Print {
  const shot = shotOf(scene, shotId);
  const ofDesk = (tiling.of ?? "desk") === "desk";
  return {
    title: `${scene.title}: ${shot.name}`,
    desk: drawPrint(scene, shot, tiling, () => drawShot(scene, shotId).layers),
    tiling,
    pins: (ofDesk ? pinsOf(scene.orientations, shot) : []).flatMap(({ name, point: { at } }) =>
      at ? [inMetric(sentence`${name}: ${fromEdge(shot.sheet, ...at)}`)] : [],
    ),
    cautions: ofDesk ? CAUTIONS : "",
  };
}
