import { around, contains, corners, type Rect, type Vec2 } from "../geometry";
import type { Scene, Shot } from "../scene";
import { viewOf, type View } from "../shot";
import { compassArcs, horizon, lineIn, pinsOf, type Pin } from "../vanishing";
import { NOTHING_VISIBLE } from "../visibility";
import { compose } from "./compose";
import { contextOf } from "./context";
import type { Layer } from "./layer";
import { BEYOND_SHEET, showOf } from "./layers";
import { lettering } from "./lettering";
import { setStyle, STYLES } from "./style";

/** Room around the outermost pins, mm. */
const AROUND = 25;

/** A compass foot farther from the sheet than this (mm) stands on no desk. */
const REACH = 1500;
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
 * The pins that one works with: what stands behind the eye in a curved lens, and off the sheet, no ruler is laid to.
 */
export const placedPins = (pins: readonly Pin[]) =>
  pins.flatMap((pin) => (pin.point.at && !(pin.opposite && pin.offSheet) ? [{ pin, at: pin.point.at }] : []));

/** Where the compass stands for what it draws, sheet mm; nowhere where that is not shown. */
export const compassFeet = (shot: Shot, pins: readonly Pin[], view: View): Vec2[] =>
  showOf(shot).compass === 0 ? [] : compassArcs(shot, pins, view).flatMap(({ arc: { foot } }) => (foot ? [foot] : []));

/**
 * The places that the whole desk holds: the sheet's corners, the pins one works with, and compass feet within reach.
 */
export function deskPlaces(shot: Shot, pins: readonly Pin[], view: View): Vec2[] {
  const corner: Vec2 = [shot.sheet.width, shot.sheet.height];
  const near = around([[0, 0], corner], REACH);
  return [
    [0, 0],
    corner,
    ...placedPins(pins).map(({ at }) => at),
    ...compassFeet(shot, pins, view).filter((foot) => contains(near, foot)),
  ];
}

/**
 * The desk of a shot as it is printed at true size: the sheet with what is drawn on it, the horizon as far as the pins,
 * every pin with its name, lines from the far ones to the panel's corners, and compass feet within reach.
 * @param drawing the layers of the sheet itself
 */
export function drawDesk(scene: Scene, shot: Shot, drawing: readonly Layer[]): DeskDrawing {
  const { sheet, frame } = shot;
  const view = viewOf(shot);
  const { straight } = view.law;
  const pins = pinsOf(scene.orientations, shot);
  const placed = placedPins(pins);
  const box = around(deskPlaces(shot, pins, view), AROUND);
  const line = horizon(view);
  const ends = line && lineIn(line, box);
  const [a, b, c, d] = corners({ x: 0, y: 0, width: sheet.width, height: sheet.height });
  const layer = (id: string, label: string, style: Layer["style"], lines: readonly number[]): Layer => ({
    id,
    label,
    style,
    lines: Float64Array.from(lines),
  });
  const ofPin = ({ pin, at }: { readonly pin: Pin; readonly at: Vec2 }): Layer[] => {
    const { stroke, dash } = setStyle(pin);
    return [
      ...(pin.offSheet && straight
        ? [layer(`guides-${pin.id}`, `Guides: ${pin.name}`, { ...STYLES.bundle, stroke, dash }, guides(at, frame))]
        : []),
      layer(`pin-${pin.id}`, `Pin: ${pin.name}`, { ...STYLES.crease, stroke }, pinLines(at, pin.name)),
    ];
  };
  return {
    box,
    layers: [
      layer("sheet", "Sheet", STYLES.outline, [a, b, b, c, c, d, d, a].flat()),
      layer("string", "Horizon over the desk", STYLES.horizon, ends ? ends.flat() : []),
      ...drawing.filter(({ id }) => !BEYOND_SHEET.includes(id)),
      ...compose({ ...contextOf(scene, shot, NOTHING_VISIBLE), view, pins, within: box }, { only: ["compass"] }).filter(
        ({ id }) => BEYOND_SHEET.includes(id),
      ),
      ...placed.flatMap(ofPin),
    ],
  };
}
