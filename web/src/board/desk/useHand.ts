import { useEffect, useRef, useState, type PointerEvent, type RefObject } from "react";
import { footAt } from "@zanvo/core/construct";
import { contains, type Vec2 } from "@zanvo/core/geometry";
import { metres, mm, sentence } from "@zanvo/core/units";
import { moveElement, standingOf } from "./blocks";
import { pan, pinched, wheeled } from "../../canvas/camera";
import { currentView, deskPoint, look, setRaising, showTag, takeMeasure, useDesk, windowPoint } from "./desk";
import { solids, solidsNow } from "./useSolids";
import { begin, onPaper, reach } from "./raise";
import { useDrag, type DragPoint } from "./useDrag";
import {
  useDocument,
  beginGesture,
  drag,
  endGesture,
  cancelGesture,
  choose,
  useView,
  currentShot,
} from "../../document";
import { replaceElement } from "../../document/elements";

/** How near to a corner or a street line a foot is drawn to it, in window px. */
const REACH = 9;

const reachMm = (alt: boolean): number => (alt ? 0 : REACH / useDesk.getState().camera.scale);

type Doing =
  | { readonly what: "pan"; readonly last: Vec2 }
  | { readonly what: "raise" }
  | { readonly what: "move"; readonly id: string }
  | { readonly what: "nothing" };

/** What the hand does on the desk itself: raising, choosing and moving buildings, panning and zooming. */
export function useHand(holder: RefObject<HTMLDivElement | null>) {
  const stage = useView((view) => view.stage);
  const tool = useView((view) => view.tool);
  const space = useSpace(holder);
  const fingers = useRef(new Map<number, Vec2>());
  const doing = useRef<Doing>({ what: "nothing" });
  useWheel(holder);

  const gesture = useDrag({
    start: (point) => {
      doing.current = begun(point, space);
    },
    move: (point) => {
      const now = doing.current;
      if (now.what === "pan") {
        look(pan(useDesk.getState().camera, point.window[0] - now.last[0], point.window[1] - now.last[1]));
        doing.current = { what: "pan", last: point.window };
      } else if (now.what === "raise") drawOut(point);
      else if (now.what === "move") moveChosen(now.id, point);
    },
    end: (point, moved) => {
      const { what } = doing.current;
      doing.current = { what: "nothing" };
      if (
        what === "raise" &&
        (moved || useDesk.getState().raising?.step !== "height" || useDesk.getState().raising?.measures.height)
      ) {
        const lack = takeMeasure();
        if (lack) showTag({ at: point.window, text: lack, wrong: true });
      }
      if (what === "move") {
        endGesture();
        showTag(null);
        useDesk.setState({ foot: null });
      }
    },
    cancel: () => {
      if (doing.current.what === "raise") setRaising(null);
      if (doing.current.what === "move") cancelGesture();
      doing.current = { what: "nothing" };
      showTag(null);
    },
  });

  return {
    cursor: space ? "grab" : stage === "masses" && tool === "raise" ? "crosshair" : "default",
    onPointerDown: (event: PointerEvent) => {
      if (event.pointerType === "touch") {
        fingers.current.set(event.pointerId, windowPoint(event));
        if (fingers.current.size === 2) return gesture.cancel();
        if (fingers.current.size > 2) return;
      }
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
      gesture.onPointerDown(event);
    },
    onPointerMove: (event: PointerEvent) => {
      const at = windowPoint(event);
      if (fingers.current.has(event.pointerId) && fingers.current.size === 2) {
        const [other] = [...fingers.current].filter(([id]) => id !== event.pointerId).map(([, place]) => place);
        const before = fingers.current.get(event.pointerId)!;
        fingers.current.set(event.pointerId, at);
        look(pinched(useDesk.getState().camera, before, at, other));
        return;
      }
      useDesk.setState({ pointer: deskPoint(event) });
      gesture.onPointerMove(event);
      if (doing.current.what === "nothing" && event.buttons === 0) hover(event);
    },
    onPointerUp: (event: PointerEvent) => {
      fingers.current.delete(event.pointerId);
      gesture.onPointerUp(event);
    },
    onPointerCancel: (event: PointerEvent) => {
      fingers.current.delete(event.pointerId);
      gesture.onPointerCancel();
    },
    onPointerLeave: () => useDesk.setState({ pointer: null, foot: null }),
  };
}

const chooseOne = (id: string | null): void => choose(id === null ? [] : [id]);

/** What a press begins: panning, a building or its next measure, or moving one. */
function begun({ at, window, alt }: DragPoint, panning: boolean): Doing {
  const { stage, tool } = useView.getState();
  const { scene } = useDocument.getState();
  const shot = currentShot();
  if (panning || stage !== "masses") return { what: "pan", last: window };
  const view = currentView();
  if (tool === "raise") {
    if (useDesk.getState().raising) {
      drawOut({ at, from: at, window, alt });
      return { what: "raise" };
    }
    if (!contains(shot.frame, at)) return { what: "pan", last: window };
    const foot = footAt(view, standingOf(scene.elements), at, reachMm(alt));
    if (!foot) {
      showTag({ at: window, text: "Press on the ground, below the horizon.", wrong: true });
      return { what: "nothing" };
    }
    setRaising(begin(foot, scene.orientations[0]?.heading ?? 0, shot.gaze.heading));
    return { what: "raise" };
  }
  const choosing = solidsNow();
  if (!choosing) {
    // The first press right after coming here: it chooses as soon as it can.
    void solids().then(({ pick }) => chooseOne(contains(shot.frame, at) ? pick(view, scene.elements, at) : null));
    return { what: "nothing" };
  }
  const id = contains(shot.frame, at) ? choosing.pick(view, scene.elements, at) : null;
  chooseOne(id);
  if (!id || scene.elements.find((one) => one.id === id)?.locked) return { what: "pan", last: window };
  beginGesture();
  return { what: "move", id };
}

/** Draws the current measure of a building out to the pointer, and shows it. */
function drawOut({ at, window }: DragPoint): void {
  const { raising } = useDesk.getState();
  if (!raising) return;
  const view = currentView();
  const next = reach(view, raising, at);
  const paper = onPaper(view, next);
  const name = next.step === "height" ? "up" : next.step;
  useDesk.setState({
    raising: next,
    tag: {
      at: window,
      text: sentence`${name} ${metres(next.measures[next.step])}${paper === null ? "" : sentence` · ${mm(paper)}`}`,
    },
  });
}

function moveChosen(id: string, { at, from, window, alt }: DragPoint): void {
  const { gesture, scene } = useDocument.getState();
  const before = (gesture?.base ?? scene).elements;
  const element = before.find((one) => one.id === id);
  const moved =
    element &&
    moveElement(
      currentView(),
      element,
      before.filter((one) => one.id !== id),
      [at[0] - from[0], at[1] - from[1]],
      reachMm(alt),
    );
  if (!moved) return showTag({ at: window, text: "There is no ground above the horizon.", wrong: true });
  drag(replaceElement(moved.element));
  useDesk.setState({ foot: moved.foot });
  showTag({
    at: window,
    text: sentence`${metres(moved.far)} over the ground${
      moved.foot.on ? `, to the ${moved.foot.on.what} of ` + `${moved.foot.on.block.name}` : ""
    }`,
  });
}

/** What is shown before a press: where a foot would be drawn to, or how far the next measure has come. */
function hover(event: PointerEvent): void {
  const { stage, tool } = useView.getState();
  const { scene } = useDocument.getState();
  if (stage !== "masses" || tool !== "raise") return;
  const { raising } = useDesk.getState();
  const at = deskPoint(event);
  if (raising) drawOut({ at, from: at, window: windowPoint(event), alt: event.altKey });
  else {
    const foot = contains(currentShot().frame, at)
      ? footAt(currentView(), standingOf(scene.elements), at, reachMm(event.altKey))
      : null;
    useDesk.setState({
      foot,
      tag: foot?.on ? { at: windowPoint(event), text: `${foot.on.what} of ${foot.on.block.name}` } : null,
    });
  }
}

/** What a wheel or a trackpad does over the desk. */
function useWheel(holder: RefObject<HTMLDivElement | null>): void {
  useEffect(() => {
    const element = holder.current;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      look(wheeled(useDesk.getState().camera, event, windowPoint(event)));
    };
    element?.addEventListener("wheel", onWheel, { passive: false });
    return () => element?.removeEventListener("wheel", onWheel);
  }, [holder]);
}

/** Whether the space bar is held over the desk. */
function useSpace(holder: RefObject<HTMLDivElement | null>): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== " ") return;
      const typing =
        event.target instanceof Element &&
        event.target.closest("input, select, textarea, [role=slider], [role=dialog]");
      if (event.type === "keydown" && !typing && holder.current?.matches(":hover")) {
        event.preventDefault();
        setHeld(true);
      } else if (event.type === "keyup") setHeld(false);
    };
    addEventListener("keydown", onKey);
    addEventListener("keyup", onKey);
    return () => {
      removeEventListener("keydown", onKey);
      removeEventListener("keyup", onKey);
    };
  }, [holder]);
  return held;
}
