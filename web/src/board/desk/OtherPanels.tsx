import { useMemo } from "react";
import { buildingLayers, sheetLayers } from "@zanvo/core/drawing";
import { pageOf, showOf, type Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import type { Element } from "@zanvo/core/world";
import { go, useBoard, useShot } from "../board";
import { toWindow } from "./camera";
import { useDesk } from "./desk";
import { Lines } from "./Lines";
import { useSeen } from "./useSeen";

/** How strongly the panels that are not being worked on are drawn. */
const RESTING = 0.6;

/** The other panels of the page that lies on the desk. */
export function useOtherPanels(): readonly Shot[] {
  const scene = useBoard((board) => board.scene);
  const shot = useShot();
  return useMemo(() => pageOf(scene, shot).filter(({ id }) => id !== shot.id), [scene, shot]);
}

/** One of the other panels, drawn in its place: buildings, horizon and frame, without its grids. */
export function OtherPanel({ shot, elements, scale }: { readonly shot: Shot; readonly elements: readonly Element[]; readonly scale: number }) {
  const seen = useSeen(elements, shot.eye.x, shot.eye.y, shot.eye.z);
  const layers = useMemo(() => {
    const view = viewOf(shot);
    const { horizon, frame } = sheetLayers(shot, view);
    return [horizon, ...buildingLayers(view, seen, showOf(shot)), frame].map((layer) => ({ ...layer, style: { ...layer.style, opacity: layer.style.opacity * RESTING } }));
  }, [shot, seen]);
  return layers.map((layer) => <Lines key={layer.id} layer={layer} scale={scale} />);
}

/** A tab at each other panel's corner: pressed, that panel is worked on. */
export function PanelTabs() {
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
