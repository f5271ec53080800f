import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { shareAt, type Misdrawn } from "@zanvo/core/recover";
import { fromStretch, type Vec2 } from "@zanvo/core/geometry";
import type { Reference } from "@zanvo/core/scene";
import { referencePath } from "../api";
import { fit, pan, toDesk, toWindow, zoom, type Camera, type Size } from "../board/desk/camera";
import { Button } from "../ui";
import { useArrival } from "./arrivals";
import { bringAgain } from "./bring";
import { useSettler, type Finding } from "./edges";
import { Loupe } from "./Loupe";
import { Traced, useWalls } from "./Traced";
import {
  addBowed,
  addEdge,
  away,
  BOWED,
  BRUSH,
  HEIGHTS,
  HORIZON,
  linesOf,
  moveEdge,
  onWall,
  removeEdge,
  WALLS,
  type Tracing,
} from "./tracing";
import { beginGesture, endGesture, cancelGesture } from "../document";

interface PhotoProps {
  readonly sceneId: string;
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
  readonly finding: Finding;
  /** Whether the brush takes found edges up, or lays them aside. */
  readonly brush: "use" | "ignore";
  readonly wrong: readonly Misdrawn[];
  readonly fade: number;
  /** Whether lines settle on the photo's own edges, and the loupe hangs at the pointer always. */
  readonly snap: boolean;
  readonly loupe: boolean;
}

/** An edge must be as long as this on the screen to be one, px. */
const LEAST = 8;
/**
 * How near the pointer takes things up, how far lines reach for an edge, how wide the brush is, and how far apart
 * places of a bowed edge are, screen px.
 */
const NEAR = 10;
const REACH = 8;
const BRUSH_WIDE = 16;
const STEP = 14;
/** What a line that settled on an edge may be off, px of the photo, at least. */
const SETTLED = 0.5;

type Hand =
  | { readonly what: "trace"; readonly from: Vec2; readonly to: Vec2; readonly free: boolean }
  | { readonly what: "pan"; readonly last: Vec2 }
  | { readonly what: "end"; readonly end: 1 | 2 }
  | { readonly what: "follow"; readonly places: readonly Vec2[]; readonly free: boolean }
  | { readonly what: "brush" };

/** The photo with all that is traced in it; edges are drawn on it by hand, and settle on its own where it has them. */
export function Photo({
  sceneId,
  reference,
  tracing,
  onTracing,
  finding,
  brush,
  wrong,
  fade,
  snap,
  loupe,
}: PhotoProps) {
  const holder = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const [camera, setCamera] = useState<Camera | null>(null);
  const [hand, setHand] = useState<Hand | null>(null);
  const [settled, setSettled] = useState<{ readonly a: Vec2; readonly b: Vec2 } | null>(null);
  const [pointer, setPointer] = useState<Vec2 | null>(null);
  const [missing, setMissing] = useState(false);
  const arrival = useArrival(reference.picture);
  const settler = useSettler(sceneId, reference.picture, arrival);
  /** What was drawn last is laid down before the next, however long each takes to settle. */
  const queue = useRef<Promise<void>>(Promise.resolve());
  const walls = useWalls(reference);
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
      setCamera(
        (now) => now && (event.shiftKey ? pan(now, -event.deltaY, 0) : zoom(now, Math.exp(-event.deltaY * 0.0018), at)),
      );
    };
    element.addEventListener("wheel", onWheel, { passive: false });
    return () => {
      watch.disconnect();
      element.removeEventListener("wheel", onWheel);
    };
  }, [width, height]);

  const windowAt = (event: PointerEvent): Vec2 => {
    const box = holder.current!.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };
  const { set } = tracing;
  const lines = linesOf(reference, set);
  const chosen = tracing.edge === null ? undefined : lines[tracing.edge];
  const snaps = snap && set !== WALLS && set !== HORIZON;

  /** Takes up or lays aside the found edges under the brush. */
  const brushAt = (px: Vec2) => {
    const { found } = finding;
    if (!found || !camera) return;
    const under = found.edges.flatMap(({ a, b }, i) => (fromStretch(px, a, b) * camera.scale < BRUSH_WIDE ? [i] : []));
    if (under.length) finding.put(under, brush === "use");
  };
  const onPointerDown = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    event.currentTarget.setPointerCapture(event.pointerId);
    (event.currentTarget as HTMLElement).focus();
    if (event.button === 1 || event.altKey) return setHand({ what: "pan", last: at });
    if (event.button !== 0) return;
    const from = toDesk(camera, at);
    if (set === BRUSH) {
      brushAt(from);
      return setHand({ what: "brush" });
    }
    if (set === BOWED) return setHand({ what: "follow", places: [from], free: event.shiftKey });
    // An end of the chosen edge is taken up where it is pressed.
    if (chosen) {
      const near = (
        [
          [chosen.x1, chosen.y1, 1],
          [chosen.x2, chosen.y2, 2],
        ] as const
      ).find(([x, y]) => {
        const [wx, wy] = toWindow(camera, [x, y]);
        return Math.hypot(wx - at[0], wy - at[1]) < NEAR;
      });
      if (near) {
        beginGesture();
        return setHand({ what: "end", end: near[2] });
      }
    }
    setSettled(null);
    setHand({ what: "trace", from, to: from, free: event.shiftKey });
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(event);
    const px = toDesk(camera, at);
    setPointer(px);
    if (hand?.what === "pan") {
      setCamera(pan(camera, at[0] - hand.last[0], at[1] - hand.last[1]));
      setHand({ what: "pan", last: at });
    } else if (hand?.what === "brush") brushAt(px);
    else if (hand?.what === "follow") {
      const last = hand.places[hand.places.length - 1];
      if (Math.hypot(px[0] - last[0], px[1] - last[1]) * camera.scale >= STEP)
        setHand({ ...hand, places: [...hand.places, px], free: event.shiftKey });
    } else if (hand?.what === "trace") {
      setHand({ ...hand, to: px, free: event.shiftKey });
      if (snaps && !event.shiftKey) void settler.settle(hand.from, px, REACH / camera.scale).then(setSettled);
    } else if (hand?.what === "end" && tracing.edge !== null)
      moveEdge(reference.id, set, tracing.edge, {
        ...(hand.end === 1 ? { x1: px[0], y1: px[1] } : { x2: px[0], y2: px[1] }),
        hand: handAt(camera),
      });
  };
  /** Lays down a line that was drawn, on the photo's own edge where there is one. */
  const finishLine = async (from: Vec2, to: Vec2, free: boolean, { scale }: Camera) => {
    const found = snaps && !free ? await settler.settle(from, to, REACH / scale) : null;
    const [[x1, y1], [x2, y2]] = found ? [found.a, found.b] : [from, to];
    addEdge(reference, set, { x1, y1, x2, y2, hand: found ? Math.max(SETTLED, found.off) : handAt({ scale }) });
  };
  const onPointerUp = () => {
    if (hand?.what === "end") endGesture();
    if (hand?.what === "trace" && camera) {
      const { from, to, free } = hand;
      if (Math.hypot(to[0] - from[0], to[1] - from[1]) * camera.scale >= LEAST) {
        queue.current = queue.current.then(() => finishLine(from, to, free, camera));
        // Walls share corners: the next one may well begin at an end of this one.
        onTracing({ set, edge: set === HORIZON ? 0 : set === WALLS ? null : lines.length });
      } else press(from);
    }
    if (hand?.what === "follow" && camera && hand.places.length >= 3) {
      const { places, free } = hand;
      queue.current = queue.current.then(async () =>
        addBowed(reference.id, snap && !free ? await settler.follow(places, REACH / camera.scale) : places),
      );
    }
    setSettled(null);
    setHand(null);
  };
  /** What a mere press means: a mark on the chosen wall, or the edge that is there, in whatever set. */
  const press = (at: Vec2) => {
    if (!camera) return;
    const wall = set === WALLS && tracing.edge !== null ? walls[tracing.edge] : null;
    const share = wall && shareAt(wall, at);
    if (tracing.edge !== null && share !== null && share !== undefined) return mark(tracing.edge, share);
    const all = [...sets.map(({ id }) => id), HEIGHTS, WALLS, HORIZON];
    const near = all
      .flatMap((id) =>
        linesOf(reference, id).map((edge, i) => ({
          id,
          at: i,
          off: id === WALLS && walls[i] && shareAt(walls[i], at) !== null ? NEAR / 2 : away(edge, at) * camera.scale,
        })),
      )
      .filter(({ off }) => off < 8)
      .sort((a, b) => a.off - b.off)[0];
    onTracing(near ? { set: near.id, edge: near.at } : { set, edge: null });
  };
  /** Marks a place along a wall, or takes the mark away that is there. */
  const mark = (at: number, share: number) =>
    onWall(reference.id, at, (wall) => {
      const marks = wall.marks ?? [];
      const there = marks.findIndex((one) => Math.abs(one - share) < 0.01);
      wall.marks = there >= 0 ? marks.filter((_, i) => i !== there) : [...marks, share].sort((a, b) => a - b);
    });
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
    moveEdge(
      reference.id,
      set,
      tracing.edge,
      { x1: chosen.x1 + dx, y1: chosen.y1 + dy, x2: chosen.x2 + dx, y2: chosen.y2 + dy },
      true,
    );
  };

  const drawing = hand?.what === "trace" ? [hand.from, hand.to] : hand?.what === "follow" ? hand.places : null;
  const traced = (points: readonly Vec2[]) =>
    camera ? points.map((p) => toWindow(camera, p).join(",")).join(" ") : "";
  const hovers = pointer && camera && (loupe || (hand && hand.what !== "pan" && hand.what !== "brush"));
  return (
    <div
      ref={holder}
      role="application"
      aria-label="Photo"
      tabIndex={0}
      className={
        "relative min-w-0 grow touch-none overflow-hidden bg-desk select-none " +
        `${set === BRUSH ? "cursor-cell" : "cursor-crosshair"}`
      }
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerLeave={() => setPointer(null)}
      onPointerCancel={() => {
        cancelGesture();
        setHand(null);
      }}
      onKeyDown={onKeyDown}
    >
      {camera && (
        <>
          <img
            key={arrival}
            src={referencePath(sceneId, reference.picture, camera.scale * Math.max(width, height) < 1400)}
            alt={reference.name}
            draggable={false}
            onLoad={() => setMissing(false)}
            onError={() => setMissing(true)}
            className="pointer-events-none absolute max-w-none origin-top-left"
            style={{
              left: camera.x,
              top: camera.y,
              width: width * camera.scale,
              height: height * camera.scale,
              opacity: fade,
              imageRendering: camera.scale > 3 ? "pixelated" : "auto",
            }}
          />
          <Traced reference={reference} tracing={tracing} finding={finding} wrong={wrong} camera={camera} size={size} />
          <svg width={size.width} height={size.height} className="pointer-events-none absolute inset-0">
            {drawing && (
              <polyline points={traced(drawing)} fill="none" stroke="#c8401f" strokeWidth={settled ? 1 : 2} />
            )}
            {settled && hand?.what === "trace" && !hand.free && (
              <polyline
                points={traced([settled.a, settled.b])}
                fill="none"
                stroke="#c8401f"
                strokeWidth={3}
                data-testid="settled"
              />
            )}
            {set === BRUSH && pointer && (
              <circle
                cx={toWindow(camera, pointer)[0]}
                cy={toWindow(camera, pointer)[1]}
                r={BRUSH_WIDE}
                fill="none"
                stroke={brush === "use" ? "#26251f" : "#c8401f"}
                strokeWidth={1.5}
              />
            )}
          </svg>
          {missing && (
            <div
              role="alert"
              className="absolute left-1/2 top-1/3 -translate-x-1/2 rounded bg-slip p-3"
              onPointerDown={(event) => event.stopPropagation()}
            >
              <p className="mb-2">The picture itself is not on this machine; what was traced in it is.</p>
              <Button onClick={() => void bringAgain(sceneId, reference)}>Bring it in again</Button>
            </div>
          )}
          {hovers && (
            <Loupe
              url={referencePath(sceneId, reference.picture)}
              reference={reference}
              at={pointer}
              hand={toWindow(camera, pointer)}
              wide={size.width}
            />
          )}
        </>
      )}
    </div>
  );
}

/**
 * How far a hand may be off, px of the photo: about one px of the screen (common practice), and never less than the
 * photo's own.
 */
const handAt = ({ scale }: Pick<Camera, "scale">): number => Math.max(1, 1 / scale);
