import type { Rect } from "../geometry";
import type { Orientation, Shot } from "../scene";
import { viewOf } from "../shot";
import { pinsOf } from "../vanishing";
import type { VisibleEdges } from "../visibility";
import type { LayerContext } from "./layers";

/** A sheet as a rectangle, mm. */
export const sheetRect = ({ sheet: { width, height } }: Pick<Shot, "sheet">): Rect => ({ x: 0, y: 0, width, height });

interface WithOrientations {
  readonly orientations: readonly Orientation[];
}

/** What the layers of a shot are worked out from, on its sheet and with all its pins. */
export const contextOf = ({ orientations }: WithOrientations, shot: Shot, visible: VisibleEdges): LayerContext => ({
  orientations,
  shot,
  view: viewOf(shot),
  pins: pinsOf(orientations, shot),
  visible,
  within: sheetRect(shot),
});
