import { useEffect, useRef, useState } from "react";
import { PICTURE_LAYERS } from "@zanvo/core/drawing";
import { Canvas, Layers } from "../canvas";
import { useLayers } from "../board/desk/useLayers";
import { useStores } from "../stores";

/** The current shot's panel as it is seen now, while the plan is worked on. */
export function Picture() {
  const { useDocument, useShot, useVisibleEdges } = useStores();
  const holder = useRef<HTMLDivElement>(null);
  const [wide, setWide] = useState(0);
  const elements = useDocument((document) => document.scene.elements);
  const orientations = useDocument((document) => document.scene.orientations);
  const lines = useDocument((document) => document.scene.lines);
  const lights = useDocument((document) => document.scene.lights);
  const shot = useShot();
  const { frame } = shot;
  const visible = useVisibleEdges(elements, shot, lights);
  const layers = useLayers({ orientations, lines, lights }, shot, visible, undefined, PICTURE_LAYERS);
  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => setWide(element.clientWidth));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const scale = Math.min(wide / frame.width, 340 / frame.height);
  return (
    <div
      ref={holder}
      role="img"
      aria-label={`Picture: ${shot.name}`}
      className="overflow-hidden rounded border border-hair bg-[#fbf9f3]"
    >
      {wide > 0 && (
        <Canvas
          width={wide}
          height={Math.ceil(frame.height * scale)}
          scale={scale}
          x={-frame.x * scale + (wide - frame.width * scale) / 2}
          y={-frame.y * scale}
          className="block"
        >
          <Layers layers={layers} order={0} />
        </Canvas>
      )}
    </div>
  );
}
