import { chordsOf, ruledShapes } from "@zanvo/core/drawing";
import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { movedBy, type OwnLine } from "@zanvo/core/lines";
import { liesOn, metBy, onward, placeOnPlane, seenOnPlane, trimmed } from "@zanvo/core/ruling";
import type { View } from "@zanvo/core/shot";
import { linesOf, replaceLines } from "../../document/lines";
import { newId } from "../../id";
import type { Board } from "../useBoard";
import { reachOf, refuse, type HandPoint, type Snaps } from "./hand";
import { nearTo } from "./preview";

/** A line by its two ends. */
type Ends = readonly [Vec2, Vec2];

/** The own line nearest to a place, within the hand's reach. */
function lineAt(board: Board, at: Vec2): OwnLine | null {
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
function movedOnPaper(view: View, line: OwnLine, from: Vec2, to: Vec2): OwnLine {
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
