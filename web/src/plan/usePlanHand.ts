import type { Placed } from "@zanvo/core/construct";
import type { Vec2 } from "@zanvo/core/geometry";
import { sentence, type Told } from "@zanvo/core/units";
import { useRef, useState, type Dispatch, type PointerEvent, type RefObject, type SetStateAction } from "react";
import { pinched, type Camera } from "../canvas/camera";
import { capturePointer } from "../canvas/useKeyCursor";
import { followed, gather, placedAt, pointAt, takenUp, type Doing, type PlanPoint } from "./doing";
import { CHOOSE, type PlanTool } from "./tools";
import type { useSketch } from "./useSketch";
import { useStores } from "../stores";

interface HandProps {
  readonly holder: RefObject<HTMLDivElement | null>;
  readonly camera: Camera | null;
  readonly setCamera: Dispatch<SetStateAction<Camera | null>>;
  readonly tool: PlanTool;
  readonly onTool: (tool: PlanTool) => void;
  readonly sketch: ReturnType<typeof useSketch>;
}

/** Fingers on the plan: two of them move and spread it, and do nothing else until both are lifted. */
function useFingers(setCamera: HandProps["setCamera"]) {
  const places = useRef(new Map<number, Vec2>());
  const pinching = useRef(false);
  return {
    /** @returns how many there are now */
    down: (id: number, at: Vec2): number => places.current.set(id, at).size,
    /** @returns whether two of them moved the plan */
    move: (id: number, at: Vec2): boolean => {
      const before = places.current.get(id);
      if (!before || places.current.size !== 2) return false;
      const [[, other]] = [...places.current].filter(([one]) => one !== id);
      places.current.set(id, at);
      setCamera((camera) => camera && pinched(camera, before, at, other));
      return true;
    },
    /** @returns whether what is lifted was one of two, so that it is no press */
    up: (id: number): boolean => {
      const two = places.current.size > 1 || pinching.current;
      places.current.delete(id);
      pinching.current = two && places.current.size > 0;
      return two;
    },
  };
}

/** What is told beside the hand: a measure and what was caught, or what a press would catch. */
function useTag() {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const [tag, setTag] = useState<{ readonly at: Vec2; readonly text: string } | null>(null);
  const show = (at: Vec2, told: Told, on: Placed["on"] | undefined) =>
    setTag({ at, text: measures(sentence`${told}${on ? `, to the ${on.what} of ${on.name}` : ""}`) });
  const name = (at: Vec2, on: Placed["on"]) => setTag(on && { at, text: `The ${on.what} of ${on.name}` });
  return { tag, setTag, show, name };
}

/** The hand on the plan: what it does between a press and letting go, and what is told of it meanwhile. */
export function usePlanHand({ holder, camera, setCamera, tool, onTool, sketch }: HandProps) {
  const stores = useStores();
  const { cancelGesture, choose, endGesture } = stores;
  const [doing, setDoing] = useState<Doing | null>(null);
  const [hover, setHover] = useState<Placed | null>(null);
  const { tag, show, name, setTag } = useTag();
  const fingers = useFingers(setCamera);
  /** Where what the hand does was drawn to last. */
  const last = useRef<Placed | null>(null);
  /** Shows where a press would go, and what it would be drawn to. */
  const showNext = (point: PlanPoint) => {
    const next = camera && placedAt(stores, camera, point, last.current);
    last.current = next;
    setHover(next);
    name(point.at, next?.on ?? null);
  };
  /** Gives up what the hand is doing. */
  const drop = () => {
    cancelGesture();
    setDoing(null);
    setTag(null);
  };
  const giveUp = () => {
    drop();
    if (sketch.begun) sketch.drop();
    else if (tool.gesture !== "choose") onTool(CHOOSE);
    else choose([]);
  };

  const onPointerDown = (event: PointerEvent) => {
    if (!camera) return;
    const point = pointAt(camera, holder.current!, event);
    if (event.pointerType === "touch") {
      const count = fingers.down(event.pointerId, point.at);
      // A second finger gives up what the first began.
      if (count === 2) return drop();
      if (count > 2) return;
    }
    capturePointer(event);
    (event.currentTarget as HTMLElement).focus();
    if (event.button === 1) return setDoing({ what: "pan", last: point.at });
    if (event.button !== 0 || sketch.pressed) return;
    if (tool.gesture === "choose") last.current = null;
    if (tool.gesture === "choose") return setDoing(takenUp(stores, camera, point, event.shiftKey));
    const from = placedAt(stores, camera, point, last.current).at;
    setDoing({ what: "shape", from, to: from });
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!camera) return;
    const point = pointAt(camera, holder.current!, event);
    if (fingers.move(event.pointerId, point.at)) return;
    if (!doing) return tool.gesture === "choose" ? setHover(null) : showNext(point);
    const now = followed(stores, doing, camera, point, tool, last.current);
    if (now.camera) setCamera(now.camera);
    if (now.doing) setDoing(now.doing);
    last.current = now.placed ?? null;
    if (now.told !== undefined) show(point.at, now.told, now.placed?.on);
  };
  const onPointerUp = (event: PointerEvent) => {
    setTag(null);
    if (fingers.up(event.pointerId)) return;
    if (doing && ["move", "corner", "turn", "eye", "gaze"].includes(doing.what)) endGesture();
    if (doing?.what === "shape") sketch.finishShape(doing.from, doing.to);
    if (doing?.what === "lasso" && camera) gather(stores, doing, camera);
    if (!doing && sketch.pressed && camera && event.button === 0)
      sketch.addPoint(placedAt(stores, camera, pointAt(camera, holder.current!, event), last.current).at);
    setDoing(null);
  };
  const onPointerCancel = (event: PointerEvent) => {
    fingers.up(event.pointerId);
    drop();
  };
  const leave = () => {
    setHover(null);
    if (!doing) setTag(null);
  };
  return {
    doing,
    hover,
    tag,
    giveUp,
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel, onPointerLeave: leave },
  };
}
