import { useRef, type PointerEvent } from "react";
import type { Vec2 } from "@zanvo/core/geometry";
import { useBoard } from "../useBoard";

/** One pointer from press to release. */
export interface DragPoint {
  /** Desk mm now, and where it was pressed. */
  readonly at: Vec2;
  readonly from: Vec2;
  /** Window px now. */
  readonly window: Vec2;
  readonly alt: boolean;
}

interface DragHandlers {
  readonly start: (point: DragPoint) => void;
  readonly move: (point: DragPoint) => void;
  /** The hand let go; `moved` is false for a mere press. */
  readonly end: (point: DragPoint, moved: boolean) => void;
  /** Escape, a second finger, or the pointer was lost. */
  readonly cancel: () => void;
}

/** Px a pointer must move before a press is a drag. */
const SLOP = 4;

/** Pointer handlers for a thing that is dragged over the desk; Escape gives the drag up. */
export function useDrag(handlers: DragHandlers) {
  const { deskPoint, windowPoint } = useBoard();
  const live = useRef<{ id: number; from: Vec2; start: Vec2; moved: boolean; stop: () => void } | null>(null);
  const pointOf = (event: PointerEvent): DragPoint => ({
    at: deskPoint(event),
    from: live.current?.from ?? deskPoint(event),
    window: windowPoint(event),
    alt: event.altKey,
  });
  const finish = () => {
    live.current?.stop();
    live.current = null;
  };
  const cancel = () => {
    if (!live.current) return;
    finish();
    handlers.cancel();
  };
  return {
    cancel,
    onPointerDown: (event: PointerEvent) => {
      if (event.button !== 0 || live.current) return;
      event.stopPropagation();
      handlers.start(pointOf(event));
      (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
      const onKey = (key: KeyboardEvent) => {
        if (key.key !== "Escape") return;
        key.stopImmediatePropagation();
        cancel();
      };
      addEventListener("keydown", onKey, true);
      const [from, start] = [deskPoint(event), windowPoint(event)];
      live.current = {
        id: event.pointerId,
        from,
        start,
        moved: false,
        stop: () => removeEventListener("keydown", onKey, true),
      };
    },
    onPointerMove: (event: PointerEvent) => {
      const drag = live.current;
      if (drag?.id !== event.pointerId) return;
      const point = pointOf(event);
      drag.moved ||= Math.hypot(point.window[0] - drag.start[0], point.window[1] - drag.start[1]) > SLOP;
      if (drag.moved) handlers.move(point);
    },
    onPointerUp: (event: PointerEvent) => {
      const drag = live.current;
      if (drag?.id !== event.pointerId) return;
      const point = pointOf(event);
      finish();
      handlers.end(point, drag.moved);
    },
    onPointerCancel: cancel,
  };
}
