import { distance2, type Vec2 } from "@zanvo/core/geometry";
import type { OwnLine } from "@zanvo/core/lines";
import { erased, placeOnPlane } from "@zanvo/core/ruling";
import type { View } from "@zanvo/core/shot";
import { exchangeLines, linesOf } from "../../document/lines";
import { newId } from "../../id";
import type { Board } from "../useBoard";

/** What an eraser has passed over since it was pressed. */
export interface Erasing {
  /** The lines as they were when it was pressed. */
  readonly before: readonly OwnLine[];
  /** What is left of those that it has touched, by their ids. */
  readonly left: Map<string, readonly OwnLine[]>;
  /** Where it is, mm. */
  at: Vec2;
}

/** What of a board rubbing out works with. */
type ErasingBoard = Pick<Board, "useDocument" | "useDraw" | "currentShot" | "currentView" | "beginGesture" | "drag">;

/** The eraser is laid down anew after so many of its radii, so that a quick hand leaves nothing between. */
const STEP = 0.5;

/** Begins to rub out. */
export function beginErasing(board: ErasingBoard, at: Vec2): Erasing {
  const { useDocument, currentShot, beginGesture } = board;
  const erasing: Erasing = { before: linesOf(useDocument.getState().scene, currentShot()), left: new Map(), at };
  beginGesture();
  eraseTo(board, erasing, at);
  return erasing;
}

/** Rubs out what an eraser passes over on its way to a place. */
export function eraseTo(board: ErasingBoard, erasing: Erasing, to: Vec2): void {
  const { eraser } = board.useDraw.getState();
  const view = board.currentView();
  const steps = Math.max(1, Math.ceil(distance2(erasing.at, to) / (STEP * eraser)));
  const { at: from, before, left } = erasing;
  for (let i = 1; i <= steps; i++) {
    const place: Vec2 = [from[0] + ((to[0] - from[0]) * i) / steps, from[1] + ((to[1] - from[1]) * i) / steps];
    for (const line of before) {
      const now = left.get(line.id) ?? [line];
      const cut = now.map((piece) => erasedAt(view, piece, place, eraser));
      if (cut.some((one) => one !== null))
        left.set(
          line.id,
          cut.flatMap((one, n) => one ?? [now[n]]),
        );
    }
  }
  erasing.at = to;
  board.drag(exchangeLines(board.currentShot().id, [...left.keys()], [...left.values()].flat()));
}

/** What an eraser on the sheet leaves of a line, on whatever it is drawn; null where it does not touch it. */
function erasedAt(view: View, line: OwnLine, at: Vec2, radius: number): OwnLine[] | null {
  if (!("plane" in line)) return erased(line, at, radius, newId);
  try {
    const centre = placeOnPlane(view, line.plane, at);
    const side = placeOnPlane(view, line.plane, [at[0] + radius, at[1]]);
    return erased(line, centre, distance2(centre, side), newId);
  } catch {
    // The plane is not seen there: nothing of the line is, either.
    return null;
  }
}
