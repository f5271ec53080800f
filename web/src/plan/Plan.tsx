import { pickOnPlan, planBounds } from "@zanvo/core/construct";
import { useEffect, useEffectEvent, useMemo, useRef } from "react";
import type { Rect } from "@zanvo/core/geometry";
import { metres, sentence } from "@zanvo/core/units";
import { fit, pan, toDesk, zoom } from "../canvas/camera";
import { useCamera } from "../canvas/useCamera";
import { useKeyCursor } from "../canvas/useKeyCursor";
import { viewOfElement } from "../elements";
import { pointAt } from "./doing";
import { PlanDrawing } from "./PlanDrawing";
import type { PlanTool } from "./tools";
import { usePlanHand } from "./usePlanHand";
import { useSketch } from "./useSketch";
import { useStores, type Stores } from "../stores";
import { Zooming } from "./Zooming";

/** What stays free around what is fitted into the window, px. */
const FREE = 24;

/** What the plan begins with: all that is near. Skylines lie far away. */
function wholePlan(stores: Stores) {
  const { elements, shots } = stores.useDocument.getState().scene;
  const near = elements.filter((one) => !viewOfElement(one).far);
  const eyes = shots.map(({ eye }) => [eye.x, eye.y] as const);
  return northUp(planBounds([...near], [...eyes, [0, 0], [10, 10]]));
}

/** A rectangle of the world as it lies in the window's directions. */
const northUp = ({ x, y, width, height }: Rect): Rect => ({ x, y: -y - height, width, height });

/** Shows everything each time that something was brought in. */
function useShownAgain(brought: number, showAll: () => void): void {
  const show = useEffectEvent(showAll);
  useEffect(() => {
    if (brought > 0) show();
  }, [brought]);
}

interface PlanProps {
  readonly tool: PlanTool;
  readonly onTool: (tool: PlanTool) => void;
  /** Whether a grid of round metres is shown. */
  readonly grid: boolean;
  /** How often something was brought in: the plan then shows it all. */
  readonly brought: number;
}

/** The world from above, north up, to scale: things and eyes are dragged in metres, fresh ones drawn. */
export function Plan({ tool, onTool, grid, brought }: PlanProps) {
  const stores = useStores();
  const { useMany, useDocument, useSelection, useMeasures, choose } = stores;
  const measures = useMeasures();
  const holder = useRef<HTMLDivElement>(null);
  const { size, camera, setCamera } = useCamera(holder, () => wholePlan(stores), FREE);
  const showAll = () => setCamera(fit(wholePlan(stores), size, FREE));
  useShownAgain(brought, showAll);
  const sketch = useSketch(tool, camera);
  const { doing, hover, tag, giveUp, handlers } = usePlanHand({ holder, camera, setCamera, tool, onTool, sketch });
  const cursor = useKeyCursor({
    holder,
    free: () => tool.gesture !== "choose" || useSelection.getState().selected === null,
    drags: () => tool.gesture !== "choose" && !sketch.pressed,
    busy: () => sketch.begun || doing !== null,
    scroll: ([dx, dy]) => setCamera((now) => now && pan(now, dx, dy)),
    told: (at) => {
      const [east, south] = camera ? toDesk(camera, at) : [0, 0];
      return measures(sentence`${metres(east)} east, ${metres(-south)} north`);
    },
  });
  const many = useMany();
  const chosen = useMemo(() => new Set(many.map(({ id }) => id)), [many]);
  const ends = doing?.what === "shape" || doing?.what === "lasso" ? ([doing.from, doing.to] as const) : null;
  return (
    <div
      ref={holder}
      role="application"
      aria-label="Plan"
      tabIndex={0}
      className={
        "relative min-w-0 grow touch-none overflow-hidden bg-[#f3f1e8] text-[#26251f] select-none " +
        `${tool.gesture === "choose" ? "" : "cursor-crosshair"}`
      }
      {...handlers}
      onPointerMove={(event) => {
        cursor.hide(event);
        handlers.onPointerMove(event);
      }}
      onBlur={() => cursor.hide()}
      onDoubleClick={(event) => {
        if (!camera || tool.gesture !== "choose") return;
        // Of a group, the one that is pressed twice is chosen by itself.
        const { world } = pointAt(camera, event.currentTarget, event);
        const element = pickOnPlan(useDocument.getState().scene.elements, world);
        if (element) choose([element.id]);
      }}
      onKeyDown={(event) => {
        if (cursor.onKeyDown(event)) return;
        if (event.key === "Escape") giveUp();
        if (event.key === "Enter" && sketch.pressed) sketch.close();
      }}
    >
      {camera && (
        <PlanDrawing
          camera={camera}
          size={size}
          chosen={chosen}
          sketched={sketch.sketched(doing?.what === "shape" ? ends : null, hover)}
          hover={hover}
          grid={grid}
          lasso={doing?.what === "lasso" ? ends : null}
        />
      )}
      {cursor.shown}
      <Zooming
        zoomed={(factor) => setCamera((now) => now && zoom(now, factor, [size.width / 2, size.height / 2]))}
        fitted={showAll}
        fittedToChosen={many.length ? () => setCamera(fit(northUp(planBounds(many, [], 2)), size, FREE)) : undefined}
      />
      {tag && (
        <span
          className="measure pointer-events-none absolute rounded bg-slip px-1.5 py-0.5 shadow-none"
          style={{ left: Math.min(tag.at[0] + 14, size.width - 220), top: tag.at[1] + 14 }}
        >
          {tag.text}
        </span>
      )}
    </div>
  );
}
