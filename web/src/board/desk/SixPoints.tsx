import { arrowBy } from "../../ui/arrows";
import { useMemo, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { Layer } from "@zanvo/core/drawing";
import { middle, scale, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { LAWS } from "@zanvo/core/lens";
import {
  CurveBook,
  drawPlane,
  firstPlaceTold,
  projectDirection,
  seenBy,
  sixOf,
  sixPoints,
  slidTo,
  toEye,
  unproject,
  viewOf,
} from "@zanvo/core/shot";
import { toldBy } from "@zanvo/core/problem";
import { Layers } from "../../canvas";
import { toWindow } from "../../canvas/camera";
import { ORDER } from "./order";
import { useBoard } from "../useBoard";

const STYLE = { stroke: "#c8401f", width: 0.35, dash: [4, 1.5], opacity: 1 } as const;

/** The points there are so far, in eye axes: the one under the hand counts as placed. */
function usePoints(): readonly Vec3[] {
  const { useDesk, useDocument, useShot } = useBoard();
  const six = useDesk((desk) => desk.six);
  const hand = useDesk((desk) => desk.pointer);
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  return useMemo(() => {
    const [main] = orientations;
    if (!six || !main || LAWS[shot.lens.law].straight) return [];
    if (six.step === "named") return sixPoints(...sixOf(shot, main, six.names));
    const view = viewOf(shot);
    if (six.step === "first") return hand ? [toEye(view, unproject(view, hand))] : [];
    try {
      return hand ? sixPoints(six.first, slidTo(shot, six.first, hand)) : [six.first];
    } catch {
      return [six.first];
    }
  }, [six, hand, orientations, shot]);
}

/** The horizon of each point of a six-point set-up that is being made. */
function useSixLayers(): readonly Layer[] {
  const { useShot } = useBoard();
  const points = usePoints();
  const shot = useShot();
  return useMemo(
    () =>
      points.map((point, i) => {
        const book = new CurveBook();
        drawPlane(viewOf(shot), seenBy(shot, point), book);
        return {
          id: `six-${i}`,
          label: `Horizon of point ${i + 1}`,
          style: STYLE,
          lines: new Float64Array(),
          curves: book.curves(),
        };
      }),
    [points, shot],
  );
}

/** The horizons of the points, on the canvas around it. */
export const SixLayers = () => <Layers layers={useSixLayers()} order={ORDER.marks} />;

/** The six points by number, their opposites with a stroke, and the hand that places the first two. */
export function SixPoints() {
  const { useDesk, useShot } = useBoard();
  const six = useDesk((desk) => desk.six);
  const camera = useDesk((desk) => desk.camera);
  const points = usePoints();
  const shot = useShot();
  if (!six) return null;
  const marks = points.flatMap((point, i) =>
    [1, -1].map((side) => ({
      name: `${i + 1}${side < 0 ? "′" : ""}`,
      at: projectDirection(viewOf(shot), seenBy(shot, scale(point, side))),
    })),
  );
  return (
    <>
      {marks.map(({ name, at }) => {
        if (!at) return null;
        const [x, y] = toWindow(camera, at);
        return (
          <span
            key={name}
            className={
              "measure pointer-events-none absolute flex size-5 items-center justify-center " +
              "rounded-full border " +
              "border-accent bg-slip text-[11px] text-ink " +
              `${six.step === "named" ? "-translate-x-5 -translate-y-5" : ""}`
            }
            style={{ left: x - 10, top: y - 10 }}
          >
            {name}
          </span>
        );
      })}
      {six.step !== "named" && <Placing key={six.step} step={six.step} />}
    </>
  );
}

const ASKS = {
  first: "Place the first point: press anywhere on the disc, or move with the arrow keys and press Enter",
  second: "Slide the second point along the horizon of the first, and let go; or arrow keys and Enter",
} as const;

/** Catches the hand while a point is placed: it may hover, press, or drag and let go; the keys do as well. */
function Placing({ step }: { readonly step: "first" | "second" }) {
  const { useShot, useDesk, showTag, placeSix, deskPoint, windowPoint } = useBoard();
  const shot = useShot();
  const [start] = useState<Vec2>(() => middle(shot.frame));
  const tell = (at: Vec2, window: Vec2) => {
    useDesk.setState({ pointer: at });
    const view = viewOf(shot);
    const told = step === "first" ? firstPlaceTold(toEye(view, unproject(view, at))) : null;
    showTag(told ? { at: window, text: told } : null);
  };
  const put = (at: Vec2, window: Vec2) => {
    try {
      placeSix(at);
    } catch (wrong) {
      showTag({ at: window, text: toldBy(wrong), wrong: true });
    }
  };
  const onPointerMove = (event: PointerEvent) => {
    event.stopPropagation();
    tell(deskPoint(event), windowPoint(event));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = arrowBy(event, 0.5);
    if (!by && event.key !== "Enter") return;
    event.preventDefault();
    event.stopPropagation();
    const { pointer, camera } = useDesk.getState();
    const [x, y] = pointer ?? start;
    const at: Vec2 = by ? [x + by[0], y + by[1]] : [x, y];
    if (by) tell(at, toWindow(camera, at));
    else put(at, toWindow(camera, at));
  };
  return (
    <button
      type="button"
      autoFocus
      aria-label={ASKS[step]}
      className="absolute inset-0 cursor-crosshair touch-none focus-visible:outline-offset-[-3px]"
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={onPointerMove}
      onPointerUp={(event) => {
        if (event.button === 0) put(deskPoint(event), windowPoint(event));
      }}
      onKeyDown={onKeyDown}
    />
  );
}
