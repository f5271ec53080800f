import { useEffect, useMemo, useRef } from "react";
import { segmentLines, stretchLines, STYLES, type Layer, type Shapes } from "@zanvo/core/drawing";
import { viewOf } from "@zanvo/core/shot";
import { horizon, isLevel, lineIn, pinsOf } from "@zanvo/core/vanishing";
import { CREASE, HIDDEN, INTERSECTION, OUTLINE } from "@zanvo/core/visibility";
import { Canvas, Layers } from "../../canvas";
import { useMeasures } from "../../units";
import { ArcHandles } from "./ArcHandles";
import { BlockHandles } from "./BlockHandles";
import { toWindow, wholeDesk } from "../../canvas/camera";
import { frame, setDeskElement, setRaising, setSix, startLooking, useDesk } from "./desk";
import { FrameHandles } from "./FrameHandles";
import { HorizonHandles } from "./HorizonHandles";
import { Impossible } from "./Impossible";
import { OtherDiscPins, OtherPanel, PanelTabs, useOtherPanels } from "./OtherPanels";
import { Paper } from "./Paper";
import { PinHandles } from "./PinHandles";
import { ORDER } from "./order";
import { edges } from "./raise";
import { RULER, Rulers } from "./Rulers";
import { useShownPins } from "./sets";
import { SixPoints, useSixLayers } from "./SixPoints";
import { SketchHandles } from "./SketchHandles";
import { Stretch } from "./Stretch";
import { StaleDrawing } from "./StaleDrawing";
import { MissingPicture, UnderPicture, useUnderPicture } from "./UnderPicture";
import { useHand } from "./useHand";
import { useLayers } from "./useLayers";
import { usePictureDrop } from "./usePictureDrop";
import { useSeen } from "./useSeen";
import { useSolids } from "./useSolids";
import { useDocument, useChosen, useView, useShot } from "../../document";

/** What goes on beyond the sheet is drawn this far around it, mm. */
const AROUND = { x: -5000, y: -5000, width: 12000, height: 12000 };
const MARK = "#c8401f";
const mark = (id: string, strokes: Shapes, width = 0.45, dash: readonly number[] = [], opacity = 1): Layer => ({
  id,
  label: id,
  ...strokes,
  style: { stroke: MARK, width, dash, opacity },
});

/** The desk: the sheet with its drawing, the pins around it, the rulers, and the hand that works on it. */
export function Desk() {
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const stage = useView((view) => view.stage);
  const shot = useShot();
  const chosen = useChosen();
  const { size, camera, framing, tag, raising, foot, third, place } = useDesk();
  const holder = useRef<HTMLDivElement>(null);
  const seen = useSeen(scene.elements, shot.eye.x, shot.eye.y, shot.eye.z);
  const { cursor, ...hand } = useHand(holder);
  const dropping = usePictureDrop(id);
  const under = useUnderPicture(id, shot);

  useEffect(() => {
    const element = holder.current;
    setDeskElement(element);
    if (!element) return undefined;
    const watch = new ResizeObserver(() => {
      const { framing: now } = useDesk.getState();
      const next = { width: element.clientWidth, height: element.clientHeight };
      if (now === "free") useDesk.setState({ size: next });
      else frame(now, next);
    });
    watch.observe(element);
    return () => {
      watch.disconnect();
      setDeskElement(null);
    };
  }, []);
  useEffect(() => startLooking(id), [id]);
  // What is being raised or placed belongs to the picture it was begun in.
  useEffect(
    () => () => {
      setRaising(null);
      setSix(null);
    },
    [stage, shot.id],
  );

  // Another sheet is fitted again, unless somebody has chosen where to look.
  const { width, height } = shot.sheet;
  useEffect(() => {
    if (framing !== "free") frame(framing);
  }, [width, height, framing]);

  const view = useMemo(() => viewOf(shot), [shot]);
  const others = useOtherPanels();
  const measures = useMeasures();
  const pins = useShownPins();
  const onDesk = useMemo(() => ({ pins, within: AROUND }), [pins]);
  const layers = useLayers(scene.orientations, shot, seen, onDesk);
  const solids = useSolids(stage === "masses");
  const marks = useMemo(() => {
    const own: Layer[] = [];
    if (chosen && solids) {
      const edges = solids.alone(view, chosen);
      own.push(
        mark("chosen-far", stretchLines(view, edges, HIDDEN), 0.2, [1, 1], 0.7),
        mark("chosen-crease", stretchLines(view, edges, CREASE)),
        mark("chosen-meeting", stretchLines(view, edges, INTERSECTION)),
        mark("chosen-outline", stretchLines(view, edges, OUTLINE)),
      );
    }
    if (raising) own.push(mark("raising", segmentLines(view, edges(raising)), 0.4));
    const guide = (raising?.foot ?? foot)?.guide;
    if (guide) own.push(mark("street-line", { lines: Float64Array.from(guide.flat()) }, 0.25, [4, 2]));
    return own;
  }, [chosen, solids, view, raising, foot]);

  const six = useSixLayers();
  const string = useMemo(() => {
    // The horizon goes on over the desk, faintly, as far as its pins.
    const line = horizon(view);
    const level = pinsOf(scene.orientations, shot).flatMap((pin) =>
      pin.point.at && isLevel(pin) ? [pin.point.at] : [],
    );
    const ends = line && lineIn(line, wholeDesk(shot.sheet, level));
    return {
      id: "string",
      label: "Horizon over the desk",
      style: { ...STYLES.horizon, opacity: 0.35 },
      lines: Float64Array.from(ends ? ends.flat() : []),
    };
  }, [view, scene.orientations, shot]);
  const over = useMemo(() => {
    const centre: Layer = {
      id: "centre",
      label: "Centre of vision",
      style: { ...STYLES.horizon, dash: [] },
      lines: cross(shot.lens.centre, 4),
    };
    return [string, ...marks, ...six, centre];
  }, [string, marks, six, shot.lens.centre]);
  const { scale, x, y } = camera;
  const [fx, fy] = foot?.on ? toWindow(camera, foot.guide ? midOf(foot.guide) : [NaN, NaN]) : [NaN, NaN];
  return (
    <div className="relative min-h-0 grow overflow-hidden bg-desk">
      <Rulers />
      <div
        ref={holder}
        role="application"
        aria-label="Desk"
        className="absolute bottom-0 right-0 touch-none overflow-hidden select-none"
        style={{ left: RULER, top: RULER, cursor }}
        {...hand}
        {...dropping}
      >
        <Canvas {...size} x={x} y={y} scale={scale} className="absolute inset-0">
          <Paper width={width} height={height} />
          <UnderPicture image={under.image} shot={shot} />
          {others.map((other) => (
            <OtherPanel key={other.id} shot={other} elements={scene.elements} />
          ))}
          <Layers layers={layers} order={ORDER.drawing} />
        </Canvas>
        <Canvas {...size} x={x} y={y} scale={scale} className="absolute inset-0">
          {third && <Impossible />}
          <Layers layers={over} order={ORDER.marks} />
        </Canvas>
        <PanelTabs />
        <OtherDiscPins />
        {stage === "sheet" && <FrameHandles />}
        {(stage === "eye-level" || stage === "points") && <HorizonHandles />}
        {(stage === "points" || stage === "grid") && <SketchHandles />}
        <PinHandles movable={stage === "eye-level" || stage === "points" || stage === "grid"} />
        {stage === "masses" && chosen?.kind === "block" && !chosen.locked && !raising && (
          <BlockHandles block={chosen} />
        )}
        {stage === "points" && <ArcHandles />}
        <SixPoints />
        {Number.isFinite(fx) && (
          <span
            className="pointer-events-none absolute rounded bg-slip/90 px-1 text-accent"
            style={{ left: fx, top: fy }}
          >
            street line
          </span>
        )}
        <div className="absolute left-1/2 top-2 z-10 flex -translate-x-1/2 flex-col items-center gap-1">
          <StaleDrawing />
          {under.missing && under.reference && <MissingPicture sceneId={id} reference={under.reference} />}
        </div>
        {place && <Ring at={toWindow(camera, place)} size={size} />}
        {(stage === "eye-level" || stage === "points" || stage === "grid") && <Stretch />}
        {tag && (
          <span
            role="status"
            className={
              "measure pointer-events-none absolute z-10 w-max max-w-64 rounded px-1.5 py-0.5 " +
              `${tag.wrong ? "bg-accent text-on-accent" : "bg-ink text-slip"}`
            }
            style={tagPlace(tag.at, size)}
          >
            {measures(tag.text)}
          </span>
        )}
      </div>
    </div>
  );
}

/** A ring around the place a finding speaks of, at the window's edge if it lies outside. */
function Ring({
  at: [x, y],
  size,
}: {
  readonly at: readonly [number, number];
  readonly size: { width: number; height: number };
}) {
  const left = Math.min(Math.max(x, 16), size.width - 16);
  const top = Math.min(Math.max(y, 16), size.height - 16);
  return (
    <span
      data-testid="place"
      className="pointer-events-none absolute size-7 rounded-full border-2 border-accent"
      style={{ left: left - 14, top: top - 14 }}
    />
  );
}

const midOf = ([a, b]: readonly [readonly [number, number], readonly [number, number]]) =>
  [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as const;

/** Beside the pointer, on the side where there is room. */
function tagPlace([x, y]: readonly [number, number], size: { width: number; height: number }) {
  return {
    ...(x > size.width - 280 ? { right: size.width - x + 14 } : { left: x + 16 }),
    ...(y > size.height - 60 ? { bottom: size.height - y + 10 } : { top: y + 14 }),
  };
}

/** A small upright cross. */
const cross = ({ x, y }: { x: number; y: number }, r: number) =>
  Float64Array.from([x - r, y, x + r, y, x, y - r, x, y + r]);
