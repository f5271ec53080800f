import { shapeOnPlan, type Placed } from "@zanvo/core/construct";
import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { useState } from "react";
import type { Camera } from "../canvas/camera";
import { addDrawn, onWindow, REACH } from "./plan";
import type { Sketched } from "./PlanDrawing";
import { CHOOSE, isPressed, type PlanTool } from "./tools";
import { useStores } from "../stores";

/** The outline that a tool draws in one go, if it does. */
export const shapeOf = (tool: PlanTool) => (tool.gesture === "choose" ? undefined : tool.shape);

/** What a tool has drawn on the plan so far: corner by corner, or from one place to another in one go. */
export function useSketch(tool: PlanTool, onTool: (tool: PlanTool) => void, camera: Camera | null) {
  const stores = useStores();
  const { useDocument, say } = stores;
  const [points, setPoints] = useState<readonly Vec2[]>([]);
  const heading = useDocument(({ scene }) => scene.orientations[0]?.heading ?? 0);
  const pressed = isPressed(tool);
  const corners = pressed ? points : [];
  /** Corners that an area needs at least, or a line bends. */
  const least = tool.gesture === "path" ? 2 : 3;

  /** Adds what is drawn, and goes back to choosing; what cannot be is told. */
  const added = (places: readonly Vec2[]): boolean => {
    if (tool.gesture === "choose") return false;
    if ("add" in tool) {
      tool.add(stores, places);
      if (pressed) onTool(CHOOSE);
      return true;
    }
    const lack = addDrawn(stores, tool, places, heading);
    if (lack) say(lack);
    else onTool(CHOOSE);
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
    return shape ? shapeOnPlan(shape, from, to, heading) : null;
  };
  const finishShape = (from: Vec2, to: Vec2) => {
    if (!shapeOf(tool)) return void added([from, to]);
    const outline = outlined(from, to);
    if (outline) added(outline);
    else say("Draw it larger: from one corner to the opposite one.");
  };
  /** What is shown of it, with the place that it would take next. */
  const sketched = (ends: readonly [Vec2, Vec2] | null, hover: Placed | null): Sketched | null => {
    if (ends) {
      if (!shapeOf(tool)) return { places: ends, closed: false, filled: false };
      const outline = outlined(...ends);
      return outline && { places: outline, closed: true, filled: true };
    }
    return corners.length ? { places: hover ? [...corners, hover.at] : corners, closed: false, filled: false } : null;
  };
  return { pressed, begun: corners.length > 0, addPoint, close, finishShape, sketched, drop: () => setPoints([]) };
}
