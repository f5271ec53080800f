import { useMemo } from "react";
import { PICTURE_LAYERS } from "@zanvo/core/drawing";
import type { Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { within } from "@zanvo/core/vanishing";
import type { Element } from "@zanvo/core/world";
import { Layers } from "../../canvas";
import { toWindow } from "../../canvas/camera";
import { ORDER } from "./order";
import { PinHead } from "./PinHead";
import { shownPins } from "./sets";
import { useLayers } from "./useLayers";
import { backToBack, useOtherPanels, useOver } from "./useOtherPanels";
import { useBoard } from "../useBoard";

/** How strongly the panels that are not being worked on are drawn. */
const RESTING = 0.6;
const WITH_GRIDS = ["bundles", ...PICTURE_LAYERS];

/**
 * One of the other panels, drawn in its place: buildings, horizon and frame, and its grids where it is the other
 * disc.
 */
export function OtherPanel({ shot, elements }: { readonly shot: Shot; readonly elements: readonly Element[] }) {
  const { useDocument, useShot, useVisibleEdges } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const lines = useDocument((document) => document.scene.lines);
  const lights = useDocument((document) => document.scene.lights);
  const other = backToBack(useShot(), shot);
  const visible = useVisibleEdges(elements, shot, lights);
  const over = useOver(shot);
  const shown = useMemo(() => ({ pins: shownPins(orientations, shot), over }), [orientations, shot, over]);
  const layers = useLayers({ orientations, lines, lights }, shot, visible, shown, other ? WITH_GRIDS : PICTURE_LAYERS);
  return <Layers layers={layers} order={ORDER.panels} strength={RESTING} />;
}

/** A tab at each other panel's corner: pressed, that panel is worked on. */
export function PanelTabs() {
  const { useDesk, go } = useBoard();
  const camera = useDesk((desk) => desk.camera);
  return useOtherPanels().map((shot) => {
    const [x, y] = toWindow(camera, [shot.frame.x, shot.frame.y]);
    return (
      <button
        key={shot.id}
        type="button"
        aria-label={`Work on the panel ${shot.name}`}
        className="absolute max-w-40 truncate rounded-br border border-hair bg-slip/90 px-1.5 py-0.5 hover:bg-wash"
        style={{ left: x, top: y }}
        onPointerDown={(event) => event.stopPropagation()}
        onClick={() => go({ shotId: shot.id })}
      >
        {shot.name}
      </button>
    );
  });
}

/** The heads of the pins that stand on the other disc of a world. */
export function OtherDiscPins() {
  const { useDesk, useDocument, useShot } = useBoard();
  const camera = useDesk((desk) => desk.camera);
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  return useOtherPanels()
    .filter((other) => backToBack(shot, other))
    .flatMap((other) => {
      const view = viewOf(other);
      return shownPins(orientations, other).map((pin) => {
        const { at } = pin.point;
        if (!at || !within(view, pin)) return null;
        const [x, y] = toWindow(camera, at);
        return (
          <span
            key={`${other.id} ${pin.id}`}
            className={`pointer-events-none absolute ${pin.opposite ? "opacity-55" : ""}`}
            style={{ left: x - 7, top: y - 7 }}
          >
            <PinHead pin={pin} />
          </span>
        );
      });
    });
}
