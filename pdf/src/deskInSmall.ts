import { headPath, setStyle } from "@zanvo/core/drawing";
import { around, corners, type Rect, type Vec2 } from "@zanvo/core/geometry";
import type { Scene, Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { horizon, lineIn, pinsOf } from "@zanvo/core/vanishing";
import { COLUMN } from "./a4";
import { line, MM, type Doc } from "./page";

/** The greatest height of the desk in small, mm. */
const HEIGHT = 70;
const INK = "#26251f";

/** The pins of shots that have a place on the desk. */
const placedPins = (scene: Scene, shots: readonly Shot[]) =>
  shots.flatMap((shot) =>
    pinsOf(scene.orientations, shot).flatMap((pin) => (pin.point.at ? [{ pin, at: pin.point.at }] : [])),
  );

/**
 * The desk of one panel, or of all panels of a page, in small: sheet, panels, horizons, centres of vision, pins.
 * @returns its height, mm
 */
export function deskInSmall(doc: Doc, scene: Scene, shots: readonly Shot[], left: number, top: number): number {
  const [{ sheet }] = shots;
  const pins = placedPins(scene, shots);
  const box = around([[0, 0], [sheet.width, sheet.height], ...pins.map(({ at }) => at)], 30);
  const scale = Math.min(COLUMN / box.width, HEIGHT / box.height);
  const to = ([x, y]: Vec2): Vec2 => [left + (x - box.x) * scale, top + (y - box.y) * scale];
  const outline = (rect: Rect, width: number) => {
    const all = corners(rect).map(to);
    all.forEach((a, i) => line(doc, ...a, ...all[(i + 1) % 4], width, INK));
  };
  outline({ x: 0, y: 0, width: sheet.width, height: sheet.height }, 0.35);
  for (const shot of shots) {
    outline(shot.frame, 0.18);
    const eye = horizon(viewOf(shot));
    // Of several panels each has its horizon within itself: across the desk nobody could tell them apart.
    const ends = eye && lineIn(eye, shots.length > 1 ? shot.frame : box);
    if (ends) line(doc, ...to(ends[0]), ...to(ends[1]), 0.18, "#46616f");
    const [cx, cy] = to([shot.lens.centre.x, shot.lens.centre.y]);
    line(doc, cx - 1.6, cy, cx + 1.6, cy, 0.18, INK);
    line(doc, cx, cy - 1.6, cx, cy + 1.6, 0.18, INK);
  }
  for (const { pin, at } of pins) {
    const { stroke, head } = setStyle(pin);
    const [x, y] = to(at);
    doc
      .save()
      .translate(x * MM, y * MM)
      .path(headPath(head, 1.3 * MM))
      .fill(stroke, "even-odd")
      .restore();
  }
  return box.height * scale;
}
