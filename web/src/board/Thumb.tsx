import { PICTURE_LAYERS } from "@zanvo/core/drawing";
import type { Shot } from "@zanvo/core/scene";
import type { Element } from "@zanvo/core/world";
import { useEffect, useMemo, useState } from "react";
import { Canvas, Layers } from "../canvas";
import { fit } from "../canvas/camera";
import { Paper } from "./desk/Paper";
import { ORDER } from "./desk/order";
import { useLayers } from "./desk/useLayers";
import { useStores } from "../stores";

/** The size of a small drawing, px. */
const SIZE = { width: 52, height: 38 } as const;
/** How long the hand must rest before it is drawn anew, ms: the board comes first; and how long after its neighbour. */
const REST = 1200;
const AFTER = 150;

interface Drawn {
  readonly elements: readonly Element[];
  readonly shot: Shot;
}

/** What it was a while ago, until it has rested for so long; while the hand drags anything, it waits. */
function useRested(elements: readonly Element[], shot: Shot, rest: number): Drawn | null {
  const { useDocument } = useStores();
  const [rested, setRested] = useState<Drawn | null>(null);
  const dragging = useDocument(({ gesture }) => gesture !== null);
  useEffect(() => {
    if (dragging) return undefined;
    const timer = setTimeout(() => setRested({ elements, shot }), rest);
    return () => clearTimeout(timer);
  }, [elements, shot, rest, dragging]);
  return rested;
}

function Drawing({ elements, shot }: Drawn) {
  const { useDocument, useVisibleEdges } = useStores();
  const orientations = useDocument((document) => document.scene.orientations);
  const lines = useDocument((document) => document.scene.lines);
  const visible = useVisibleEdges(elements, shot);
  const layers = useLayers({ orientations, lines }, shot, visible, undefined, PICTURE_LAYERS);
  const camera = useMemo(() => fit(shot.frame, SIZE, 1), [shot.frame]);
  return (
    <Canvas {...SIZE} {...camera} className="absolute inset-0">
      <Paper width={shot.sheet.width} height={shot.sheet.height} />
      <Layers layers={layers} order={ORDER.drawing} />
    </Canvas>
  );
}

/** A shot as a small drawing, as it was when the hand last rested. @param turn its place among those that are drawn */
export function Thumb({ shot, turn }: { readonly shot: Shot; readonly turn: number }) {
  const { useDocument } = useStores();
  const elements = useDocument((document) => document.scene.elements);
  const rested = useRested(elements, shot, REST + turn * AFTER);
  return (
    <span className="relative block shrink-0 overflow-hidden rounded-sm border border-hair" style={SIZE} aria-hidden>
      {rested && <Drawing {...rested} />}
    </span>
  );
}
