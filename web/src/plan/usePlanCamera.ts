import { planBounds } from "@zanvo/core/construct";
import { useEffect, useState, type RefObject } from "react";
import { fit, wheeled, type Camera, type Size } from "../board/desk/camera";
import { useDocument } from "../document";
import { viewOfElement } from "../elements";

/** What of the world a window of the plan shows: at first all that is near, then what a hand has moved to. */
export function usePlanCamera(holder: RefObject<HTMLElement | null>) {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const [camera, setCamera] = useState<Camera | null>(null);
  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => {
      const next = { width: element.clientWidth, height: element.clientHeight };
      setSize(next);
      const { scene } = useDocument.getState();
      // Skylines lie far away: the plan begins with what is near.
      const near = scene.elements.filter((one) => !viewOfElement(one).far);
      const eyes = scene.shots.map(({ eye }) => [eye.x, eye.y] as const);
      const { x, y, width, height } = planBounds(near, eyes);
      setCamera((before) => before ?? fit({ x, y: -y - height, width, height }, next, 24));
    });
    watch.observe(element);
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      setCamera((now) => now && wheeled(now, event, [event.clientX - box.left, event.clientY - box.top]));
    };
    element.addEventListener("wheel", onWheel, { passive: false });
    return () => {
      watch.disconnect();
      element.removeEventListener("wheel", onWheel);
    };
  }, [holder]);
  return { size, camera, setCamera };
}
