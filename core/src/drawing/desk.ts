import { around, corners, type Rect, type Vec2 } from "../geometry";
import type { Scene, Shot } from "../scene";
import { viewOf } from "../shot";
import { horizon, lineIn, pinsOf, type Pin } from "../vanishing";
import type { Layer } from "./layer";
import { lettering } from "./lettering";
import { setStyle, STYLES } from "./style";

/** Room around the outermost pins, mm. */
const AROUND = 25;

/** What is drawn on the whole desk: the part of it that holds the sheet and every pin, and the layers, in desk mm. */
export interface DeskDrawing {
  readonly box: Rect;
  readonly layers: readonly Layer[];
}

/** The cross that a pin goes into, with a ring around it and its name. */
function pinLines(at: Vec2, name: string): number[] {
  const [x, y] = at;
  const ring = Array.from({ length: 24 }, (_, i) => {
    const [a, b] = [(i * Math.PI) / 12, ((i + 1) * Math.PI) / 12];
    return [x + 4 * Math.cos(a), y + 4 * Math.sin(a), x + 4 * Math.cos(b), y + 4 * Math.sin(b)];
  }).flat();
  return [x - 9, y, x + 9, y, x, y - 9, x, y + 9, ...ring, ...lettering(name, [x + 6, y - 5], 3)];
}

/** Lines from a pin beyond the sheet to the panel's corners, by which the tiles in between are laid to each other. */
const guides = (at: Vec2, frame: Rect): number[] => corners(frame).flatMap((corner) => [...at, ...corner]);

/**
 * The desk of a shot as it is printed at true size: the sheet with what is drawn on it, the horizon as far as the pins,
 * every pin with its name, and lines from the far ones to the panel's corners.
 * @param drawing the layers of the sheet itself
 */
export function drawDesk(scene: Scene, shot: Shot, drawing: readonly Layer[]): DeskDrawing {
  const { sheet, frame } = shot;
  const placed = pinsOf(scene.orientations, shot).flatMap((pin) => (pin.point.at ? [{ pin, at: pin.point.at }] : []));
  const box = around([[0, 0], [sheet.width, sheet.height], ...placed.map(({ at }) => at)], AROUND);
  const view = viewOf(shot);
  const { straight } = view.law;
  const line = horizon(view);
  const ends = line && lineIn(line, box);
  const [a, b, c, d] = corners({ x: 0, y: 0, width: sheet.width, height: sheet.height });
  const layer = (id: string, name: string, style: Layer["style"], lines: readonly number[]): Layer => ({ id, name, style, lines: Float64Array.from(lines) });
  const ofPin = ({ pin, at }: { readonly pin: Pin; readonly at: Vec2 }): Layer[] => {
    const { stroke, dash } = setStyle(pin);
    return [
      ...(pin.offSheet && straight ? [layer(`guides-${pin.id}`, `Guides: ${pin.name}`, { ...STYLES.bundle, stroke, dash }, guides(at, frame))] : []),
      layer(`pin-${pin.id}`, `Pin: ${pin.name}`, { ...STYLES.crease, stroke }, pinLines(at, pin.name)),
    ];
  };
  return {
    box,
    layers: [
      layer("sheet", "Sheet", STYLES.outline, [a, b, b, c, c, d, d, a].flat()),
      layer("string", "Horizon over the desk", STYLES.horizon, ends ? ends.flat() : []),
      ...drawing,
      ...placed.flatMap(ofPin),
    ],
  };
}
