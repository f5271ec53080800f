import { useEffect, useRef, useState } from "react";
import { Layer, Stage } from "react-konva/lib/ReactKonvaCore";
import { PICTURE_LAYERS } from "@zanvo/core/drawing";
import { useBoard, useShot } from "../board/board";
import { LayerShape } from "../board/desk/LayerShape";
import { useLayers } from "../board/desk/useLayers";
import { useSeen } from "../board/desk/useSeen";

/** The current shot's panel as it is seen now, while the plan is worked on. */
export function Picture() {
  const holder = useRef<HTMLDivElement>(null);
  const [wide, setWide] = useState(0);
  const elements = useBoard((board) => board.scene.elements);
  const orientations = useBoard((board) => board.scene.orientations);
  const shot = useShot();
  const { frame, eye } = shot;
  const seen = useSeen(elements, eye.x, eye.y, eye.z);
  const layers = useLayers(orientations, shot, seen, undefined, PICTURE_LAYERS);
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
        <Stage width={wide} height={Math.ceil(frame.height * scale)} listening={false}>
          <Layer
            listening={false}
            scaleX={scale}
            scaleY={scale}
            x={-frame.x * scale + (wide - frame.width * scale) / 2}
            y={-frame.y * scale}
          >
            {layers.map((layer) => (
              <LayerShape key={layer.id} layer={layer} scale={scale} />
            ))}
          </Layer>
        </Stage>
      )}
    </div>
  );
}
