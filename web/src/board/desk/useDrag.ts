import { useEffect, useRef, type PointerEvent } from "react";
import type { Vec2 } from "@zanvo/core/geometry";
import { pan } from "../../canvas/camera";
import { capturePointer } from "../../canvas/useKeyCursor";
import { useBoard, type Board } from "../useBoard";
import { scrollFor } from "./edgeScroll";

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
  /** Whether the desk is scrolled while the hand is at its edge; it is where nothing is said. */
  readonly scrolls?: () => boolean;
}

/** Where a pointer is, as its last event had it. */
interface Pointer {
  readonly clientX: number;
  readonly clientY: number;
  readonly altKey: boolean;
}

/** A drag that goes on. */
interface Live {
  readonly id: number;
  readonly from: Vec2;
  readonly start: Vec2;
  moved: boolean;
  /** The pointer now; and whether it has been in the window's middle, so that at the edge it scrolls the desk. */
  pointer: Pointer;
  inside: boolean;
  readonly stop: () => void;
}

/** Px a pointer must move before a press is a drag. */
const SLOP = 4;

/** Scrolls the desk at every frame in which a dragging hand is at its edge. @returns ends it */
function scrolling(
  { useDesk, windowPoint, deskPoint, look }: Board,
  live: () => Live | null,
  again: () => void,
): () => void {
  let frame = requestAnimationFrame(function step() {
    frame = requestAnimationFrame(step);
    const drag = live();
    if (!drag) return;
    const { camera, size } = useDesk.getState();
    const [dx, dy] = scrollFor(windowPoint(drag.pointer), size);
    if (dx === 0 && dy === 0) drag.inside = true;
    else if (drag.inside && drag.moved) {
      look(pan(camera, dx, dy));
      useDesk.setState({ pointer: deskPoint(drag.pointer) });
      again();
    }
  });
  return () => cancelAnimationFrame(frame);
}

/** Pointer handlers for a thing that is dragged over the desk; Escape gives the drag up. */
export function useDrag(handlers: DragHandlers) {
  const stores = useBoard();
  const { deskPoint, windowPoint } = stores;
  const live = useRef<Live | null>(null);
  // Between two events of the pointer the desk may be scrolled: what moves then is what is drawn now.
  const latest = useRef(handlers);
  useEffect(() => {
    latest.current = handlers;
  });
  const pointOf = (pointer: Pointer): DragPoint => ({
    at: deskPoint(pointer),
    from: live.current?.from ?? deskPoint(pointer),
    window: windowPoint(pointer),
    alt: pointer.altKey,
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
  const follow = () => {
    if (live.current) latest.current.move(pointOf(live.current.pointer));
  };
  const scrolled = () => {
    const drag = live.current;
    return drag && (latest.current.scrolls?.() ?? true) ? drag : null;
  };
  return {
    cancel,
    onPointerDown: (event: PointerEvent) => {
      if (event.button !== 0 || live.current) return;
      event.stopPropagation();
      handlers.start(pointOf(event));
      capturePointer(event);
      const onKey = (key: KeyboardEvent) => {
        if (key.key !== "Escape") return;
        key.stopImmediatePropagation();
        cancel();
      };
      addEventListener("keydown", onKey, true);
      const still = scrolling(stores, scrolled, follow);
      live.current = {
        id: event.pointerId,
        from: deskPoint(event),
        start: windowPoint(event),
        moved: false,
        pointer: event,
        inside: false,
        stop: () => {
          removeEventListener("keydown", onKey, true);
          still();
        },
      };
    },
    onPointerMove: (event: PointerEvent) => {
      const drag = live.current;
      if (drag?.id !== event.pointerId) return;
      drag.pointer = event;
      const [x, y] = windowPoint(event);
      drag.moved ||= Math.hypot(x - drag.start[0], y - drag.start[1]) > SLOP;
      if (drag.moved) follow();
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
