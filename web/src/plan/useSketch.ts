import { shapeOnPlan, wayBeside, type Placed } from "@zanvo/core/construct";
import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { useRef, useState } from "react";
import type { Camera } from "../canvas/camera";
import { addDrawn, onWindow, REACH } from "./plan";
import type { Sketched } from "./PlanDrawing";
import { newSeed } from "../seed";
import { isPressed, type PlanTool } from "./tools";
import { useStores } from "../stores";

/** The outline that a tool draws in one go, if it does. */
export const shapeOf = (tool: PlanTool) => (tool.gesture === "choose" ? undefined : tool.shape);

/** What a tool has drawn on the plan so far: corner by corner, or from one place to another in one go. */
export function useSketch(tool: PlanTool, camera: Camera | null) {
  const stores = useStores();
  const { useDocument, say } = stores;
  const [points, setPoints] = useState<readonly Vec2[]>([]);
  /** What a tool drew last, which stays to be seen. */
  const [kept, setKept] = useState<{ readonly tool: PlanTool; readonly places: readonly Vec2[] } | null>(null);
  /** Of what is laid by rule: the same while it is shown and when it is laid. */
  const seed = useRef(newSeed());
  /** The heading of the street beside a place, or else of the main streets. */
  const headingAt = (at: Vec2): number => {
    const { elements, orientations } = useDocument.getState().scene;
    return wayBeside(elements, at)?.heading ?? orientations[0]?.heading ?? 0;
  };
  const pressed = isPressed(tool);
  const corners = pressed ? points : [];
  /** Corners that an area needs at least, or a line bends. */
  const least = tool.gesture === "path" ? 2 : 3;

  /** Adds what is drawn; what cannot be is told. The tool stays taken up. */
  const added = (places: readonly Vec2[]): boolean => {
    if (tool.gesture === "choose") return false;
    if ("add" in tool) {
      tool.add(stores, places, seed.current);
      setKept(tool.keeps ? { tool, places } : null);
      seed.current = newSeed();
      return true;
    }
    const lack = addDrawn(stores, tool, places, headingAt(places[0]));
    if (lack) say(lack);
    return lack === null;
  };
  const close = () => {
    if (corners.length >= least && added(corners)) setPoints([]);
  };
  const addPoint = (at: Vec2) => {
    const end = corners[tool.gesture === "path" ? corners.length - 1 : 0];
    const again = camera && end && distance2(onWindow(camera, end), onWindow(camera, at)) <= REACH;
    if (again && corners.length >= least) close();
    else setPoints([...corners, at]);
  };
  const outlined = (from: Vec2, to: Vec2) => {
    const shape = shapeOf(tool);
    return shape ? shapeOnPlan(shape, from, to, headingAt(from)) : null;
  };
  const finishShape = (from: Vec2, to: Vec2) => {
    if (!shapeOf(tool)) return void added([from, to]);
    const outline = outlined(from, to);
    if (outline) added(outline);
    else say("Draw it larger: from one corner to the opposite one.");
  };
  /** What is shown of it, with the place that it would take next. */
  const sketched = (ends: readonly [Vec2, Vec2] | null, hover: Placed | null): Sketched | null => {
    const laid = (places: readonly Vec2[]) =>
      "preview" in tool && places.length >= (pressed ? 3 : 2)
        ? tool.preview?.(stores, places, seed.current)
        : undefined;
    if (ends) {
      if (!shapeOf(tool)) return { places: ends, closed: false, filled: false, laid: laid(ends) };
      const outline = outlined(...ends);
      return outline && { places: outline, closed: true, filled: true };
    }
    if (corners.length === 0)
      return kept && kept.tool === tool ? { places: kept.places, closed: false, filled: false } : null;
    const places = hover ? [...corners, hover.at] : corners;
    return { places, closed: false, filled: false, laid: laid(places) };
  };
  return { pressed, begun: corners.length > 0, addPoint, close, finishShape, sketched, drop: () => setPoints([]) };
}
