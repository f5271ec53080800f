import { PICTURE_LAYERS } from "@zanvo/core/drawing";
import { fromEdge } from "@zanvo/core/vanishing";
import { Suspense, useEffect, useMemo, useRef, type RefObject } from "react";
import { Canvas, Layers } from "../../canvas";
import { pan, toDesk } from "../../canvas/camera";
import { useKeyCursor } from "../../canvas/useKeyCursor";
import { isHeld } from "@zanvo/core/shot";
import { lazily } from "../../ui";
import { DeskNotes } from "./DeskNotes";
import { HorizonHandles } from "./HorizonHandles";
import { Impossible } from "./Impossible";
import { ORDER } from "./order";
import { Paper } from "./Paper";
import { PinHandles } from "./PinHandles";
import { RULER, Rulers } from "./Rulers";
import { useShownPins } from "./sets";
import { SixLayers, SixPoints } from "./six";
import { StaleDrawing } from "./StaleDrawing";
import { Stretch } from "./Stretch";
import { MissingPicture, UnderPicture, useUnderPicture } from "./UnderPicture";
import { useDeskElement } from "./useDeskElement";
import { useHand } from "./useHand";
import { useLayers } from "./useLayers";
import { useMarks } from "./useMarks";
import { useOtherPanels, useOver } from "./useOtherPanels";
import { usePictureDrop } from "./usePictureDrop";
import { useBoard } from "../useBoard";

// Fetched when something is first chosen: it knows every kind of element.
const ElementHandles = lazily(async () => (await import("./ElementHandles")).ElementHandles);

// Fetched where a page has several panels.
const OtherPanel = lazily(async () => (await import("./OtherPanels")).OtherPanel);
const OtherDiscPins = lazily(async () => (await import("./OtherPanels")).OtherDiscPins);
const PanelTabs = lazily(async () => (await import("./OtherPanels")).PanelTabs);

// Fetched when they are first worked with.
const ArcHandles = lazily(async () => (await import("./ArcHandles")).ArcHandles);
const FrameHandles = lazily(async () => (await import("./FrameHandles")).FrameHandles);
const ShapeHandles = lazily(async () => (await import("../page/ShapeHandles")).ShapeHandles);
const SketchHandles = lazily(async () => (await import("./SketchHandles")).SketchHandles);

// Fetched when a picture lies under the drawing.
const UnderHandles = lazily(async () => (await import("./UnderHandles")).UnderHandles);
const LaySurface = lazily(async () => (await import("./UnderHandles")).LaySurface);

// Fetched when one first draws.
const WallMarks = lazily(async () => (await import("../fittings/WallMarks")).WallMarks);
const StreetMarks = lazily(async () => (await import("../street/StreetMarks")).StreetMarks);
const LightMarks = lazily(async () => (await import("../light/LightMarks")).LightMarks);
const DrawSurface = lazily(async () => (await import("../draw/DrawSurface")).DrawSurface);

// Fetched when something is first noted from life.
const LifeMarks = lazily(async () => (await import("./LifeMarks")).LifeMarks);

/** What goes on beyond the sheet is drawn this far around it, mm. */
const AROUND = { x: -5000, y: -5000, width: 12000, height: 12000 };

/** The drawing: the sheet, other panels of its page, the photo under it, and every layer. */
function Drawing({ under }: { readonly under: ReturnType<typeof useUnderPicture> }) {
  const { useDocument, useShot, useDesk, useVisibleEdges, showLayers } = useBoard();
  const { elements, orientations, lines, lights } = useDocument((document) => document.scene);
  const shot = useShot();
  const size = useDesk((desk) => desk.size);
  const camera = useDesk((desk) => desk.camera);
  const visible = useVisibleEdges(elements, shot, lights);
  const others = useOtherPanels();
  const pins = useShownPins();
  const over = useOver(shot);
  const onDesk = useMemo(() => ({ pins, within: AROUND, over }), [pins, over]);
  const inked = useInked();
  const layers = useLayers({ orientations, lines, lights, elements }, shot, visible, onDesk, inked);
  useEffect(() => showLayers(layers), [layers, showLayers]);
  return (
    <Canvas {...size} {...camera} className="absolute inset-0">
      <Paper width={shot.sheet.width} height={shot.sheet.height} />
      {!inked && <UnderPicture image={under.image} shot={shot} />}
      {others.length > 0 && (
        <Suspense fallback={null}>
          {others.map((other) => (
            <OtherPanel key={other.id} shot={other} elements={elements} />
          ))}
        </Suspense>
      )}
      <Layers layers={layers} order={ORDER.drawing} />
    </Canvas>
  );
}

/** The kinds of layer that are inked, where no more than these is to be shown. */
function useInked(): readonly string[] | undefined {
  const { useView, useHandOver } = useBoard();
  const stage = useView((view) => view.stage);
  const { inked, without } = useHandOver();
  const only = useMemo(() => PICTURE_LAYERS.filter((id) => !without.includes(id)), [without]);
  return inked && stage === "hand-over" ? only : undefined;
}

/** What the board adds over the drawing. */
function Marks() {
  const { useDocument, useView, useDesk, useShot, useChosen } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const elements = useDocument((document) => document.scene.elements);
  const choosing = useView(({ stage }) => stage === "masses");
  const size = useDesk((desk) => desk.size);
  const camera = useDesk((desk) => desk.camera);
  const third = useDesk((desk) => desk.third);
  const marks = useMarks(orientations, useShot(), elements, useChosen(), choosing);
  const six = useDesk((desk) => desk.six !== null);
  return (
    <Canvas {...size} {...camera} className="absolute inset-0">
      {third && <Impossible />}
      <Layers layers={marks} order={ORDER.marks} />
      {six && (
        <Suspense fallback={null}>
          <SixLayers />
        </Suspense>
      )}
    </Canvas>
  );
}

/** What can be taken hold of in a stage. */
function Handles() {
  const { useView, useChosen, useShot, useDesk } = useBoard();
  const shot = useShot();
  const stage = useView((view) => view.stage);
  const chosen = useChosen();
  const six = useDesk((desk) => desk.six !== null);
  // While a corner is raised, what stands beside it must not take the press.
  const choosing = useView(({ stage: now, tool }) => now === "masses" && tool === "select");
  const setting = stage === "points" || stage === "grid";
  const panels = useOtherPanels().length > 0;
  // What is held to its photo is not taken hold of.
  const held = isHeld(shot);
  return (
    <>
      {panels && (
        <Suspense fallback={null}>
          <PanelTabs />
          <OtherDiscPins />
        </Suspense>
      )}
      {stage === "sheet" && !held && (
        <Suspense fallback={null}>
          <FrameHandles />
          <ShapeHandles />
        </Suspense>
      )}
      {(stage === "eye-level" || stage === "points") && !held && <HorizonHandles />}
      {setting && shot.sketch && (
        <Suspense fallback={null}>
          <SketchHandles />
        </Suspense>
      )}
      <PinHandles movable={!held && (stage === "eye-level" || setting)} />
      {(choosing || stage === "street") && chosen && !chosen.locked && (
        <Suspense fallback={null}>
          <ElementHandles element={chosen} />
        </Suspense>
      )}
      {stage === "references" && shot.under && !held && (
        <Suspense fallback={null}>
          <UnderHandles shot={shot} under={shot.under} />
          <LaySurface />
        </Suspense>
      )}
      {stage === "points" && shot.arcs && (
        <Suspense fallback={null}>
          <ArcHandles />
        </Suspense>
      )}
      {stage === "points" && shot.sightings && (
        <Suspense fallback={null}>
          <LifeMarks shot={shot} sightings={shot.sightings} />
        </Suspense>
      )}
      {six && (
        <Suspense fallback={null}>
          <SixPoints />
        </Suspense>
      )}
      {(stage === "eye-level" || setting) && <Stretch />}
    </>
  );
}

/** The cursor of those who work without a mouse. */
function useDeskCursor(holder: RefObject<HTMLDivElement | null>) {
  const { useDesk, useMeasures, useShot, useSelection, useView, useDraw, look } = useBoard();
  const measures = useMeasures();
  const { sheet } = useShot();
  return useKeyCursor({
    holder,
    surface: () => holder.current?.querySelector<HTMLElement>("[data-testid=draw-surface]"),
    // Arrow keys nudge what is chosen among the masses.
    free: () => {
      const { stage, tool } = useView.getState();
      return stage !== "masses" || tool === "raise" || useSelection.getState().selected === null;
    },
    drags: () => {
      const { tool } = useDraw.getState();
      return useView.getState().stage === "draw" && (tool === "pencil" || tool === "eraser");
    },
    busy: () => useDesk.getState().raising !== null || useDraw.getState().begun !== null,
    scroll: ([dx, dy]) => look(pan(useDesk.getState().camera, dx, dy)),
    told: (at) => measures(fromEdge(sheet, ...toDesk(useDesk.getState().camera, at))),
  });
}

/** The desk: the sheet with its drawing, the pins around it, the rulers, and the hand that works on it. */
export function Desk() {
  const { useDocument, useView, useShot } = useBoard();
  const id = useDocument((document) => document.id);
  const stage = useView((view) => view.stage);
  const shot = useShot();
  const holder = useRef<HTMLDivElement>(null);
  const { cursor: look, panning, ...hand } = useHand(holder);
  const dropping = usePictureDrop(id);
  const under = useUnderPicture(id, shot);
  useDeskElement(holder, id, stage, shot);
  const cursor = useDeskCursor(holder);
  const inked = useInked();
  return (
    <div className="relative min-h-0 grow overflow-hidden bg-desk">
      <Rulers />
      <div
        ref={holder}
        role="application"
        aria-label="Desk"
        tabIndex={0}
        className="absolute bottom-0 right-0 touch-none overflow-hidden select-none"
        style={{ left: RULER, top: RULER, cursor: look }}
        {...hand}
        {...dropping}
        onPointerMove={(event) => {
          cursor.hide(event);
          hand.onPointerMove(event);
        }}
        onKeyDown={cursor.onKeyDown}
        onBlur={() => cursor.hide()}
      >
        {cursor.shown}
        <Drawing under={under} />
        {!inked && <Marks />}
        {stage === "draw" && (
          <Suspense fallback={null}>
            <DrawSurface panning={panning} />
          </Suspense>
        )}
        {stage === "fittings" && (
          <Suspense fallback={null}>
            <WallMarks />
          </Suspense>
        )}
        {stage === "street" && (
          <Suspense fallback={null}>
            <StreetMarks />
          </Suspense>
        )}
        {stage === "light" && (
          <Suspense fallback={null}>
            <LightMarks />
          </Suspense>
        )}
        {!inked && <Handles />}
        <div className="absolute left-1/2 top-2 z-10 flex -translate-x-1/2 flex-col items-center gap-1">
          <StaleDrawing />
          {under.missing && under.reference && <MissingPicture sceneId={id} reference={under.reference} />}
        </div>
        <DeskNotes />
      </div>
    </div>
  );
}
