import { useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import { movedOnPlan, pickOnPlan, placeOnPlan, planBounds, shapeOnPlan, type Placed } from "@zanvo/core/construct";
import { distance2, degrees, wrap, type Vec2 } from "@zanvo/core/geometry";
import { validateElement, moved, outlineOf, placed as putAt, type Element, whyInvalid } from "@zanvo/core/world";
import { metres, sentence, type Told } from "@zanvo/core/units";
import { fit, pan, pinched, wheeled, type Camera, type Size } from "../board/desk/camera";
import { say } from "../ui";
import { useMeasures } from "../units";
import { viewOfElement } from "../elements";
import { handlesOf, addDrawn, onPlan, onWindow } from "./plan";
import { gazeEnd, PlanDrawing, type Sketched } from "./PlanDrawing";
import { CHOOSE, isPressed, type PlanTool } from "./tools";
import {
  useDocument,
  beginGesture,
  drag,
  endGesture,
  cancelGesture,
  choose,
  toggle,
  useMany,
  go,
  useShot,
  onShot,
} from "../document";
import { replaceMany, replaceElement } from "../document/elements";

/** How near things are drawn to and taken up, window px; round measures, m. */
const REACH = 9;
const ROUND = 0.5;

type Doing =
  | { readonly what: "pan"; readonly last: Vec2 }
  | { readonly what: "move"; readonly element: Element; readonly all: readonly Element[]; readonly from: Vec2 }
  | { readonly what: "corner"; readonly element: Element; readonly corner: number }
  | { readonly what: "eye" }
  | { readonly what: "gaze" }
  | { readonly what: "lasso"; readonly from: Vec2; readonly to: Vec2 }
  | { readonly what: "shape"; readonly from: Vec2; readonly to: Vec2 };

/** The outline that a tool draws in one go, if it does. */
const shapeOf = (tool: PlanTool) => (tool.gesture === "choose" ? undefined : tool.shape);

interface PlanProps {
  readonly tool: PlanTool;
  readonly onTool: (tool: PlanTool) => void;
}

/** The world from above, north up, to scale: things and eyes are dragged in metres, fresh ones drawn. */
export function Plan({ tool, onTool }: PlanProps) {
  const holder = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const [camera, setCamera] = useState<Camera | null>(null);
  const [doing, setDoing] = useState<Doing | null>(null);
  const [points, setPoints] = useState<readonly Vec2[]>([]);
  const [hover, setHover] = useState<Placed | null>(null);
  /** Fingers on the plan, and whether the last of two is still to be lifted. */
  const fingers = useRef(new Map<number, Vec2>());
  const pinchedNow = useRef(false);
  const [tag, setTag] = useState<{ readonly at: Vec2; readonly text: string } | null>(null);
  const { elements, shots, orientations } = useDocument((document) => document.scene);
  const many = useMany();
  const chosen = many.length === 1 ? many[0] : undefined;
  const chosenIds = useMemo(() => new Set(many.map(({ id }) => id)), [many]);
  const shot = useShot();
  const measures = useMeasures();
  const heading = orientations[0]?.heading ?? 0;

  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => {
      const next = { width: element.clientWidth, height: element.clientHeight };
      setSize(next);
      const { scene: now } = useDocument.getState();
      // Skylines lie far away: the plan begins with what is near.
      const near = now.elements.filter((one) => !viewOfElement(one).far);
      const { x, y, width, height } = planBounds(
        near,
        now.shots.map(({ eye }) => [eye.x, eye.y]),
      );
      setCamera((before) => before ?? fit({ x, y: -y - height, width, height }, next, 24));
    });
    watch.observe(element);
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      setCamera((now) => now && wheeled(now, event, [event.clientX - box.left, event.clientY - box.top]));
    };
    element.addEventListener("wheel", onWheel, { passive: false });
    return () => {
      watch.disconnect();
      element.removeEventListener("wheel", onWheel);
    };
  }, []);
  /** What is pressed corner by corner, and not drawn in one go. */
  const pressed = isPressed(tool);
  const corners = pressed ? points : [];

  const windowAt = (event: { readonly clientX: number; readonly clientY: number }): Vec2 => {
    const box = holder.current!.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };
  const reach = camera ? REACH / camera.scale : 0;
  const eye: Vec2 = [shot.eye.x, shot.eye.y];
  const near = (a: Vec2, b: Vec2) => distance2(a, b) <= REACH;
  /** A place as it is drawn to others, or free while Alt is held. */
  const placed = (at: Vec2, alt: boolean, others: readonly Element[] = elements): Placed =>
    alt ? { at, on: null } : placeOnPlan(others, at, reach, ROUND);

  const onPointerDown = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    const world = onPlan(camera, at);
    if (event.pointerType === "touch") {
      fingers.current.set(event.pointerId, at);
      // A second finger gives up what the first began.
      if (fingers.current.size === 2) return dropped();
      if (fingers.current.size > 2) return;
    }
    event.currentTarget.setPointerCapture(event.pointerId);
    (event.currentTarget as HTMLElement).focus();
    if (event.button === 1) return setDoing({ what: "pan", last: at });
    if (event.button !== 0) return;
    if (pressed) return;
    if (tool.gesture !== "choose") {
      const from = placed(world, event.altKey).at;
      return setDoing({ what: "shape", from, to: from });
    }
    if (near(at, gazeEnd(camera, eye, shot.gaze.heading))) {
      beginGesture();
      return setDoing({ what: "gaze" });
    }
    if (near(at, onWindow(camera, eye))) {
      beginGesture();
      return setDoing({ what: "eye" });
    }
    const other = shots.find(({ id, eye: { x, y } }) => id !== shot.id && near(at, onWindow(camera, [x, y])));
    if (other) return go({ shotId: other.id });
    const corner =
      chosen && !chosen.locked ? handlesOf(chosen).findIndex((one) => near(at, onWindow(camera, one))) : -1;
    if (chosen && corner >= 0) {
      beginGesture();
      return setDoing({ what: "corner", element: chosen, corner });
    }
    pick(pickOnPlan(elements, world), at, world, event.shiftKey);
  };
  /**
   * Chooses what was pressed, with all of its group, and takes it up; with Shift it is added or taken out, and over
   * open ground a rectangle is begun.
   */
  const pick = (element: Element | undefined, at: Vec2, world: Vec2, shift: boolean) => {
    if (shift) return element ? toggle(element.id) : setDoing({ what: "lasso", from: at, to: at });
    const group =
      element?.group === undefined
        ? []
        : elements.filter((one) => one.group === element.group && one.id !== element.id);
    const all = element ? (chosenIds.has(element.id) ? many : [element, ...group]) : [];
    if (!element || !chosenIds.has(element.id)) choose(all.map(({ id }) => id));
    const free = all.filter(({ locked }) => !locked);
    if (!element || element.locked || free.length === 0) return setDoing({ what: "pan", last: at });
    beginGesture();
    setDoing({ what: "move", element, all: free, from: world });
  };
  const show = (at: Vec2, told: Told, on: Placed["on"]) =>
    setTag({ at, text: measures(sentence`${told}${on ? `, to the ${on.what} of ${on.name}` : ""}`) });
  const onPointerMove = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    const before = fingers.current.get(event.pointerId);
    if (before && fingers.current.size === 2) {
      const [other] = [...fingers.current].filter(([id]) => id !== event.pointerId).map(([, place]) => place);
      fingers.current.set(event.pointerId, at);
      return setCamera(pinched(camera, before, at, other));
    }
    const world = onPlan(camera, at);
    if (!doing) {
      setHover(tool.gesture === "choose" ? null : placed(world, event.altKey));
      return;
    }
    switch (doing.what) {
      case "pan":
        setCamera(pan(camera, at[0] - doing.last[0], at[1] - doing.last[1]));
        return setDoing({ what: "pan", last: at });
      case "lasso":
        return setDoing({ ...doing, to: at });
      case "move": {
        const { element, all, from } = doing;
        const going = new Set(all.map(({ id }) => id));
        const others = event.altKey ? [] : elements.filter(({ id }) => !going.has(id));
        const { by, on } = movedOnPlan(
          element,
          others,
          [world[0] - from[0], world[1] - from[1]],
          reach,
          event.altKey ? 0 : ROUND,
        );
        drag(replaceMany(all.map((one) => moved(one, ...by))));
        return show(at, metres(Math.hypot(...by)), on);
      }
      case "corner": {
        const { element, corner } = doing;
        const to = placed(
          world,
          event.altKey,
          elements.filter(({ id }) => id !== element.id),
        );
        const next = putAt(element, corner, to.at);
        const invalid = validateElement(next);
        if (invalid) return show(at, whyInvalid(invalid), null);
        drag(replaceElement(next));
        return show(at, sentence`${metres(to.at[0])} east, ${metres(to.at[1])} north`, to.on);
      }
      case "eye": {
        const to = event.altKey ? world : ([Math.round(world[0] * 10) / 10, Math.round(world[1] * 10) / 10] as const);
        drag(onShot((before) => ({ ...before, eye: { ...before.eye, x: to[0], y: to[1] } })));
        return show(at, sentence`Eye ${metres(to[0], 1)} east, ${metres(to[1], 1)} north`, null);
      }
      case "gaze": {
        const exact = degrees(Math.atan2(world[0] - eye[0], world[1] - eye[1]));
        const to = wrap(event.altKey ? exact : Math.round(exact), -180, 360);
        drag(onShot((before) => ({ ...before, gaze: { ...before.gaze, heading: to } })));
        return show(at, `Gaze ${to.toFixed(event.altKey ? 1 : 0)}°`, null);
      }
      case "shape": {
        const to = placed(world, event.altKey);
        setDoing({ ...doing, to: to.at });
        return show(
          at,
          shapeOf(tool) === "circle"
            ? sentence`radius ${metres(distance2(doing.from, to.at))}`
            : metres(distance2(doing.from, to.at)),
          to.on,
        );
      }
    }
  };
  const onPointerUp = (event: PointerEvent) => {
    setTag(null);
    // What two fingers did is no press.
    const pinching = fingers.current.size > 1 || pinchedNow.current;
    fingers.current.delete(event.pointerId);
    pinchedNow.current = pinching && fingers.current.size > 0;
    if (pinching) return;
    if (doing && ["move", "corner", "eye", "gaze"].includes(doing.what)) endGesture();
    if (doing?.what === "shape") finishShape(doing.from, doing.to);
    if (doing?.what === "lasso" && camera) gather(doing.from, doing.to, camera);
    if (!doing && pressed && camera && event.button === 0)
      addPoint(placed(onPlan(camera, windowAt(event)), event.altKey).at);
    setDoing(null);
  };
  /** Chooses all things that lie wholly in a rectangle of the window, beside what is chosen. */
  const gather = (from: Vec2, to: Vec2, on: Camera) => {
    const within = ([x, y]: Vec2) =>
      x >= Math.min(from[0], to[0]) &&
      x <= Math.max(from[0], to[0]) &&
      y >= Math.min(from[1], to[1]) &&
      y <= Math.max(from[1], to[1]);
    const found = elements
      .filter((one) => !one.hidden && outlineOf(one).every((p) => within(onWindow(on, p))))
      .map(({ id }) => id);
    choose([...new Set([...chosenIds, ...found])]);
  };
  /** Lays what is drawn, and goes back to choosing; what cannot be is told. */
  const added = (places: readonly Vec2[]): boolean => {
    if (tool.gesture === "choose") return false;
    if ("add" in tool) {
      tool.add(places);
      if (pressed) onTool(CHOOSE);
      return true;
    }
    const lack = addDrawn(tool, places, heading);
    if (lack) say(lack);
    else onTool(CHOOSE);
    return lack === null;
  };
  const finishShape = (from: Vec2, to: Vec2) => {
    const shape = shapeOf(tool);
    if (!shape) return void added([from, to]);
    const outline = shapeOnPlan(shape, from, to, heading);
    return outline ? void added(outline) : say("Draw it larger: from one corner to the opposite one.");
  };
  /** Corners that an area needs at least, or a line bends. */
  const least = tool.gesture === "path" ? 2 : 3;
  const addPoint = (at: Vec2) => {
    const end = corners[tool.gesture === "path" ? corners.length - 1 : 0];
    if (camera && corners.length >= least && near(onWindow(camera, end), onWindow(camera, at))) return close();
    setPoints([...corners, at]);
  };
  const close = () => {
    if (added(corners)) setPoints([]);
  };
  /** Gives up what a hand is doing. */
  const dropped = () => {
    cancelGesture();
    setDoing(null);
    setTag(null);
  };
  const giveUp = () => {
    dropped();
    if (corners.length) setPoints([]);
    else if (tool.gesture !== "choose") onTool(CHOOSE);
    else choose([]);
  };

  const sketch = (): Sketched | null => {
    if (doing?.what === "shape") {
      const shape = shapeOf(tool);
      if (!shape) return { places: [doing.from, doing.to], closed: false, filled: false };
      const outline = shapeOnPlan(shape, doing.from, doing.to, heading);
      return outline && { places: outline, closed: true, filled: true };
    }
    return corners.length ? { places: hover ? [...corners, hover.at] : corners, closed: false, filled: false } : null;
  };
  return (
    <div
      ref={holder}
      role="application"
      aria-label="Plan"
      tabIndex={0}
      className={
        "relative min-w-0 grow touch-none overflow-hidden bg-[#f3f1e8] text-[#26251f] select-none " +
        `${tool.gesture === "choose" ? "" : "cursor-crosshair"}`
      }
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={(event) => {
        fingers.current.delete(event.pointerId);
        dropped();
      }}
      onPointerLeave={() => setHover(null)}
      onDoubleClick={(event) => {
        // Of a group, the one that is pressed twice is chosen by itself.
        const element =
          camera && tool.gesture === "choose" ? pickOnPlan(elements, onPlan(camera, windowAt(event))) : undefined;
        if (element) choose([element.id]);
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape") giveUp();
        if (event.key === "Enter" && pressed && corners.length >= least) close();
      }}
    >
      {camera && (
        <PlanDrawing
          camera={camera}
          size={size}
          chosen={chosenIds}
          sketched={sketch()}
          hover={hover}
          lasso={doing?.what === "lasso" ? [doing.from, doing.to] : null}
        />
      )}
      {tag && (
        <span
          className="measure pointer-events-none absolute rounded bg-slip px-1.5 py-0.5 shadow-none"
          style={{ left: Math.min(tag.at[0] + 14, size.width - 220), top: tag.at[1] + 14 }}
        >
          {tag.text}
        </span>
      )}
    </div>
  );
}
