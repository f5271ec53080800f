import { useEffect, useRef, useState, type PointerEvent } from "react";
import { movedOnPlan, pickOnPlan, placeOnPlan, planBounds, shapeOnPlan, type Placed } from "@zanvo/core/construct";
import { distance2, degrees, wrap, type Vec2 } from "@zanvo/core/geometry";
import { metres } from "@zanvo/core/slip";
import { elementFault, outlineOf, type Element } from "@zanvo/core/world";
import { beginGesture, cancelGesture, drag, endGesture, go, onShot, useBoard, useShot } from "../board/board";
import { replaceElement } from "../board/desk/blocks";
import { fit, pan, zoom, type Camera, type Size } from "../board/desk/camera";
import { say } from "../ui";
import { useMeasures } from "../units";
import { coneOf, cornerMoved, cornersToDrag, layBuilding, laySteps, layStreet, onPlan, onWindow, type PlanTool } from "./plan";
import { layRow } from "./rows";

/** How near things are drawn to and taken up, window px; round measures, m. */
const REACH = 9;
const ROUND = 0.5;
/** The gaze's arm on the plan, px. */
const ARM = 64;

type Doing =
  | { readonly what: "pan"; readonly last: Vec2 }
  | { readonly what: "move"; readonly element: Element; readonly from: Vec2 }
  | { readonly what: "corner"; readonly element: Element; readonly corner: number }
  | { readonly what: "eye" }
  | { readonly what: "gaze" }
  | { readonly what: "shape"; readonly from: Vec2; readonly to: Vec2 };

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
  const [tag, setTag] = useState<{ readonly at: Vec2; readonly text: string } | null>(null);
  const scene = useBoard((board) => board.scene);
  const selected = useBoard((board) => board.selected);
  const shot = useShot();
  const measures = useMeasures();
  const { elements, shots, orientations } = scene;
  const chosen = elements.find(({ id }) => id === selected);
  const heading = orientations[0]?.heading ?? 0;

  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => {
      const next = { width: element.clientWidth, height: element.clientHeight };
      setSize(next);
      const { scene: now } = useBoard.getState();
      const { x, y, width, height } = planBounds(now.elements, now.shots.map(({ eye }) => [eye.x, eye.y]));
      setCamera((before) => before ?? fit({ x, y: -y - height, width, height }, next, 24));
    });
    watch.observe(element);
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      setCamera((now) => now && (event.shiftKey ? pan(now, -event.deltaY, 0) : zoom(now, Math.exp(-event.deltaY * 0.0018), [event.clientX - box.left, event.clientY - box.top])));
    };
    element.addEventListener("wheel", onWheel, { passive: false });
    return () => {
      watch.disconnect();
      element.removeEventListener("wheel", onWheel);
    };
  }, []);
  /** What is pressed corner by corner, and not drawn in one go. */
  const pressed = tool === "polygon" || tool === "street";
  const corners = pressed ? points : [];

  const windowAt = (event: PointerEvent): Vec2 => {
    const box = holder.current!.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };
  const reach = camera ? REACH / camera.scale : 0;
  const eye: Vec2 = [shot.eye.x, shot.eye.y];
  const gazeEnd = (at: Camera): Vec2 => {
    const [x, y] = onWindow(at, eye);
    const h = (shot.gaze.heading * Math.PI) / 180;
    return [x + ARM * Math.sin(h), y - ARM * Math.cos(h)];
  };
  const near = (a: Vec2, b: Vec2) => distance2(a, b) <= REACH;
  /** A place as it is drawn to others, or free while Alt is held. */
  const placed = (at: Vec2, alt: boolean, others: readonly Element[] = elements): Placed => alt ? { at, on: null } : placeOnPlan(others, at, reach, ROUND);

  const onPointerDown = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    const world = onPlan(camera, at);
    event.currentTarget.setPointerCapture(event.pointerId);
    (event.currentTarget as HTMLElement).focus();
    if (event.button === 1) return setDoing({ what: "pan", last: at });
    if (event.button !== 0) return;
    if (pressed) return;
    if (tool !== "choose") {
      const from = placed(world, event.altKey).at;
      return setDoing({ what: "shape", from, to: from });
    }
    if (near(at, gazeEnd(camera))) {
      beginGesture();
      return setDoing({ what: "gaze" });
    }
    if (near(at, onWindow(camera, eye))) {
      beginGesture();
      return setDoing({ what: "eye" });
    }
    const other = shots.find(({ id, eye: { x, y } }) => id !== shot.id && near(at, onWindow(camera, [x, y])));
    if (other) return go({ shotId: other.id });
    const corner = chosen && !chosen.locked ? cornersToDrag(chosen).findIndex((one) => near(at, onWindow(camera, one))) : -1;
    if (chosen && corner >= 0) {
      beginGesture();
      return setDoing({ what: "corner", element: chosen, corner });
    }
    const element = pickOnPlan(elements, world);
    go({ selected: element?.id ?? null });
    if (!element || element.locked) return setDoing({ what: "pan", last: at });
    beginGesture();
    setDoing({ what: "move", element, from: world });
  };
  const show = (at: Vec2, text: string, on: Placed["on"]) => setTag({ at, text: measures(`${text}${on ? `, to the ${on.what} of ${on.name}` : ""}`) });
  const onPointerMove = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    const world = onPlan(camera, at);
    if (!doing) {
      setHover(tool === "choose" ? null : placed(world, event.altKey));
      return;
    }
    if (doing.what === "pan") {
      setCamera(pan(camera, at[0] - doing.last[0], at[1] - doing.last[1]));
      return setDoing({ what: "pan", last: at });
    }
    if (doing.what === "move") {
      const { element, from } = doing;
      const by: Vec2 = [world[0] - from[0], world[1] - from[1]];
      const others = elements.filter(({ id }) => id !== element.id);
      const next = movedOnPlan(element, event.altKey ? [] : others, by, reach, event.altKey ? 0 : ROUND);
      drag(replaceElement(next.element));
      const [a, b] = [outlineOf(element)[0], outlineOf(next.element)[0]];
      show(at, metres(distance2(a, b)), next.on);
    } else if (doing.what === "corner") {
      const { element, corner } = doing;
      const to = placed(world, event.altKey, elements.filter(({ id }) => id !== element.id));
      const next = cornerMoved(element, corner, to.at);
      const fault = elementFault(next);
      if (fault) return show(at, `The ${fault.field.split("/")[0]} ${fault.message}`, null);
      drag(replaceElement(next));
      show(at, `${to.at[0].toFixed(2)} m east, ${to.at[1].toFixed(2)} m north`, to.on);
    } else if (doing.what === "eye") {
      const to = event.altKey ? world : [Math.round(world[0] * 10) / 10, Math.round(world[1] * 10) / 10] as const;
      drag(onShot((before) => ({ ...before, eye: { ...before.eye, x: to[0], y: to[1] } })));
      show(at, `Eye ${to[0].toFixed(1)} m east, ${to[1].toFixed(1)} m north`, null);
    } else if (doing.what === "gaze") {
      const exact = degrees(Math.atan2(world[0] - eye[0], world[1] - eye[1]));
      const to = wrap(event.altKey ? exact : Math.round(exact), -180, 360);
      drag(onShot((before) => ({ ...before, gaze: { ...before.gaze, heading: to } })));
      show(at, `Gaze ${to.toFixed(event.altKey ? 1 : 0)}°`, null);
    } else {
      const to = placed(world, event.altKey);
      setDoing({ ...doing, to: to.at });
      show(at, tool === "circle" ? `radius ${metres(distance2(doing.from, to.at))}` : metres(distance2(doing.from, to.at)), to.on);
    }
  };
  const onPointerUp = (event: PointerEvent) => {
    setTag(null);
    if (doing && ["move", "corner", "eye", "gaze"].includes(doing.what)) endGesture();
    if (doing?.what === "shape") lay(doing.from, doing.to);
    if (!doing && pressed && camera && event.button === 0) addPoint(placed(onPlan(camera, windowAt(event)), event.altKey).at);
    setDoing(null);
  };
  const lay = (from: Vec2, to: Vec2) => {
    if (tool === "row") return layRow(from, to);
    if (tool === "steps") {
      const lack = laySteps(from, to);
      return lack ? say(lack) : onTool("choose");
    }
    if (tool === "choose" || tool === "polygon" || tool === "street") return undefined;
    const shape = shapeOnPlan(tool, from, to, heading);
    if (!shape) return say("Draw it larger: from one corner to the opposite one.");
    const fault = layBuilding(shape, tool === "circle");
    if (fault) return say(fault);
    onTool("choose");
  };
  const addPoint = (at: Vec2) => {
    if (camera && tool === "polygon" && corners.length >= 3 && near(onWindow(camera, corners[0]), onWindow(camera, at))) return close();
    if (camera && tool === "street" && corners.length >= 2 && near(onWindow(camera, corners[corners.length - 1]), onWindow(camera, at))) return close();
    setPoints([...corners, at]);
  };
  const close = () => {
    const fault = tool === "street" ? layStreet(corners) : layBuilding(corners);
    if (fault) return say(fault);
    setPoints([]);
    onTool("choose");
  };
  const giveUp = () => {
    if (doing && doing.what !== "shape" && doing.what !== "pan") cancelGesture();
    setDoing(null);
    setTag(null);
    if (corners.length) setPoints([]);
    else if (tool !== "choose") onTool("choose");
    else go({ selected: null });
  };

  const drawn = camera && doing?.what === "shape" && tool !== "choose" && tool !== "polygon" && tool !== "row" && tool !== "street" && tool !== "steps" ? shapeOnPlan(tool, doing.from, doing.to, heading) : null;
  const path = (places: readonly Vec2[], closed = true) => camera ? `M${places.map((p) => onWindow(camera, p).map((v) => v.toFixed(1)).join(" ")).join("L")}${closed ? "Z" : ""}` : "";
  const cone = coneOf(shot);
  return (
    <div
      ref={holder}
      role="application"
      aria-label="Plan"
      tabIndex={0}
      className={`relative min-w-0 grow touch-none overflow-hidden bg-[#f3f1e8] text-[#26251f] select-none ${tool === "choose" ? "" : "cursor-crosshair"}`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={() => { cancelGesture(); setDoing(null); setTag(null); }}
      onPointerLeave={() => setHover(null)}
      onKeyDown={(event) => {
        if (event.key === "Escape") giveUp();
        if (event.key === "Enter" && corners.length >= (tool === "street" ? 2 : 3)) close();
      }}
    >
      {camera && (
        <svg width={size.width} height={size.height} className="pointer-events-none absolute inset-0">
          {elements.filter(({ hidden }) => !hidden).map((element) => {
            const on = element.id === selected;
            return <path key={element.id} data-testid={element.name} d={path(outlineOf(element))} fill={on ? "#c8401f" : "#26251f"} fillOpacity={on ? 0.22 : 0.1} stroke={on ? "#c8401f" : "#26251f"} strokeWidth={on ? 2 : 1.1} />;
          })}
          {chosen && !chosen.locked && cornersToDrag(chosen).map((corner, i) => {
            const [x, y] = onWindow(camera, corner);
            return <rect key={i} x={x - 4} y={y - 4} width={8} height={8} fill="#fbf9f3" stroke="#c8401f" strokeWidth={1.5} />;
          })}
          {shots.map(({ id, eye: { x, y } }, i) => {
            if (id === shot.id) return null;
            const [wx, wy] = onWindow(camera, [x, y]);
            return <g key={id}><circle cx={wx} cy={wy} r={7} fill="#6d6a60" /><text x={wx} y={wy + 3.5} textAnchor="middle" fontSize={10} fill="#fbf9f3">{i + 1}</text></g>;
          })}
          {cone && <path d={`${path([eye, [eye[0] + cone[0][0] * 4000, eye[1] + cone[0][1] * 4000]], false)}${path([eye, [eye[0] + cone[1][0] * 4000, eye[1] + cone[1][1] * 4000]], false)}`} stroke="#2f6f8f" strokeWidth={1} strokeDasharray="6 4" fill="none" />}
          <g data-testid="eye">
            <line x1={onWindow(camera, eye)[0]} y1={onWindow(camera, eye)[1]} x2={gazeEnd(camera)[0]} y2={gazeEnd(camera)[1]} stroke="#2f6f8f" strokeWidth={2} />
            <circle cx={onWindow(camera, eye)[0]} cy={onWindow(camera, eye)[1]} r={6.5} fill="#fbf9f3" stroke="#2f6f8f" strokeWidth={2.5} />
            <circle cx={gazeEnd(camera)[0]} cy={gazeEnd(camera)[1]} r={5} fill="#2f6f8f" />
            <text x={onWindow(camera, eye)[0] + 10} y={onWindow(camera, eye)[1] + 14} fontSize={12} fill="#235a75">{shot.name}</text>
          </g>
          {drawn && <path d={path(drawn)} fill="#c8401f" fillOpacity={0.15} stroke="#c8401f" strokeWidth={1.5} />}
          {doing?.what === "shape" && (tool === "row" || tool === "steps") && <path d={path([doing.from, doing.to], false)} stroke="#c8401f" strokeWidth={2.5} fill="none" />}
          {corners.length > 0 && <path d={path(hover ? [...corners, hover.at] : corners, false)} stroke="#c8401f" strokeWidth={1.5} fill="none" />}
          {corners.length > 0 && <circle cx={onWindow(camera, corners[0])[0]} cy={onWindow(camera, corners[0])[1]} r={5} fill="none" stroke="#c8401f" strokeWidth={2} />}
          {hover && <circle cx={onWindow(camera, hover.at)[0]} cy={onWindow(camera, hover.at)[1]} r={3.5} fill={hover.on ? "#c8401f" : "#6d6a60"} />}
          <North size={size} />
          <ScaleBar camera={camera} size={size} />
        </svg>
      )}
      {tag && <span className="measure pointer-events-none absolute rounded bg-slip px-1.5 py-0.5 shadow-none" style={{ left: Math.min(tag.at[0] + 14, size.width - 220), top: tag.at[1] + 14 }}>{tag.text}</span>}
    </div>
  );
}

function North({ size: { width } }: { readonly size: Size }) {
  return <g transform={`translate(${width - 28} 34)`}><path d="M0 -18L6 10L0 5L-6 10Z" fill="#26251f" /><text y={24} textAnchor="middle" fontSize={11}>N</text></g>;
}

/** A bar of a round number of metres. */
function ScaleBar({ camera: { scale }, size: { height } }: { readonly camera: Camera; readonly size: Size }) {
  const power = 10 ** Math.floor(Math.log10(140 / scale));
  const length = [5, 2, 1].map((k) => k * power).find((one) => one * scale <= 140) ?? power;
  const measures = useMeasures();
  return (
    <g transform={`translate(16 ${height - 18})`}>
      <path d={`M0 -6V0H${length * scale}V-6`} fill="none" stroke="#26251f" strokeWidth={1.5} />
      <text x={length * scale + 6} y={0} className="measure" fontSize={11}>{measures(`${Number(length.toPrecision(3))} m`)}</text>
    </g>
  );
}
