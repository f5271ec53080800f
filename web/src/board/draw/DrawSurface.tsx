import { useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { Layer } from "@zanvo/core/drawing";
import type { Vec2 } from "@zanvo/core/geometry";
import type { OwnLine } from "@zanvo/core/lines";
import { viewOf } from "@zanvo/core/shot";
import { stepLayers } from "@zanvo/core/stepPictures";
import { Canvas, Layers } from "../../canvas";
import { pan } from "../../canvas/camera";
import { capturePointer } from "../../canvas/useKeyCursor";
import { ANYWHERE } from "../../page/keys";
import { ORDER } from "../desk/order";
import { solids, solidsNow } from "../desk/useSolids";
import { useBoard, type Board } from "../useBoard";
import { createSnaps } from "./aiming";
import { chooseAt, cutAt, moveChosen } from "./choosing";
import type { Begun, DrawTool } from "./createDraw";
import { beginErasing, eraseTo, type Erasing } from "./erasing";
import { Grips } from "./Grips";
import {
  drawStroke,
  finishCorners,
  followLine,
  pressLine,
  pressWall,
  releaseLine,
  releaseStroke,
  type HandPoint,
  type Snaps,
} from "./hand";
import { PRESSES } from "./making";
import { chosenLayers, mark, onPaper, patchLayer, ringLayer } from "./preview";
import { previewOf } from "./previewOf";
import { useChosenLines } from "./useOwnLines";
import { useSteps } from "./useSteps";

/** Px a pointer must move before a press is a drag. */
const SLOP = 4;

/** What the hand does between a press and letting go. */
type Doing =
  | { readonly what: "line" }
  | { readonly what: "stroke" }
  | { readonly what: "erase"; readonly erasing: Erasing }
  | { readonly what: "move"; readonly before: readonly OwnLine[] }
  | { readonly what: "pan"; last: Vec2 };

interface Live {
  readonly id: number;
  readonly from: HandPoint;
  readonly doing: Doing;
  moved: boolean;
}

const pointOf = (
  board: Board,
  event: { clientX: number; clientY: number; pressure: number; altKey: boolean; shiftKey: boolean },
): HandPoint => ({
  at: board.deskPoint(event),
  window: board.windowPoint(event),
  // A mouse tells no pressure: half is what it is drawn with.
  pressure: event.pressure > 0 ? event.pressure : 0.5,
  alt: event.altKey,
  shift: event.shiftKey,
});

/** Where a pointer was since its last event: a pen tells more often than a page is drawn. */
const samplesOf = (board: Board, { nativeEvent, altKey, shiftKey }: PointerEvent): HandPoint[] => {
  const all = nativeEvent.getCoalescedEvents?.() ?? [];
  return (all.length > 0 ? all : [nativeEvent]).map(({ clientX, clientY, pressure }) =>
    pointOf(board, { clientX, clientY, pressure, altKey, shiftKey }),
  );
};

/** What a press begins. */
function begin(board: Board, snaps: Snaps, point: HandPoint): Doing | null {
  const { tool } = board.useDraw.getState();
  if (tool === "pencil") {
    drawStroke(board, [point], true);
    return { what: "stroke" };
  }
  if (tool === "eraser") return { what: "erase", erasing: beginErasing(board, point.at) };
  if (tool === "trim" || tool === "extend") {
    cutAt(board, snaps, point, tool);
    return null;
  }
  if (tool === "quad" && board.useDraw.getState().wall) {
    pressWall(board, point);
    return null;
  }
  if (PRESSES[tool] !== undefined) {
    pressLine(board, snaps, point);
    return { what: "line" };
  }
  if (!chooseAt(board, point)) return { what: "pan", last: point.window };
  board.beginGesture();
  return { what: "move", before: board.chosenLines() };
}

/** Goes on with what a press began. */
function follow(board: Board, snaps: Snaps, { doing, from }: Live, points: readonly HandPoint[]): void {
  const last = points[points.length - 1];
  if (doing.what === "line") followLine(board, snaps, last);
  else if (doing.what === "stroke") drawStroke(board, points, false);
  else if (doing.what === "erase") points.forEach(({ at }) => eraseTo(board, doing.erasing, at));
  else if (doing.what === "move") moveChosen(board, doing.before, from.at, last);
  else if (doing.what === "pan") {
    const { camera } = board.useDesk.getState();
    board.look(pan(camera, last.window[0] - doing.last[0], last.window[1] - doing.last[1]));
    doing.last = last.window;
  }
}

/** Ends what a press began. */
function end(board: Board, { doing, moved }: Live, point: HandPoint): void {
  if (doing.what === "line") releaseLine(board, point, moved);
  else if (doing.what === "stroke") releaseStroke(board, point);
  else if (doing.what === "erase" || doing.what === "move") {
    board.endGesture();
    board.showTag(null);
  }
}

/** The hand that draws: one pointer from press to letting go; a second finger gives it up. */
function useDrawHand(panning: boolean) {
  const board = useBoard();
  const live = useRef<Live | null>(null);
  const [snaps] = useState(createSnaps);
  const looking = useRef(0);

  /** Finds the plane under the pointer, at most once a frame. */
  const lookUnder = (point: HandPoint) => {
    if (board.useDraw.getState().surface === "sheet" || board.useDraw.getState().begun) return;
    cancelAnimationFrame(looking.current);
    looking.current = requestAnimationFrame(() => {
      const now = solidsNow();
      if (!now) return void solids();
      const plane = now.planeAt(board.currentView(), board.looked(), point.at);
      board.drawWith({ under: plane && { plane, at: point.at } });
    });
  };
  const cancel = () => {
    const { current } = live;
    live.current = null;
    if (current?.doing.what === "erase" || current?.doing.what === "move") board.cancelGesture();
    else if (!current && !board.useDraw.getState().begun) board.chooseLines([]);
    board.setBegun(null);
    board.showTag(null);
  };
  useEffect(() => () => cancelAnimationFrame(looking.current), []);
  return {
    snaps,
    cancel,
    onPointerDown: (event: PointerEvent) => {
      if (panning || event.button !== 0) return;
      if (live.current) return cancel();
      const point = pointOf(board, event);
      const doing = begin(board, snaps, point);
      if (!doing) return;
      capturePointer(event);
      live.current = { id: event.pointerId, from: point, doing, moved: false };
    },
    onPointerMove: (event: PointerEvent) => {
      const { current } = live;
      const point = pointOf(board, event);
      if (!current) {
        if (event.buttons !== 0 && event.isTrusted) return;
        lookUnder(point);
        if (board.useDraw.getState().begun?.waits) followLine(board, snaps, point);
        return;
      }
      if (current.id !== event.pointerId) return;
      const { from } = current;
      current.moved ||= Math.hypot(point.window[0] - from.window[0], point.window[1] - from.window[1]) > SLOP;
      if (current.moved || current.doing.what === "stroke") follow(board, snaps, current, samplesOf(board, event));
    },
    onPointerUp: (event: PointerEvent) => {
      const { current } = live;
      if (current?.id !== event.pointerId) return;
      live.current = null;
      end(board, current, pointOf(board, event));
    },
    onPointerCancel: cancel,
    onDoubleClick: () => finishCorners(board),
  };
}

/** What is painted of what is being drawn, and of what is chosen. */
function usePreview(): readonly Layer[] {
  const { useDraw, useShot, useDesk } = useBoard();
  const { begun, surface, under, tool, eraser } = useDraw();
  const pointer = useDesk((desk) => (tool === "eraser" ? desk.pointer : null));
  const shot = useShot();
  const view = useMemo(() => viewOf(shot), [shot]);
  const chosen = useChosenLines();
  const marked = useMemo(() => chosenLayers(view, chosen), [view, chosen]);
  const made = useShownSteps();
  return useMemo(() => {
    const plane = begun ? begun.plane : surface === "sheet" ? null : surface === "under" ? under?.plane : surface;
    const patchAt = begun?.to ?? under?.at;
    const draws = tool !== "choose" && tool !== "eraser";
    const patch = plane && patchAt && draws ? patchLayer(view, plane, patchAt) : null;
    return [
      ...made,
      ...marked,
      ...(patch ? [patch] : []),
      ...(begun ? begunLayers(view, tool, begun) : []),
      ...(begun?.snap ? [ringLayer(begun.snap.at)] : []),
      ...(pointer ? [ringLayer(pointer, eraser)] : []),
    ];
  }, [view, made, marked, begun, surface, under, tool, pointer, eraser]);
}

/** What is painted of a construction that is shown, up to its step. */
function useShownSteps(): readonly Layer[] {
  const { useDraw, useShot } = useBoard();
  const step = useDraw((draw) => draw.shown?.step ?? 0);
  const found = useSteps();
  const { sheet } = useShot();
  return useMemo(
    () => (found ? stepLayers(found.steps, Math.min(step, found.steps.length - 1), 1, sheet.width / 2) : []),
    [found, step, sheet.width],
  );
}

function begunLayers(view: ReturnType<typeof viewOf>, tool: DrawTool, begun: Begun): Layer[] {
  const { samples } = begun;
  if (samples.length > 0) {
    const places = Array.from({ length: samples.length / 3 }, (_, i): Vec2 => [samples[3 * i], samples[3 * i + 1]]);
    return [mark("stroke", onPaper(places), 0.35)];
  }
  return previewOf(view, tool, begun);
}

/** The keys of drawing. */
function useDrawKeys(cancel: () => void): void {
  const board = useBoard();
  const enabled = board.useSingleKeys(({ on }) => on);
  const single = { ...ANYWHERE, enabled };
  useHotkeys("h", () => toggleHold(board), single);
  useHotkeys("p", () => togglePlane(board), single);
  useHotkeys("enter", () => finishCorners(board), ANYWHERE);
  useHotkeys("escape", cancel, ANYWHERE);
  useHotkeys(
    "delete, backspace",
    () => {
      const { chosen, begun } = board.useDraw.getState();
      if (chosen.length > 0 && !begun) board.exchange(chosen, []);
    },
    ANYWHERE,
  );
}

/** Holds the set that the line aims at, or lets go of the one that is held. */
export function toggleHold({ useDraw, drawWith }: Board): void {
  const { hold, begun } = useDraw.getState();
  drawWith({ hold: hold === null ? (begun?.aim?.pin.id ?? null) : null });
}

/** Holds the plane under the pointer, or lets go of the one that is held. */
export function togglePlane({ useDraw, drawWith }: Board): void {
  const { surface, under } = useDraw.getState();
  if (surface === "under" && under) drawWith({ surface: under.plane });
  else if (surface !== "sheet") drawWith({ surface: "under" });
}

/** Lies over the desk while one draws: takes the hand, and shows what it draws. */
export function DrawSurface({ panning }: { readonly panning: boolean }) {
  const { useDesk, setBegun, useView, useDraw } = useBoard();
  const size = useDesk((desk) => desk.size);
  const camera = useDesk((desk) => desk.camera);
  const shotId = useView(({ shotId: id }) => id);
  const tool = useDraw((draw) => draw.tool);
  const { snaps: _, cancel, ...hand } = useDrawHand(panning);
  const layers = usePreview();
  useDrawKeys(cancel);
  // What is being drawn belongs to the picture it was begun in.
  useEffect(() => () => setBegun(null), [shotId, setBegun]);
  useEffect(() => void solids(), []);
  return (
    <>
      <div
        data-testid="draw-surface"
        className={`absolute inset-0 touch-none ${panning ? "pointer-events-none" : ""}`}
        style={{ cursor: tool === "choose" ? "default" : "crosshair" }}
        {...hand}
      />
      <Canvas {...size} {...camera} className="absolute inset-0">
        <Layers layers={layers} order={ORDER.marks} />
      </Canvas>
      {tool === "choose" && <Grips />}
    </>
  );
}
