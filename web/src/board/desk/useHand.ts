import { useEffect, useRef, useState, type PointerEvent, type RefObject } from "react";
import { footAt, type Foot } from "@zanvo/core/construct";
import { add, contains, corners, dot, middle, sub, type Vec2 } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { unprojectTo, unprojectToGround, type View } from "@zanvo/core/shot";
import { kindOf, type Element } from "@zanvo/core/world";
import { metres, mm, sentence } from "@zanvo/core/units";
import { moveElement, standingOf, streetsAt } from "./blocks";
import { pan, pinched, wheeled } from "../../canvas/camera";
import { solids, solidsNow } from "./useSolids";
import { caughtHeight, heightMarks } from "./heights";
import { alongOf, begin, beginAtTop, onPaper, reach, type Raising } from "./raise";
import { useDrag, type DragPoint } from "./useDrag";
import { isThing } from "../fittings/isThing";
import type { StageId } from "../../document";
import { replaceElement } from "../../document/elements";
import { useBoard, type Board } from "../useBoard";

/** How near to a corner or a street line a foot is drawn to it, in window px. */
const REACH = 9;

const reachMm = (stores: Board, alt: boolean): number => (alt ? 0 : REACH / stores.useDesk.getState().camera.scale);

type Doing =
  | { readonly what: "pan"; readonly last: Vec2 }
  | { readonly what: "raise" }
  /** `again`: it was chosen before it was pressed. */
  | { readonly what: "move"; readonly id: string; readonly again?: boolean }
  | { readonly what: "nothing" };

/** What the hand does on the desk itself: raising, choosing and moving buildings, panning and zooming. */
export function useHand(holder: RefObject<HTMLDivElement | null>) {
  const stores = useBoard();
  const { useView, useDesk } = stores;
  const stage = useView((view) => view.stage);
  const tool = useView((view) => view.tool);
  const space = useSpace(holder);
  const fingers = useRef(new Map<number, Vec2>());
  const doing = useRef<Doing>({ what: "nothing" });
  useWheel(holder);

  const gesture = useDrag({
    start: (point) => {
      doing.current = begun(stores, point, space);
    },
    move: (point) => {
      const now = doing.current;
      if (now.what === "pan") {
        stores.look(pan(useDesk.getState().camera, point.window[0] - now.last[0], point.window[1] - now.last[1]));
        doing.current = { what: "pan", last: point.window };
      } else if (now.what === "raise") drawOut(stores, point);
      else if (now.what === "move") moveChosen(stores, now.id, point);
    },
    scrolls: () => doing.current.what === "raise" || doing.current.what === "move",
    end: (point, moved) => {
      const ended = doing.current;
      doing.current = { what: "nothing" };
      if (!moved && pressesOn(ended) && isPutting(useView.getState().stage) && !space)
        void import("../fittings/pressWall").then(({ press }) => press(stores, point.at, point.window));
      if (ended.what === "raise" && (moved || !isFresh(useDesk.getState().raising))) {
        const lack = stores.takeMeasure();
        if (lack) stores.showTag({ at: point.window, text: lack, wrong: true });
      }
      if (ended.what === "move") {
        stores.endGesture();
        stores.showTag(null);
        useDesk.setState({ foot: null });
      }
    },
    cancel: () => {
      if (doing.current.what === "raise") stores.setRaising(null);
      if (doing.current.what === "move") stores.cancelGesture();
      doing.current = { what: "nothing" };
      stores.showTag(null);
    },
  });

  return {
    panning: space,
    cursor: space ? "grab" : stage === "masses" && tool === "raise" ? "crosshair" : "default",
    onPointerDown: (event: PointerEvent) => {
      if (event.pointerType === "touch") {
        fingers.current.set(event.pointerId, stores.windowPoint(event));
        if (fingers.current.size === 2) return gesture.cancel();
        if (fingers.current.size > 2) return;
      }
      // A field that is typed in is left, and takes what was typed.
      holder.current?.focus({ preventScroll: true });
      // While one draws, what lies over the desk takes the hand.
      if (stage !== "draw" || space) gesture.onPointerDown(event);
    },
    onPointerMove: (event: PointerEvent) => {
      const at = stores.windowPoint(event);
      if (fingers.current.has(event.pointerId) && fingers.current.size === 2) {
        const [other] = [...fingers.current].filter(([id]) => id !== event.pointerId).map(([, place]) => place);
        const before = fingers.current.get(event.pointerId)!;
        fingers.current.set(event.pointerId, at);
        stores.look(pinched(useDesk.getState().camera, before, at, other));
        return;
      }
      useDesk.setState({ pointer: stores.deskPoint(event) });
      gesture.onPointerMove(event);
      if (doing.current.what === "nothing" && event.buttons === 0) hover(stores, event);
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

/** Whether things are put down where one presses. */
const isPutting = (stage: StageId): boolean => stage === "fittings" || stage === "street";

/** Whether a press is handed on: one on what was chosen already may tell more, such as who of a crowd is meant. */
const pressesOn = (doing: Doing): boolean => doing.what === "pan" || (doing.what === "move" && doing.again === true);

const chooseOne = (stores: Board, id: string | null): void => stores.choose(id === null ? [] : [id]);

/** What a press begins: panning, a building or its next measure, or moving one. */
function begun(stores: Board, { at, window, alt }: DragPoint, panning: boolean): Doing {
  const { stage, tool } = stores.useView.getState();
  const { scene } = stores.useDocument.getState();
  const shot = stores.currentShot();
  if (panning || (stage !== "masses" && !isPutting(stage))) return { what: "pan", last: window };
  if (isPutting(stage)) return fitting(stores, at, window);
  const view = stores.currentView();
  if (tool === "raise") {
    if (stores.useDesk.getState().raising) {
      drawOut(stores, { at, from: at, window, alt });
      return { what: "raise" };
    }
    if (!contains(shot.frame, at) && !reachesOut(shot, view)) return { what: "pan", last: window };
    const begun = beginAt(stores, at, reachMm(stores, alt));
    if (!begun) {
      const { fromTop } = stores.useView.getState();
      const text = fromTop ? "Press a top, above eye level." : "Press on the ground, below the horizon.";
      stores.showTag({ at: window, text, wrong: true });
      return { what: "nothing" };
    }
    stores.setRaising(begun);
    if (begun.top) drawOut(stores, { at, from: at, window, alt });
    return { what: "raise" };
  }
  const choosing = solidsNow();
  if (!choosing) {
    // The first press right after coming here: it chooses as soon as it can.
    void solids().then(({ pick }) =>
      chooseOne(stores, contains(shot.frame, at) ? pick(view, stores.looked(), at) : null),
    );
    return { what: "nothing" };
  }
  const id = contains(shot.frame, at) ? choosing.pick(view, stores.looked(), at) : null;
  chooseOne(stores, id);
  if (!id || scene.elements.find((one) => one.id === id)?.locked) return { what: "pan", last: window };
  stores.beginGesture();
  return { what: "move", id };
}

/** What a press begins among fittings: moving a thing that is put somewhere, or else panning. */
function fitting(stores: Board, at: Vec2, window: Vec2): Doing {
  const { elements } = stores.useDocument.getState().scene;
  const id = stores.useFittings.getState().putting
    ? null
    : solidsNow()?.pick(stores.currentView(), stores.looked(), at);
  const element = elements.find((one) => one.id === id);
  if (!element || element.locked || !isThing(element)) return { what: "pan", last: window };
  const again = stores.chosenElements()[0]?.id === element.id;
  stores.fit({ wall: null, bay: null });
  chooseOne(stores, element.id);
  stores.beginGesture();
  return { what: "move", id: element.id, again };
}

/** Whether a raising waits for its first measure: a mere press only says where it begins. */
const isFresh = (raising: Raising | null): boolean =>
  raising?.step === "distance" || (raising?.step === "height" && raising.measures.height === 0);

/** Whether no ground is seen in the panel, so that it is reached on the desk around it, and from the tops down. */
const reachesOut = ({ frame }: Shot, view: View): boolean =>
  [...corners(frame), middle(frame)].every((place) => unprojectToGround(view, place) === null);

/** The building that a press begins: from a foot on the ground, or where none is seen in the panel from its top. */
function beginAt(stores: Board, at: Vec2, reach: number): Raising | null {
  const { scene } = stores.useDocument.getState();
  const shot = stores.currentShot();
  const [view, blocks] = [stores.currentView(), standingOf(scene.elements)];
  const along = (foot: Foot) =>
    alongOf(foot, streetsAt(scene, foot.at, stores.useView.getState().along), shot.gaze.heading);
  const { from, fromTop } = stores.useView.getState();
  if (fromTop) return beginAtTop(view, blocks, at, reach, along);
  const foot = footAt(view, blocks, at, reach, from);
  if (foot) return begin(foot, along(foot));
  return reachesOut(shot, view) ? beginAtTop(view, blocks, at, reach, along) : null;
}

/** Draws the current measure of a building out to the pointer, and shows it. */
function drawOut(stores: Board, { at, window, alt }: DragPoint): void {
  const { raising } = stores.useDesk.getState();
  if (!raising) return;
  const view = stores.currentView();
  const marks = heightMarks(view, stores.useDocument.getState().scene.elements);
  const { raising: next, mark } = caughtHeight(view, reach(view, raising, at), marks, reachMm(stores, alt));
  const paper = onPaper(view, next);
  const name = { distance: "away", height: "up", left: "left", right: "right" }[next.step];
  const drawn = paper === null ? "" : sentence` · ${mm(paper)}`;
  const high = next.step === "distance" ? sentence`, ${metres(next.measures.height)} high` : "";
  stores.useDesk.setState({
    raising: next,
    tag: {
      at: window,
      text: sentence`${name} ${metres(next.measures[next.step])}${high}${drawn}${mark ? `, to ${mark.name}` : ""}`,
    },
  });
}

/** Moves what hangs in an upright plane within that. @returns whether it hangs */
function moveHung(stores: Board, element: Element, at: Vec2, from: Vec2): boolean {
  const hanging = kindOf(element).hangs?.(element);
  if (!hanging) return false;
  const [view, offset] = [stores.currentView(), dot(hanging.normal, hanging.at)];
  const [p, q] = [from, at].map((place) => unprojectTo(view, place, hanging.normal, offset));
  if (p && q) stores.drag(replaceElement(hanging.put(add(hanging.at, sub(q, p)))));
  return true;
}

function moveChosen(stores: Board, id: string, { at, from, window, alt }: DragPoint): void {
  const { gesture, scene } = stores.useDocument.getState();
  const before = (gesture?.base ?? scene).elements;
  const element = before.find((one) => one.id === id);
  if (element && moveHung(stores, element, at, from)) return;
  const moved =
    element &&
    moveElement(
      stores.currentView(),
      element,
      before.filter((one) => one.id !== id),
      [at[0] - from[0], at[1] - from[1]],
      reachMm(stores, alt),
    );
  if (!moved) return stores.showTag({ at: window, text: "There is no ground above the horizon.", wrong: true });
  stores.drag(replaceElement(moved.element));
  stores.useDesk.setState({ foot: moved.foot });
  stores.showTag({
    at: window,
    text: sentence`${metres(moved.far)} over the ground${
      moved.foot.on ? `, to the ${moved.foot.on.what} of ` + `${moved.foot.on.block.name}` : ""
    }`,
  });
}

/** What is shown before a press: where a foot would be drawn to, or how far the next measure has come. */
function hover(stores: Board, event: PointerEvent): void {
  const { stage, tool } = stores.useView.getState();
  if (stage !== "masses" || tool !== "raise") return;
  const { raising } = stores.useDesk.getState();
  const at = stores.deskPoint(event);
  if (raising) drawOut(stores, { at, from: at, window: stores.windowPoint(event), alt: event.altKey });
  else {
    const shot = stores.currentShot();
    const wanted = contains(shot.frame, at) || reachesOut(shot, stores.currentView());
    const begun = wanted ? beginAt(stores, at, reachMm(stores, event.altKey)) : null;
    const { on = null } = begun?.foot ?? {};
    stores.useDesk.setState({
      foot: begun?.foot ?? null,
      tag: on ? { at: stores.windowPoint(event), text: `${on.what} of ${on.block.name}` } : null,
    });
  }
}

/** What a wheel or a trackpad does over the desk. */
function useWheel(holder: RefObject<HTMLDivElement | null>): void {
  const { look, useDesk, windowPoint } = useBoard();
  useEffect(() => {
    const element = holder.current;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      look(wheeled(useDesk.getState().camera, event, windowPoint(event)));
    };
    element?.addEventListener("wheel", onWheel, { passive: false });
    return () => element?.removeEventListener("wheel", onWheel);
  }, [holder, look, useDesk, windowPoint]);
}

/** Whether the space bar is held over the desk. */
function useSpace(holder: RefObject<HTMLDivElement | null>): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== " ") return;
      const typing =
        event.target instanceof Element &&
        event.target.closest("input, select, textarea, button, a, summary, [role=slider], [role=dialog]");
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
