import { fromStretch, type Vec2 } from "@zanvo/core/geometry";
import type { Reference } from "@zanvo/core/scene";
import {
  useRef,
  useState,
  type Dispatch,
  type KeyboardEvent,
  type PointerEvent,
  type RefObject,
  type SetStateAction,
} from "react";
import { pan, toDesk, toWindow, type Camera } from "../canvas/camera";
import { capturePointer } from "../canvas/useKeyCursor";
import { arrowBy } from "../ui/arrows";
import type { useSettler } from "./edges";
import { type Finding } from "./edges";
import { pressed } from "./press";
import { useWalls } from "./Traced";
import {
  addBowed,
  addEdge,
  BOWED,
  BRUSH,
  HORIZON,
  linesOf,
  moveEdge,
  removeEdge,
  WALLS,
  type Tracing,
} from "./tracing";
import { useStores, type Stores } from "../stores";

/** An edge must be as long as this on the screen to be one, px. */
const LEAST = 8;
/**
 * How near the pointer takes things up, how far lines reach for an edge, how wide the brush is, and how far apart
 * places of a bowed edge are, screen px.
 */
const NEAR = 10;
const REACH = 8;
export const BRUSH_WIDE = 16;
const STEP = 14;
/** What a line that settled on an edge may be off, px of the photo, at least. */
const SETTLED = 0.5;

/**
 * How far a hand may be off, px of the photo: about one px of the screen (common practice), and never less than the
 * photo's own.
 */
const handAt = ({ scale }: Pick<Camera, "scale">): number => Math.max(1, 1 / scale);

/** What a hand on the photo is doing. */
export type PhotoHand =
  | { readonly what: "trace"; readonly from: Vec2; readonly to: Vec2; readonly free: boolean }
  | { readonly what: "pan"; readonly last: Vec2 }
  | { readonly what: "end"; readonly end: 1 | 2 }
  | { readonly what: "follow"; readonly places: readonly Vec2[]; readonly free: boolean }
  | { readonly what: "brush" };

export interface PhotoHandProps {
  readonly holder: RefObject<HTMLDivElement | null>;
  readonly camera: Camera | null;
  readonly setCamera: Dispatch<SetStateAction<Camera | null>>;
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: Dispatch<SetStateAction<Tracing>>;
  readonly finding: Finding;
  readonly brush: "use" | "ignore";
  /** Whether lines settle on the photo's own edges. */
  readonly snap: boolean;
  readonly settler: ReturnType<typeof useSettler>;
}

type Line = ReturnType<typeof linesOf>[number];

/** The end of a line that is pressed, if one is. */
function endAt({ x1, y1, x2, y2 }: Line, camera: Camera, at: Vec2): 1 | 2 | null {
  const near = (x: number, y: number) => {
    const [wx, wy] = toWindow(camera, [x, y]);
    return Math.hypot(wx - at[0], wy - at[1]) < NEAR;
  };
  return near(x1, y1) ? 1 : near(x2, y2) ? 2 : null;
}

export const windowAt = (holder: HTMLElement, event: PointerEvent): Vec2 => {
  const box = holder.getBoundingClientRect();
  return [event.clientX - box.left, event.clientY - box.top];
};

/** What a press at a place of the window begins; an end of the chosen edge is taken up where it is pressed. */
function begun(
  stores: Stores,
  set: string,
  chosen: Line | undefined,
  at: Vec2,
  free: boolean,
  camera: Camera,
): PhotoHand {
  const from = toDesk(camera, at);
  if (set === BRUSH) return { what: "brush" };
  if (set === BOWED) return { what: "follow", places: [from], free };
  const end = chosen ? endAt(chosen, camera, at) : null;
  if (!end) return { what: "trace", from, to: from, free };
  stores.beginGesture();
  return { what: "end", end };
}

/** What a hand is doing once it has come to a place: of the window, and of the photo, px. */
function carriedOn(hand: PhotoHand, at: Vec2, px: Vec2, free: boolean, scale: number): PhotoHand {
  if (hand.what === "pan") return { what: "pan", last: at };
  if (hand.what === "trace") return { ...hand, to: px, free };
  if (hand.what !== "follow") return hand;
  const last = hand.places[hand.places.length - 1];
  const far = Math.hypot(px[0] - last[0], px[1] - last[1]) * scale >= STEP;
  return far ? { ...hand, places: [...hand.places, px], free } : hand;
}

/** Adds what is drawn on a photo, on its own edges where it has them; one after the other. */
function useAdding({ reference, tracing: { set }, onTracing, snap, settler }: PhotoHandProps) {
  const stores = useStores();
  /** Chooses what was added, unless another set was taken up while it settled. */
  const choose = (edge: number | null) => onTracing((now) => (now.set === set ? { set, edge } : now));
  /** What was drawn last is added before the next, however long each takes to settle. */
  const queue = useRef<Promise<void>>(Promise.resolve());
  const snaps = snap && set !== WALLS && set !== HORIZON;
  return {
    snaps,
    line: (from: Vec2, to: Vec2, free: boolean, { scale }: Camera) => {
      queue.current = queue.current.then(async () => {
        const found = snaps && !free ? await settler.settle(from, to, REACH / scale) : null;
        const [[x1, y1], [x2, y2]] = found ? [found.a, found.b] : [from, to];
        const hand = found ? Math.max(SETTLED, found.off) : handAt({ scale });
        choose(
          addEdge(stores, reference, set, { x1, y1, x2, y2, hand, ...(found?.width ? { wide: found.width } : {}) }),
        );
      });
    },
    bowed: (places: readonly Vec2[], free: boolean, { scale }: Camera) => {
      queue.current = queue.current.then(async () =>
        addBowed(stores, reference.id, snap && !free ? await settler.follow(places, REACH / scale) : places),
      );
    },
  };
}

/** Moves or removes the chosen edge by keys. @returns what is traced then; null where it stays */
function keyed(
  stores: Stores,
  event: KeyboardEvent,
  reference: Reference,
  { set, edge }: Tracing,
  chosen: Line | undefined,
) {
  if (!chosen || edge === null) return null;
  if (event.key === "Delete" || event.key === "Backspace") {
    removeEdge(stores, reference.id, set, edge);
    return { set, edge: null };
  }
  const by = arrowBy(event, 1);
  if (!by) return null;
  event.preventDefault();
  const [dx, dy] = by;
  const { x1, y1, x2, y2 } = chosen;
  moveEdge(stores, reference.id, set, edge, { x1: x1 + dx, y1: y1 + dy, x2: x2 + dx, y2: y2 + dy }, true);
  return null;
}

/** The hand on a photo: it traces edges, moves their ends, follows bowed ones, brushes found ones, or pans. */
export function usePhotoHand(props: PhotoHandProps) {
  const stores = useStores();
  const { endGesture, cancelGesture } = stores;
  const { holder, camera, setCamera, reference, tracing, onTracing, finding, brush, settler } = props;
  const [hand, setHand] = useState<PhotoHand | null>(null);
  const [settled, setSettled] = useState<{ readonly a: Vec2; readonly b: Vec2 } | null>(null);
  const [pointer, setPointer] = useState<Vec2 | null>(null);
  const adding = useAdding(props);
  const walls = useWalls(reference);
  const { set, edge } = tracing;
  const lines = linesOf(reference, set);
  const chosen = edge === null ? undefined : lines[edge];

  /** Takes up or lays aside the found edges under the brush. */
  const brushAt = (px: Vec2) => {
    const { found } = finding;
    if (!found || !camera) return;
    const under = found.edges.flatMap(({ a, b }, i) => (fromStretch(px, a, b) * camera.scale < BRUSH_WIDE ? [i] : []));
    if (under.length) finding.put(under, brush === "use");
  };
  const onPointerDown = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(holder.current!, event);
    capturePointer(event);
    (event.currentTarget as HTMLElement).focus();
    if (event.button === 1 || event.altKey) return setHand({ what: "pan", last: at });
    if (event.button !== 0) return;
    const next = begun(stores, set, chosen, at, event.shiftKey, camera);
    if (next.what === "brush") brushAt(toDesk(camera, at));
    setSettled(null);
    setHand(next);
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!camera) return;
    const at = windowAt(holder.current!, event);
    const [px, free] = [toDesk(camera, at), event.shiftKey];
    setPointer(px);
    if (hand?.what === "pan") setCamera(pan(camera, at[0] - hand.last[0], at[1] - hand.last[1]));
    if (hand?.what === "brush") brushAt(px);
    if (hand?.what === "trace" && adding.snaps && !free)
      void settler.settle(hand.from, px, REACH / camera.scale).then(setSettled);
    if (hand?.what === "end" && edge !== null) {
      const to = hand.end === 1 ? { x1: px[0], y1: px[1] } : { x2: px[0], y2: px[1] };
      moveEdge(stores, reference.id, set, edge, { ...to, hand: handAt(camera) });
    }
    if (hand) setHand(carriedOn(hand, at, px, free, camera.scale));
  };
  /** Adds a line that was drawn; one that is too short is a mere press. */
  const finished = ({ from, to, free }: PhotoHand & { what: "trace" }, on: Camera) => {
    if (Math.hypot(to[0] - from[0], to[1] - from[1]) * on.scale < LEAST)
      return pressed(stores, reference, walls, tracing, from, on.scale);
    adding.line(from, to, free, on);
    return null;
  };
  const onPointerUp = () => {
    if (hand?.what === "end") endGesture();
    const next = hand?.what === "trace" && camera ? finished(hand, camera) : null;
    if (next) onTracing(next);
    if (hand?.what === "follow" && camera && hand.places.length >= 3) adding.bowed(hand.places, hand.free, camera);
    setSettled(null);
    setHand(null);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Escape") {
      if (hand?.what === "end") cancelGesture();
      setHand(null);
      return onTracing({ set, edge: null });
    }
    const next = keyed(stores, event, reference, tracing, chosen);
    if (next) onTracing(next);
  };
  const onPointerCancel = () => {
    cancelGesture();
    setHand(null);
  };
  return {
    hand,
    settled,
    pointer,
    leave: () => setPointer(null),
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel, onKeyDown },
  };
}
