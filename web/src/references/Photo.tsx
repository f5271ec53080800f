import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { ellipseOf, pointOf, viewOfReference } from "@zanvo/core/recover";
import type { Vec2 } from "@zanvo/core/geometry";
import type { Edge, Reference } from "@zanvo/core/scene";
import { referencePath } from "../api";
import { beginGesture, cancelGesture, endGesture } from "../board/board";
import { fit, pan, toDesk, toWindow, zoom, type Camera, type Size } from "../board/desk/camera";
import { Button } from "../ui";
import { useMeasures } from "../units";
import { bringAgain } from "./bring";
import { useHeights } from "./HeightsPanel";
import { addEdge, HEIGHTS, linesOf, lookOf, moveEdge, removeEdge, type Tracing } from "./tracing";

interface PhotoProps {
  readonly sceneId: string;
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
  readonly fade: number;
}

/** An edge must be as long as this on the screen to be one, px. */
const LEAST = 8;
/** The loupe: across, px, and how many screen px one of the photo's has in it. */
const LOUPE = { size: 132, factor: 6 };

type Hand = { readonly what: "trace"; readonly from: Vec2; readonly to: Vec2 } | { readonly what: "pan"; readonly last: Vec2 } | { readonly what: "end"; readonly end: 1 | 2 };

/** The photo with its traced edges, their points and the horizon; edges are drawn on it by hand. */
export function Photo({ sceneId, reference, tracing, onTracing, fade }: PhotoProps) {
  const holder = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const [camera, setCamera] = useState<Camera | null>(null);
  const [hand, setHand] = useState<Hand | null>(null);
  const [pointer, setPointer] = useState<Vec2 | null>(null);
  const [missing, setMissing] = useState(false);
  const { width, height, sets } = reference;

  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => {
      const next = { width: element.clientWidth, height: element.clientHeight };
      setSize(next);
      setCamera((now) => now ?? fit({ x: 0, y: 0, width, height }, next, 16));
    });
    watch.observe(element);
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      const at: Vec2 = [event.clientX - box.left, event.clientY - box.top];
      setCamera((now) => now && (event.shiftKey ? pan(now, -event.deltaY, 0) : zoom(now, Math.exp(-event.deltaY * 0.0018), at)));
    };
    element.addEventListener("wheel", onWheel, { passive: false });
    return () => {
      watch.disconnect();
      element.removeEventListener("wheel", onWheel);
    };
  }, [width, height]);

  const points = useMemo(() => sets.map((set) => pointOf(reference, set)), [reference, sets]);
  const horizon = useMemo(() => {
    try {
      return viewOfReference(reference).horizon;
    } catch {
      return null;
    }
  }, [reference]);

  const heights = useHeights(reference)?.heights ?? [];
  const measures = useMeasures();
  const windowAt = (event: PointerEvent): Vec2 => {
    const box = holder.current!.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };
  const { set } = tracing;
  const lines = linesOf(reference, set);
  const chosen = tracing.edge === null ? undefined : lines[tracing.edge];

  const onPointerDown = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    event.currentTarget.setPointerCapture(event.pointerId);
    (event.currentTarget as HTMLElement).focus();
    if (event.button === 1 || event.altKey) return setHand({ what: "pan", last: at });
    if (event.button !== 0) return;
    // An end of the chosen edge is taken up where it is pressed.
    if (chosen) {
      const near = ([[chosen.x1, chosen.y1, 1], [chosen.x2, chosen.y2, 2]] as const).find(([x, y]) => {
        const [wx, wy] = toWindow(camera, [x, y]);
        return Math.hypot(wx - at[0], wy - at[1]) < 10;
      });
      if (near) {
        beginGesture();
        return setHand({ what: "end", end: near[2] });
      }
    }
    const from = toDesk(camera, at);
    setHand({ what: "trace", from, to: from });
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    const px = toDesk(camera, at);
    setPointer(px);
    if (hand?.what === "pan") {
      setCamera(pan(camera, at[0] - hand.last[0], at[1] - hand.last[1]));
      setHand({ what: "pan", last: at });
    } else if (hand?.what === "trace") setHand({ ...hand, to: px });
    else if (hand?.what === "end" && tracing.edge !== null) moveEdge(reference.id, set, tracing.edge, { ...(hand.end === 1 ? { x1: px[0], y1: px[1] } : { x2: px[0], y2: px[1] }), hand: handAt(camera) });
  };
  const onPointerUp = () => {
    if (hand?.what === "end") endGesture();
    if (hand?.what === "trace" && camera) {
      const [[x1, y1], [x2, y2]] = [hand.from, hand.to];
      if (Math.hypot(x2 - x1, y2 - y1) * camera.scale >= LEAST) {
        addEdge(reference.id, set, { x1, y1, x2, y2, hand: handAt(camera) });
        onTracing({ set, edge: lines.length });
      } else choose([x1, y1]);
    }
    setHand(null);
  };
  /** The edge that a mere press meant, in whatever set. */
  const choose = ([x, y]: Vec2) => {
    if (!camera) return;
    const all = [...sets.map(({ id, edges }) => [id, edges] as const), [HEIGHTS, linesOf(reference, HEIGHTS)] as const];
    const near = all.flatMap(([id, edges]) => edges.map((edge, at) => ({ id, at, off: away(edge, x, y) * camera.scale }))).filter(({ off }) => off < 8).sort((a, b) => a.off - b.off)[0];
    onTracing(near ? { set: near.id, edge: near.at } : { set, edge: null });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Escape") {
      if (hand?.what === "end") cancelGesture();
      setHand(null);
      return onTracing({ set, edge: null });
    }
    if (!chosen || tracing.edge === null) return;
    if (event.key === "Delete" || event.key === "Backspace") {
      removeEdge(reference.id, set, tracing.edge);
      return onTracing({ set, edge: null });
    }
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!way) return;
    event.preventDefault();
    const [dx, dy] = way.map((v) => v * (event.shiftKey ? 10 : 1));
    moveEdge(reference.id, set, tracing.edge, { x1: chosen.x1 + dx, y1: chosen.y1 + dy, x2: chosen.x2 + dx, y2: chosen.y2 + dy }, true);
  };

  const line = camera && horizon ? horizonEnds(horizon, camera, size) : null;
  return (
    <div
      ref={holder}
      role="application"
      aria-label="Photo"
      tabIndex={0}
      className="relative min-w-0 grow cursor-crosshair touch-none overflow-hidden bg-desk select-none"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerLeave={() => setPointer(null)}
      onPointerCancel={() => { cancelGesture(); setHand(null); }}
      onKeyDown={onKeyDown}
    >
      {camera && (
        <>
          <img
            src={referencePath(sceneId, reference.picture, camera.scale * Math.max(width, height) < 1400)}
            alt={reference.name}
            draggable={false}
            onLoad={() => setMissing(false)}
            onError={() => setMissing(true)}
            className="pointer-events-none absolute max-w-none origin-top-left"
            style={{ left: camera.x, top: camera.y, width: width * camera.scale, height: height * camera.scale, opacity: fade, imageRendering: camera.scale > 3 ? "pixelated" : "auto" }}
          />
          <svg width={size.width} height={size.height} className="pointer-events-none absolute inset-0">
            {line && <line x1={line[0][0]} y1={line[0][1]} x2={line[1][0]} y2={line[1][1]} stroke="#2f6f8f" strokeWidth={1.5} strokeDasharray="10 4" data-testid="horizon" />}
            {sets.map((one, i) => {
              const { stroke } = lookOf(one, i);
              const point = points[i];
              let used = -1;
              return one.edges.map((edge, k) => {
                if (!edge.out) used++;
                const stray = !edge.out && point?.strays.includes(used);
                const [a, b] = [toWindow(camera, [edge.x1, edge.y1]), toWindow(camera, [edge.x2, edge.y2])];
                const at = point?.at && toWindow(camera, point.at);
                const near = at && (Math.hypot(at[0] - a[0], at[1] - a[1]) < Math.hypot(at[0] - b[0], at[1] - b[1]) ? a : b);
                const picked = one.id === tracing.set && k === tracing.edge;
                return (
                  <g key={`${one.id} ${k}`} opacity={edge.out ? 0.35 : 1}>
                    {near && at && !edge.out && !stray && <line x1={near[0]} y1={near[1]} x2={at[0]} y2={at[1]} stroke={stroke} strokeWidth={0.7} strokeOpacity={0.55} />}
                    <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="#fffdf8" strokeWidth={picked ? 6 : 4} strokeOpacity={0.8} />
                    <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke={stray ? "#c8401f" : stroke} strokeWidth={picked ? 3 : 2} strokeDasharray={stray ? "5 3" : undefined} />
                    {picked && [a, b].map(([x, y], n) => <circle key={n} cx={x} cy={y} r={6} fill="none" stroke={stroke} strokeWidth={2} />)}
                  </g>
                );
              });
            })}
            {linesOf(reference, HEIGHTS).map(({ x1, y1, x2, y2 }, k) => {
              const [[ax, ay], [bx, by]] = [toWindow(camera, [x1, y1]), toWindow(camera, [x2, y2])];
              const picked = set === HEIGHTS && k === tracing.edge;
              const metres = heights[k];
              return (
                <g key={k}>
                  <line x1={ax} y1={ay} x2={bx} y2={by} stroke="#fffdf8" strokeWidth={picked ? 6 : 4} strokeOpacity={0.8} />
                  <path d={`M${ax} ${ay}L${bx} ${by}M${ax - 7} ${ay}h14M${bx - 7} ${by}h14`} stroke="#26251f" strokeWidth={picked ? 3 : 2} fill="none" />
                  {metres !== null && metres !== undefined && <text x={bx + 10} y={by + 4} className="measure" fontSize={12} stroke="#fffdf8" strokeWidth={3} paintOrder="stroke" fill="#26251f">{measures(`${metres.toFixed(2)} m`)}</text>}
                </g>
              );
            })}
            {points.map((point, i) => {
              if (!point?.at || !point.covariance) return null;
              const { major, minor, slant } = ellipseOf(point.covariance);
              const [x, y] = toWindow(camera, point.at);
              // One as large as the window says only that the point is far; the panel says it in words.
              if (major * camera.scale > size.width / 2) return null;
              return <ellipse key={sets[i].id} cx={x} cy={y} rx={Math.max(3, major * camera.scale)} ry={Math.max(3, minor * camera.scale)} transform={`rotate(${slant} ${x} ${y})`} fill={lookOf(sets[i], i).stroke} fillOpacity={0.25} stroke={lookOf(sets[i], i).stroke} />;
            })}
            {hand?.what === "trace" && <line x1={toWindow(camera, hand.from)[0]} y1={toWindow(camera, hand.from)[1]} x2={toWindow(camera, hand.to)[0]} y2={toWindow(camera, hand.to)[1]} stroke="#c8401f" strokeWidth={2} />}
          </svg>
          {missing && (
            <div role="alert" className="absolute left-1/2 top-1/3 -translate-x-1/2 rounded bg-slip p-3" onPointerDown={(event) => event.stopPropagation()}>
              <p className="mb-2">The picture itself is not on this machine; what was traced in it is.</p>
              <Button onClick={() => void bringAgain(sceneId, reference)}>Bring it in again</Button>
            </div>
          )}
          {pointer && hand && hand.what !== "pan" && <Loupe url={referencePath(sceneId, reference.picture)} reference={reference} at={pointer} right={toWindow(camera, pointer)[0] < size.width / 2} />}
        </>
      )}
    </div>
  );
}

/** The pixels under the hand, large. */
function Loupe({ url, reference: { width, height }, at: [x, y], right }: { readonly url: string; readonly reference: Reference; readonly at: Vec2; readonly right: boolean }) {
  const { size, factor } = LOUPE;
  return (
    <div aria-hidden className={`pointer-events-none absolute top-3 overflow-hidden rounded-full border-2 border-ink ${right ? "right-3" : "left-3"}`} style={{ width: size, height: size, background: "#888" }}>
      <img src={url} alt="" className="absolute max-w-none" style={{ left: size / 2 - x * factor, top: size / 2 - y * factor, width: width * factor, height: height * factor, imageRendering: "pixelated" }} />
      <span className="absolute left-1/2 top-0 h-full w-px bg-accent/70" />
      <span className="absolute left-0 top-1/2 h-px w-full bg-accent/70" />
    </div>
  );
}

/** How far a hand may be off, px of the photo: about one px of the screen (common practice), and never less than the photo's own. */
const handAt = ({ scale }: Camera): number => Math.max(1, 1 / scale);

/** How far a place is from an edge, px of the photo. */
function away({ x1, y1, x2, y2 }: Edge, x: number, y: number): number {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const t = Math.min(1, Math.max(0, ((x - x1) * dx + (y - y1) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - x1 - t * dx, y - y1 - t * dy);
}

/** A line of the photo across the window, px. */
function horizonEnds({ a, b, c }: { readonly a: number; readonly b: number; readonly c: number }, camera: Camera, { width, height }: Size): readonly [Vec2, Vec2] | null {
  const at = (x: number): Vec2 => toWindow(camera, [x, -(a * x + c) / b]);
  if (Math.abs(b) < 1e-6) return [toWindow(camera, [-c / a, -1e5]), toWindow(camera, [-c / a, 1e5])];
  const [left, right] = [toDesk(camera, [0, 0])[0], toDesk(camera, [width, height])[0]];
  return [at(left), at(right)];
}
