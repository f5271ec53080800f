import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { mapped, samePlane, type OwnLine, type SheetLine } from "@zanvo/core/lines";
import { toldBy } from "@zanvo/core/problem";
import { elevationOf, keptSamples, placeOnPlane, smoothed, straightened } from "@zanvo/core/ruling";
import { pinsOf } from "@zanvo/core/vanishing";
import { newId } from "../../id";
import { solidsNow } from "../desk/useSolids";
import type { Board } from "../useBoard";
import { beginAt, endAt, told, type Aiming, type createSnaps, type End } from "./aiming";
import type { Begun } from "./createDraw";
import { lineThrough, PRESSES } from "./making";

/** One place of a pointer over the desk. */
export interface HandPoint {
  /** Desk mm, and px from the desk's top left. */
  readonly at: Vec2;
  readonly window: Vec2;
  readonly pressure: number;
  readonly alt: boolean;
  readonly shift: boolean;
}

/** How near to something an end is drawn to it, and a line is chosen, window px. */
const REACH = 9;

export const reachOf = (board: Board, alt = false): number => (alt ? 0 : REACH / board.useDesk.getState().camera.scale);

export type Snaps = ReturnType<typeof createSnaps>;

/** The plane that is drawn on now; null for the sheet. */
function planeOf(board: Board): Aiming["plane"] {
  const { surface, under, begun } = board.useDraw.getState();
  if (begun) return begun.plane;
  return surface === "sheet" ? null : surface === "under" ? (under?.plane ?? null) : surface;
}

/** What a line that is drawn now is drawn after. */
function aimingOf(board: Board, snaps: Snaps, alt: boolean): Aiming {
  const { hold, free } = board.useDraw.getState();
  return {
    view: board.currentView(),
    pins: pinsOf(board.useDocument.getState().scene.orientations, board.currentShot()),
    plane: planeOf(board),
    snaps: snaps(board.shownLayers()),
    reach: reachOf(board, alt),
    hold,
    free,
  };
}

/** What a line that is drawn now is made with. */
function makingOf(board: Board, begun: Begun, length?: number) {
  const { weight, parts, fit } = board.useDraw.getState();
  const { plane, aim } = begun;
  return { view: board.currentView(), plane, weight, parts, fit, towards: aim?.pin.id, length };
}

/** Says why something cannot be, where the hand is. */
export const refuse = (board: Board, at: Vec2, error: unknown): void =>
  board.showTag({ at, text: toldBy(error), wrong: true });

/** Puts down what has been drawn. @returns whether it was a line */
export function finish(board: Board, points: readonly Vec2[], length?: number): boolean {
  const { begun, tool } = board.useDraw.getState();
  if (!begun) return false;
  const line = lineThrough(tool, points, makingOf(board, begun, length), newId());
  if (!line) return false;
  board.addLines([line]);
  board.showTag(null);
  return true;
}

/** Ends a line that goes from press to press where it stands. */
export function finishCorners(board: Board): void {
  const { begun, tool } = board.useDraw.getState();
  if (!begun || tool !== "corners") return;
  if (!finish(board, begun.points)) board.setBegun(null);
}

/** Takes a typed length for the line that is being drawn. @throws NoAnswer where its plane is not seen */
export function takeLength(board: Board, length: number): void {
  const { begun } = board.useDraw.getState();
  if (begun) finish(board, [...begun.points.slice(-1), begun.to], length);
}

/** Opens a plane flat: a shot of its own that faces it squarely, to scale, with the plane held to be drawn on. */
export function openFlat(board: Board, plane: NonNullable<Aiming["plane"]>): void {
  const { useDocument, useDraw, currentView, currentShot, edit, go, drawWith } = board;
  const { shots } = useDocument.getState().scene;
  const now = solidsNow();
  if (!now) return;
  const { under } = useDraw.getState();
  const at = under && samePlane(under.plane, plane) ? under.at : null;
  const { area, depth } = now.facedAt(currentView(), board.looked(), plane, at);
  const from = currentShot();
  const { shot } = elevationOf(from, plane, area, depth, newId());
  const after = shots.findIndex(({ id }) => id === from.id) + 1;
  edit((scene) => void scene.shots.splice(after, 0, shot));
  go({ shotId: shot.id });
  drawWith({ surface: plane, under: null });
}

/** Divides the wall that is pressed, by its four corners. */
export function pressWall(board: Board, point: HandPoint): void {
  const wall = solidsNow()?.wallAt(board.currentView(), board.looked(), point.at);
  const { weight, parts, fit } = board.useDraw.getState();
  const making = { view: board.currentView(), plane: null, weight, parts, fit };
  const line = wall && lineThrough("quad", wall, making, newId());
  if (line) board.addLines([line]);
  else board.showTag({ at: point.window, text: "Press a wall with four corners.", wrong: true });
}

/** Begins a line, or goes on with one that waits. */
export function pressLine(board: Board, snaps: Snaps, point: HandPoint): void {
  const { begun } = board.useDraw.getState();
  if (begun) return followLine(board, snaps, point);
  const { to, snap } = beginAt(aimingOf(board, snaps, point.alt), point.at);
  const plane = planeOf(board);
  const { surface } = board.useDraw.getState();
  if (surface === "under" && !plane)
    return board.showTag({
      at: point.window,
      text: "No plane is seen here: press on a wall or the ground.",
      wrong: true,
    });
  board.setBegun({ plane, points: [to], to, aim: null, snap, samples: [], waits: false });
}

/** Draws the line that is begun to the hand, and shows what it is led to. */
export function followLine(board: Board, snaps: Snaps, point: HandPoint): void {
  const { begun, tool } = board.useDraw.getState();
  if (!begun) return;
  const aiming = aimingOf(board, snaps, point.alt);
  const from = begun.points[begun.points.length - 1];
  const aims = tool !== "rectangle" && tool !== "circle" && tool !== "quad";
  const end: End = aims ? endAt(aiming, from, point.at) : { ...beginAt(aiming, point.at), aim: null };
  board.setBegun({ ...begun, ...end });
  try {
    board.showTag({ at: point.window, text: told(aiming, from, end) });
  } catch (error) {
    refuse(board, point.window, error);
  }
}

/** Lets go of a line, or presses the next place of it. @param moved whether the hand moved since its press */
export function releaseLine(board: Board, point: HandPoint, moved: boolean): void {
  const { begun, tool } = board.useDraw.getState();
  if (!begun) return;
  const last = begun.points[begun.points.length - 1];
  // A mere press begins: the line follows the hand to the next one.
  if (!moved && !begun.waits) return board.setBegun({ ...begun, waits: true });
  const closes = tool === "corners" && begun.points.length > 2 && distance2(begun.to, begun.points[0]) < reachOf(board);
  const points = [...begun.points, begun.to];
  try {
    if (closes) finishClosed(board, begun);
    else if (points.length >= (PRESSES[tool] ?? 2)) {
      if (!finish(board, points)) board.setBegun(null);
    } else if (distance2(begun.to, last) > 0) board.setBegun({ ...begun, points, waits: true });
  } catch (error) {
    // What was pressed before stays, for another place.
    board.setBegun({ ...begun, waits: true });
    refuse(board, point.window, error);
  }
}

/** Closes a shape at the corner it began at. */
function finishClosed(board: Board, begun: Begun): void {
  const line = lineThrough("corners", begun.points, makingOf(board, begun), newId());
  if (line?.kind === "polyline") board.addLines([{ ...line, closed: true }]);
  board.showTag(null);
}

/** Draws a freehand stroke on. */
export function drawStroke(board: Board, points: readonly HandPoint[], fresh: boolean): void {
  const { begun } = board.useDraw.getState();
  const samples = points.flatMap(({ at, pressure }) => [...at, pressure]);
  const { at } = points[points.length - 1];
  if (fresh)
    board.setBegun({ plane: planeOf(board), points: [at], to: at, aim: null, snap: null, samples, waits: false });
  else if (begun) board.setBegun({ ...begun, to: at, samples: begun.samples.concat(samples) });
}

/** Puts a freehand stroke down as it was drawn, or straightened to the set that it aims at. */
export function releaseStroke(board: Board, point: HandPoint): void {
  const { begun, weight, straighten, smoothing } = board.useDraw.getState();
  if (!begun) return;
  const view = board.currentView();
  const samples = keptSamples(smoothed(begun.samples, smoothing));
  const stroke: Stroke = { id: newId(), kind: "stroke", weight, samples };
  try {
    board.addLines([(straighten && straightLine(board, begun)) || onPlane(view, stroke, begun.plane)]);
  } catch (error) {
    // It has left its plane: it is kept where it was drawn.
    board.addLines([stroke]);
    refuse(board, point.window, error);
  }
  board.chooseLines([]);
}

/** The ruled line that a stroke means; null where it is too short for one. @throws NoAnswer off its plane */
function straightLine(board: Board, begun: Begun): OwnLine | null {
  if (begun.samples.length < 6) return null;
  const pins = pinsOf(board.useDocument.getState().scene.orientations, board.currentShot());
  const { from, to } = straightened(board.currentView(), pins, begun.samples);
  return lineThrough("rule", [from, to], makingOf(board, begun), newId());
}

type Stroke = Extract<SheetLine, { readonly kind: "stroke" }>;

/** A stroke of the sheet laid onto a plane, where there is one. @throws NoAnswer where it leaves the plane */
const onPlane = (view: Aiming["view"], stroke: Stroke, plane: Aiming["plane"]): OwnLine =>
  plane ? { ...mapped(stroke, (at) => placeOnPlane(view, plane, at)), plane } : stroke;
