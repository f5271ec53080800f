import type { Vec2 } from "@zanvo/core/geometry";
import type { Misdrawn } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { useRef, useState, type Dispatch, type RefObject, type SetStateAction } from "react";
import { referencePath } from "../api";
import { pan, toDesk, toWindow, type Camera, type Size } from "../canvas/camera";
import { useCamera } from "../canvas/useCamera";
import { useKeyCursor } from "../canvas/useKeyCursor";
import { Button } from "../ui";
import { bringAgain } from "./bring";
import { useSettler, type Finding } from "./edges";
import { Loupe } from "./Loupe";
import type { Recovered } from "./useRecovered";
import { Traced } from "./Traced";
import { BRUSH, QUADS, type Tracing } from "./tracing";
import { useHands } from "./useHands";
import { BRUSH_WIDE } from "./usePhotoHand";
import { useStores } from "../stores";

interface PhotoProps {
  readonly sceneId: string;
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: Dispatch<SetStateAction<Tracing>>;
  readonly finding: Finding;
  /** Whether the brush takes found edges up, or lays them aside. */
  readonly brush: "use" | "ignore";
  readonly wrong: readonly Misdrawn[];
  /** The view whose grid lies over the photo, if it is to. */
  readonly view: Recovered["view"];
  readonly fade: number;
  /** Whether lines settle on the photo's own edges, and the loupe hangs at the pointer always. */
  readonly snap: boolean;
  readonly loupe: boolean;
}

/** What the hand is drawing on the photo: a line and where it settles, a bowed edge, or the brush. */
function Drawn({
  hand: { hand, settled, pointer },
  brush,
  camera,
  size,
}: {
  readonly hand: ReturnType<typeof useHands>;
  /** What the brush does, while it is taken up. */
  readonly brush: "use" | "ignore" | null;
  readonly camera: Camera;
  readonly size: Size;
}) {
  const points = (places: readonly Vec2[]) => places.map((p) => toWindow(camera, p).join(",")).join(" ");
  const drawing = hand?.what === "trace" ? [hand.from, hand.to] : hand?.what === "follow" ? hand.places : null;
  const [cx, cy] = pointer ? toWindow(camera, pointer) : [0, 0];
  const colour = brush === "use" ? "#26251f" : "#c8401f";
  return (
    <svg width={size.width} height={size.height} className="pointer-events-none absolute inset-0">
      {drawing && <polyline points={points(drawing)} fill="none" stroke="#c8401f" strokeWidth={settled ? 1 : 2} />}
      {settled && hand?.what === "trace" && !hand.free && (
        <polyline
          points={points([settled.a, settled.b])}
          fill="none"
          stroke="#c8401f"
          strokeWidth={3}
          data-testid="settled"
        />
      )}
      {brush && pointer && <circle cx={cx} cy={cy} r={BRUSH_WIDE} fill="none" stroke={colour} strokeWidth={1.5} />}
    </svg>
  );
}

/** Says that the picture is not on this machine, and takes it in again. */
function Missing({ sceneId, reference }: { readonly sceneId: string; readonly reference: Reference }) {
  const stores = useStores();
  return (
    <div
      role="alert"
      className="absolute left-1/2 top-1/3 -translate-x-1/2 rounded bg-slip p-3"
      onPointerDown={(event) => event.stopPropagation()}
    >
      <p className="mb-2">The picture itself is not on this machine; what was traced in it is.</p>
      <Button onClick={() => void bringAgain(stores, sceneId, reference)}>Bring it in again</Button>
    </div>
  );
}

/** The cursor of those who work without a mouse. */
function usePhotoCursor(
  holder: RefObject<HTMLElement | null>,
  { set, edge }: Tracing,
  drawing: boolean,
  camera: Camera | null,
  setCamera: ReturnType<typeof useCamera>["setCamera"],
) {
  return useKeyCursor({
    holder,
    free: () => edge === null,
    drags: () => set !== QUADS || edge !== null,
    busy: () => drawing,
    scroll: ([dx, dy]) => setCamera((now) => now && pan(now, dx, dy)),
    told: (at) => {
      const [x, y] = camera ? toDesk(camera, at) : [0, 0];
      return `${Math.round(x)} px from the left, ${Math.round(y)} px from the top`;
    },
  });
}

/** The photo with all that is traced in it; edges are drawn on it by hand, and settle on its own where it has them. */
export function Photo(props: PhotoProps) {
  const { useArrival } = useStores();
  const { sceneId, reference, tracing, brush, fade, loupe } = props;
  const { width, height, picture } = reference;
  const holder = useRef<HTMLDivElement>(null);
  const [missing, setMissing] = useState(false);
  const arrival = useArrival(picture);
  const { size, camera, setCamera } = useCamera(holder, () => ({ x: 0, y: 0, width, height }), 16);
  const settler = useSettler(sceneId, picture, arrival, reference.drawing !== undefined);
  const drawn = useHands({ ...props, holder, camera, setCamera, settler });
  const { hand, pointer } = drawn;
  const cursor = usePhotoCursor(holder, tracing, drawn.busy, camera, setCamera);
  const brushing = tracing.set === BRUSH;
  const hovers = pointer && (loupe || tracing.set === QUADS || (hand && hand.what !== "pan" && hand.what !== "brush"));
  return (
    <div
      ref={holder}
      role="application"
      aria-label="Photo"
      tabIndex={0}
      className={
        "relative min-w-0 grow touch-none overflow-hidden bg-desk select-none " +
        `${brushing ? "cursor-cell" : "cursor-crosshair"}`
      }
      {...drawn.handlers}
      onPointerMove={(event) => {
        cursor.hide(event);
        drawn.handlers.onPointerMove(event);
      }}
      onKeyDown={(event) => {
        if (!cursor.onKeyDown(event)) drawn.handlers.onKeyDown(event);
      }}
      onBlur={() => cursor.hide()}
      onPointerLeave={drawn.leave}
    >
      {cursor.shown}
      {camera && (
        <>
          <img
            key={arrival}
            src={referencePath(sceneId, picture, camera.scale * Math.max(width, height) < 1400)}
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
          <Traced {...props} pressed={drawn.pressed} camera={camera} size={size} />
          <Drawn hand={drawn} brush={brushing ? brush : null} camera={camera} size={size} />
          {missing && <Missing sceneId={sceneId} reference={reference} />}
          {hovers && (
            <Loupe
              url={referencePath(sceneId, picture)}
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
