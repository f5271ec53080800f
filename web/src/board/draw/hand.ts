import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { mapped, movedBy, samePlane, type OwnLine, type SheetLine } from "@zanvo/core/lines";
import { chordsOf, ruledShapes } from "@zanvo/core/drawing";
import { toldBy } from "@zanvo/core/problem";
import {
  elevationOf,
  erased,
  keptSamples,
  liesOn,
  metBy,
  onward,
  placeOnPlane,
  seenOnPlane,
  smoothed,
  straightened,
  trimmed,
} from "@zanvo/core/ruling";
import { pinsOf } from "@zanvo/core/vanishing";
import { linesOf, replaceLines, exchangeLines } from "../../document/lines";
import { newId } from "../../id";
import { solidsNow } from "../desk/useSolids";
import type { Board } from "../useBoard";
import { beginAt, endAt, told, type Aiming, type createSnaps, type End } from "./aiming";
import type { Begun } from "./createDraw";
import { lineThrough, PRESSES } from "./making";
import { nearTo } from "./preview";

/** One place of a pointer over the desk. */
export interface HandPoint {
  /** Desk mm, and px from the desk's top left. */
  readonly at: Vec2;
  readonly window: Vec2;
  readonly pressure: number;
  readonly alt: boolean;
  readonly shift: boolean;
}

/** A line by its two ends. */
type Ends = readonly [Vec2, Vec2];

/** How near to something an end is drawn to it, and a line is chosen, window px. */
const REACH = 9;

const reachOf = (board: Board, alt = false): number => (alt ? 0 : REACH / board.useDesk.getState().camera.scale);

export type Snaps = ReturnType<typeof createSnaps>;

/** The plane that is drawn on now; null for the sheet. */
function planeOf(board: Board): Aiming["plane"] {
  const { surface, under, begun } = board.useDraw.getState();
  if (begun) return begun.plane;
  return surface === "sheet" ? null : surface === "under" ? (under?.plane ?? null) : surface;
}

/** What a line that is drawn now is drawn after. */
export function aimingOf(board: Board, snaps: Snaps, alt: boolean): Aiming {
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
const refuse = (board: Board, at: Vec2, error: unknown): void =>
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
  const { elements, shots } = useDocument.getState().scene;
  const now = solidsNow();
  if (!now) return;
  const { under } = useDraw.getState();
  const at = under && samePlane(under.plane, plane) ? under.at : null;
  const { area, depth } = now.facedAt(currentView(), elements, plane, at);
  const from = currentShot();
  const { shot } = elevationOf(from, plane, area, depth, newId());
  const after = shots.findIndex(({ id }) => id === from.id) + 1;
  edit((scene) => void scene.shots.splice(after, 0, shot));
  go({ shotId: shot.id });
  drawWith({ surface: plane, under: null });
}

/** Divides the wall that is pressed, by its four corners. */
export function pressWall(board: Board, point: HandPoint): void {
  const wall = solidsNow()?.wallAt(board.currentView(), board.useDocument.getState().scene.elements, point.at);
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
    board.setBegun(null);
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
  const { plane } = begun;
  const view = board.currentView();
  try {
    if (straighten && begun.samples.length >= 6) {
      const pins = pinsOf(board.useDocument.getState().scene.orientations, board.currentShot());
      const { from, to } = straightened(view, pins, begun.samples);
      const line = lineThrough("rule", [from, to], makingOf(board, begun), newId());
      if (line) return board.addLines([line]);
    }
    const samples = keptSamples(smoothed(begun.samples, smoothing));
    const stroke: SheetLine = { id: newId(), kind: "stroke", weight, samples };
    board.addLines([plane ? onto(stroke, (at) => placeOnPlane(view, plane, at), plane) : stroke]);
    board.chooseLines([]);
  } catch (error) {
    board.setBegun(null);
    refuse(board, point.window, error);
  }
}

/** A line of the sheet laid onto a plane. */
const onto = (
  line: Extract<SheetLine, { kind: "stroke" }>,
  place: (at: Vec2) => Vec2,
  plane: NonNullable<Aiming["plane"]>,
): OwnLine => ({ ...mapped(line, place), plane });

/** Rubs out what an eraser passes over: of the lines as they were when the drag began. */
export function erase(board: Board, path: readonly Vec2[]): void {
  const { useDocument, useDraw, useView, drag, currentView, currentShot } = board;
  const { gesture, scene } = useDocument.getState();
  const base = gesture?.base ?? scene;
  const view = currentView();
  const shot = base.shots.find(({ id }) => id === useView.getState().shotId) ?? currentShot();
  const { eraser } = useDraw.getState();
  const gone: string[] = [];
  const next: OwnLine[] = [];
  for (const line of linesOf(base, shot)) {
    let pieces: OwnLine[] | null = null;
    for (const at of path) {
      const rest: OwnLine[] = pieces ?? [line];
      const cut = rest.map((piece) => erasedAt(view, piece, at, eraser));
      if (cut.some((one) => one !== null)) pieces = cut.flatMap((one, i) => one ?? [rest[i]]);
    }
    if (pieces) {
      gone.push(line.id);
      next.push(...pieces);
    }
  }
  drag(exchangeLines(shot.id, gone, next));
}

/** What an eraser on the sheet leaves of a line, on whatever it is drawn. */
function erasedAt(view: Aiming["view"], line: OwnLine, at: Vec2, radius: number): OwnLine[] | null {
  if (!("plane" in line)) return erased(line, at, radius, newId);
  const { plane } = line;
  try {
    const centre = placeOnPlane(view, plane, at);
    const side = placeOnPlane(view, plane, [at[0] + radius, at[1]]);
    return erased(line, centre, distance2(centre, side), newId);
  } catch {
    return null;
  }
}

/** The own line nearest to a place, within the hand's reach. */
export function lineAt(board: Board, at: Vec2): OwnLine | null {
  const { scene } = board.useDocument.getState();
  const view = board.currentView();
  const reach = reachOf(board);
  let best: { readonly line: OwnLine; readonly off: number } | null = null;
  for (const line of linesOf(scene, board.currentShot())) {
    const off = nearTo(view, line, at);
    if (off <= reach && (!best || off <= best.off)) best = { line, off };
  }
  return best?.line ?? null;
}

/** Chooses the line under the hand, with Shift besides what is chosen. @returns whether there is one */
export function chooseAt(board: Board, { at, shift }: HandPoint): boolean {
  const line = lineAt(board, at);
  const { chosen } = board.useDraw.getState();
  if (!line) {
    if (!shift) board.chooseLines([]);
    return false;
  }
  if (shift) board.chooseLines(chosen.includes(line.id) ? chosen.filter((id) => id !== line.id) : [...chosen, line.id]);
  else if (!chosen.includes(line.id)) board.chooseLines([line.id]);
  return true;
}

/** A line moved so that its picture follows the hand. */
export function movedOnPaper(view: Aiming["view"], line: OwnLine, from: Vec2, to: Vec2): OwnLine {
  if (!("plane" in line)) return movedBy(line, [to[0] - from[0], to[1] - from[1]]);
  const [a, b] = [from, to].map((at) => placeOnPlane(view, line.plane, at));
  return movedBy(line, [b[0] - a[0], b[1] - a[1]]);
}

/** Moves what is chosen with the hand. */
export function moveChosen(board: Board, before: readonly OwnLine[], from: Vec2, point: HandPoint): void {
  try {
    const view = board.currentView();
    board.drag(
      replaceLines(
        board.currentShot().id,
        before.map((line) => movedOnPaper(view, line, from, point.at)),
      ),
    );
  } catch (error) {
    refuse(board, point.window, error);
  }
}

/** Cuts the part of a ruled line under the hand out between the lines that cross it, or leads its end to the next. */
export function cutAt(board: Board, snaps: Snaps, point: HandPoint, how: "trim" | "extend"): void {
  const line = lineAt(board, point.at);
  if (line?.kind !== "ruled") {
    board.showTag({ at: point.window, text: "Press a ruled line of your own.", wrong: true });
    return;
  }
  const view = board.currentView();
  const seen = (place: Vec2) => ("plane" in line ? seenOnPlane(view, line.plane, place) : place);
  const [a, b] = [seen(line.from), seen(line.to)];
  if (!a || !b) return;
  const ends = how === "trim" ? trimmedAt(board, snaps, [a, b], point.at) : extendedAt(board, snaps, [a, b], point.at);
  if (!ends) {
    const text = how === "trim" ? "Nothing crosses this line." : "Nothing lies before this end.";
    return board.showTag({ at: point.window, text, wrong: true });
  }
  const back = ([x, y]: Vec2): [number, number] => {
    const [u, v] = "plane" in line ? placeOnPlane(view, line.plane, [x, y]) : [x, y];
    return [u, v];
  };
  const next = ends.map(([from, to]): OwnLine => ({ ...line, id: newId(), from: back(from), to: back(to) }));
  board.exchange([line.id], next);
  board.chooseLines(next.map(({ id }) => id));
  board.showTag(null);
}

/** What is drawn near a line counts as the line itself within so many mm: chords are within 0.05 mm of a curve. */
const ITSELF = 0.15;

/** All that is drawn around a line, but for the line itself. */
function around(board: Board, snaps: Snaps, drawn: readonly Vec2[]): readonly Ends[] {
  const [xs, ys] = [drawn.map(([x]) => x), drawn.map(([, y]) => y)];
  return snaps(board.shownLayers())
    .near([Math.min(...xs), Math.min(...ys)], [Math.max(...xs), Math.max(...ys)], 0)
    .filter((stretch) => !liesOn(drawn, stretch, ITSELF));
}

/** A ruled line as it is drawn, from place to place. */
function drawnPlaces(board: Board, [a, b]: Ends): Vec2[] {
  const chords = chordsOf(ruledShapes(board.currentView(), a, b));
  const places = Array.from({ length: chords.length / 4 }, (_, i): Vec2 => [chords[4 * i + 2], chords[4 * i + 3]]);
  return [a, ...places.slice(0, -1), b];
}

function trimmedAt(board: Board, snaps: Snaps, line: Ends, place: Vec2): readonly Ends[] | null {
  const drawn = drawnPlaces(board, line);
  return trimmed(drawn, around(board, snaps, drawn), place);
}

function extendedAt(board: Board, snaps: Snaps, [a, b]: Ends, place: Vec2): readonly Ends[] | null {
  const { sheet } = board.currentShot();
  const first = distance2(place, a) < distance2(place, b);
  const beyond = onward(board.currentView(), first ? [b, a] : [a, b], sheet.width + sheet.height);
  const met = beyond.length > 1 ? metBy(beyond, around(board, snaps, beyond)) : null;
  return met && [first ? [met, b] : [a, met]];
}
