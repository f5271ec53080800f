import type { Vec2 } from "@zanvo/core/geometry";
import { useState, type KeyboardEvent, type ReactNode, type RefObject } from "react";
import { flushSync } from "react-dom";
import { arrowBy } from "../ui/arrows";

/** How far an arrow key moves the cursor, px; with Shift six times as far. */
const STEP = 8;
const TIMES = 6;
/** The pointer that the cursor is: no other has this number. */
const POINTER = 7001;

/** A cursor that is moved by keys: where it is, px from the top left of what it moves over. */
interface KeyCursor {
  readonly at: Vec2;
  /** Whether it holds something down. */
  readonly down: boolean;
  /** Whether it was moved since it last pressed. */
  readonly moved: boolean;
}

interface KeyCursorProps {
  readonly holder: RefObject<HTMLElement | null>;
  /** What lies over it and takes the pointer, where something does. */
  readonly surface?: () => HTMLElement | null | undefined;
  /** Whether arrow keys are the cursor's, and nothing that is chosen is nudged by them. */
  readonly free: () => boolean;
  /** Whether what is done here is drawn from a press to letting go, so that Enter does one after the other. */
  readonly drags: () => boolean;
  /** Whether something is being drawn, which Escape gives up before it puts the cursor away. */
  readonly busy: () => boolean;
  /** Moves what lies under the cursor, px, where it would leave the window. */
  readonly scroll: (by: Vec2) => void;
  /** What is told of a place, px. */
  readonly told: (at: Vec2) => string;
}

/** Where the cursor comes to, and by how much it would leave the window. */
function stepped([x, y]: Vec2, [dx, dy]: Vec2, { clientWidth, clientHeight }: HTMLElement): readonly [Vec2, Vec2] {
  const to: Vec2 = [Math.min(Math.max(x + dx, 0), clientWidth - 1), Math.min(Math.max(y + dy, 0), clientHeight - 1)];
  return [to, [x + dx - to[0], y + dy - to[1]]];
}

/** Does to an element what a pointer there would do. */
function send(element: HTMLElement, type: string, [x, y]: Vec2, down: boolean, shiftKey = false): void {
  const box = element.getBoundingClientRect();
  const event = new PointerEvent(type, {
    bubbles: true,
    cancelable: true,
    pointerId: POINTER,
    pointerType: "mouse",
    isPrimary: true,
    button: type === "pointermove" ? -1 : 0,
    buttons: down ? 1 : 0,
    clientX: box.left + x,
    clientY: box.top + y,
    shiftKey,
  });
  // What follows finds what this has done.
  flushSync(() => element.dispatchEvent(event));
}

/**
 * A cursor for those who work without a mouse: arrow keys move it over a drawing that has the focus, and Enter presses
 * there. Enter where it has pressed already is left to the drawing, which ends what is drawn; so is Escape while
 * anything is being drawn.
 */
export function useKeyCursor({ holder, surface, free, drags, busy, scroll, told }: KeyCursorProps) {
  const [cursor, setCursor] = useState<KeyCursor | null>(null);

  const move = (element: HTMLElement, by: Vec2) => {
    const from: Vec2 = cursor?.at ?? [element.clientWidth / 2, element.clientHeight / 2];
    const [at, over] = cursor ? stepped(from, by, element) : ([from, [0, 0]] as const);
    if (over[0] || over[1]) scroll([-over[0], -over[1]]);
    setCursor({ at, down: cursor?.down ?? false, moved: true });
    send(surface?.() ?? element, "pointermove", at, cursor?.down ?? false);
  };
  const press = (element: HTMLElement, { at, down }: KeyCursor, shift: boolean) => {
    const holds = !down && drags();
    const target = surface?.() ?? element;
    if (!down) send(target, "pointerdown", at, true, shift);
    if (!holds) send(target, "pointerup", at, false, shift);
    setCursor({ at, down: holds, moved: false });
  };

  /** @returns whether the key was the cursor's */
  const onKeyDown = (event: KeyboardEvent): boolean => {
    const element = holder.current;
    if (!element || event.target !== element || event.ctrlKey || event.metaKey) return false;
    const by = cursor || free() ? arrowBy(event, event.altKey ? 1 : STEP, TIMES) : null;
    const presses = event.key === "Enter" && cursor && (cursor.moved || cursor.down);
    const leaves = event.key === "Escape" && cursor && !busy();
    if (by) move(element, by);
    else if (presses) press(element, cursor, event.shiftKey);
    else if (leaves) setCursor(null);
    // What is held is let go by those who give it up.
    else if (event.key === "Escape" && cursor?.down) setCursor({ ...cursor, down: false });
    if (!by && !presses && !leaves) return false;
    event.preventDefault();
    event.stopPropagation();
    return true;
  };

  const shown: ReactNode = cursor && (
    <>
      <svg
        aria-hidden
        data-testid="key-cursor"
        width={29}
        height={29}
        viewBox="-14.5 -14.5 29 29"
        className="pointer-events-none absolute z-20"
        style={{ left: cursor.at[0] - 14.5, top: cursor.at[1] - 14.5 }}
      >
        <path d="M-13 0H-4M4 0H13M0 -13V-4M0 4V13" stroke="#fffdf8" strokeWidth={4} />
        <path d="M-13 0H-4M4 0H13M0 -13V-4M0 4V13" stroke={cursor.down ? "#b93a17" : "#26251f"} strokeWidth={1.8} />
      </svg>
      <span role="status" className="sr-only">
        {told(cursor.at)}
      </span>
    </>
  );
  return {
    shown,
    onKeyDown,
    /** Puts the cursor away: another pointer is at work, or the focus has gone. */
    hide: (event?: { readonly nativeEvent: Event }) => {
      if (cursor && event?.nativeEvent.isTrusted !== false) setCursor(null);
    },
  };
}

/** Has an element get all of a pointer's events; a cursor moved by keys sends it nothing else anyway. */
export function capturePointer(event: {
  readonly currentTarget: EventTarget;
  readonly pointerId: number;
  readonly isTrusted: boolean;
}): void {
  if (event.isTrusted) (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}
