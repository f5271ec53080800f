import type { Rect } from "@zanvo/core/geometry";
import { useEffect, useEffectEvent, useState, type RefObject } from "react";
import { fit, wheeled, type Camera, type Size } from "./camera";

/**
 * What a window shows of something larger: at first all of it, then what the wheel and the hand have moved to.
 * @param whole what is fitted into the window at first
 * @param pad what stays free around it then, px
 */
export function useCamera(holder: RefObject<HTMLElement | null>, whole: () => Rect, pad: number) {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const [camera, setCamera] = useState<Camera | null>(null);
  const onSize = useEffectEvent((next: Size) => {
    setSize(next);
    setCamera((before) => before ?? fit(whole(), next, pad));
  });
  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => onSize({ width: element.clientWidth, height: element.clientHeight }));
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
