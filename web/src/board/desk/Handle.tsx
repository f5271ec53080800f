import { arrowBy } from "../../ui/arrows";
import { useRef, useState, type KeyboardEvent, type ReactNode } from "react";
import type { Vec2 } from "@zanvo/core/geometry";
import { toldBy } from "@zanvo/core/problem";
import { type Told } from "@zanvo/core/units";
import { toWindow } from "../../canvas/camera";
import { isAway, standInAt, type StandIn } from "./standIns";
import { useDrag } from "./useDrag";
import { useBoard } from "../useBoard";

/** Arrow keys move a thing by this much on paper, in mm; with Shift by ten times as much. */
const NUDGE = 0.5;

interface HandleProps {
  /** Where it is, desk mm. */
  readonly at: Vec2;
  /** What it is and where, for those who hear it. */
  readonly label: Told;
  readonly children: ReactNode;
  /** What it is and how far away, shown while it lies outside the window. */
  readonly away?: Told;
  /** Where it waits then, among others that do. */
  readonly standIn?: StandIn;
  readonly className?: string;
  /** Brings it to a place; @returns its measure. What is thrown is shown, and the last good state stays. */
  readonly onDrag: (to: Vec2, alt: boolean) => Told;
  /** Called when the hand lets go, or gives the drag up. */
  readonly onDone?: (givenUp: boolean) => void;
  /** Moves it by an arrow key. */
  readonly onNudge: (by: Vec2) => void;
}

interface WordsProps {
  /** The side of the handle that they are on. */
  readonly words: StandIn["words"];
  readonly children: string;
}

/** What is told beside a handle that waits at the window's edge. */
const Words = ({ words, children }: WordsProps) => (
  <span
    className={
      "measure pointer-events-none absolute top-1/2 w-max -translate-y-1/2 rounded bg-slip/90 px-1 " +
      `text-[11px] text-ink ${words === "left" ? "right-full" : "left-full"}`
    }
  >
    {children}
  </span>
);

/** A handle that is dragged, or nudged by arrow keys. One that lies outside the window waits at its edge. */
export function Handle({ at, label, children, away, standIn, className = "", onDrag, onDone, onNudge }: HandleProps) {
  const { useMeasures, useDesk, beginGesture, showTag, endGesture, cancelGesture } = useBoard();
  const measures = useMeasures();
  const camera = useDesk((desk) => desk.camera);
  const size = useDesk((desk) => desk.size);
  const start = useRef<Vec2>(at);
  const [nudged, setNudged] = useState(false);
  const window = toWindow(camera, at);
  const outside = isAway(window, size);
  const waiting = standIn ?? standInAt(window, size);
  const [cx, cy] = waiting.at;

  const { cancel: _, ...pointer } = useDrag({
    start: () => {
      start.current = at;
      beginGesture();
    },
    move: ({ at: now, from, window: hand, alt }) => {
      try {
        showTag({
          at: hand,
          text: onDrag([start.current[0] + now[0] - from[0], start.current[1] + now[1] - from[1]], alt),
        });
      } catch (error) {
        showTag({ at: hand, text: toldBy(error), wrong: true });
      }
    },
    end: () => {
      endGesture();
      showTag(null);
      onDone?.(false);
    },
    cancel: () => {
      cancelGesture();
      showTag(null);
      onDone?.(true);
    },
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const by = arrowBy(event, NUDGE);
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    try {
      onNudge(by);
      setNudged(true);
      showTag(null);
    } catch (error) {
      showTag({ at: [cx, cy], text: toldBy(error), wrong: true });
    }
  };
  return (
    <>
      <button
        type="button"
        aria-label={measures(label)}
        title={measures(label)}
        data-outside={outside || undefined}
        className={`absolute flex size-6 touch-none items-center justify-center rounded ${className}`}
        style={{ left: cx - 12, top: cy - 12 }}
        onKeyDown={onKeyDown}
        onBlur={() => {
          setNudged(false);
          showTag(null);
        }}
        {...pointer}
      >
        {children}
        {outside && away && <Words words={waiting.words}>{measures(away)}</Words>}
      </button>
      {nudged && (
        <span role="status" className="sr-only">
          {measures(label)}
        </span>
      )}
    </>
  );
}
