import type { Tiling } from "../print";
import type { Scene, Shot } from "../scene";
import { drawDesk, type DeskDrawing } from "./desk";
import { drawEnlarged } from "./enlarging";
import type { Layer } from "./layer";
import { drawViewFinder } from "./viewFinder";

/** An enlarged grid is so many times as large as the panel where nothing is said. */
export const ENLARGED = 4;

/**
 * What is printed at true size: the desk with its sheet, the enlargement grid alone, or a view finder.
 * @param drawing asked for the layers of the sheet, where they are needed
 */
export function drawPrint(
  scene: Scene,
  shot: Shot,
  { of, times = ENLARGED, width }: Pick<Tiling, "of" | "times" | "width">,
  drawing: () => readonly Layer[],
): DeskDrawing {
  if (of === "grid") return drawEnlarged(shot, times);
  return of === "finder" ? drawViewFinder(shot, width) : drawDesk(scene, shot, drawing());
}
