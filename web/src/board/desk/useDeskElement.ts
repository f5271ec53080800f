import type { Shot } from "@zanvo/core/scene";
import { useEffect, type RefObject } from "react";
import type { StageId } from "../../document";
import { useBoard } from "../useBoard";

/** Keeps the desk fitted to the element that it fills, and lays aside what was begun in another picture. */
export function useDeskElement(holder: RefObject<HTMLElement | null>, id: string, stage: StageId, shot: Shot): void {
  const { useDesk, setDeskElement, resize, startLooking, setRaising, setSix, frame } = useBoard();
  const framing = useDesk((desk) => desk.framing);
  useEffect(() => {
    const element = holder.current;
    setDeskElement(element);
    if (!element) return undefined;
    const watch = new ResizeObserver(() => resize({ width: element.clientWidth, height: element.clientHeight }));
    watch.observe(element);
    return () => {
      watch.disconnect();
      setDeskElement(null);
    };
  }, [holder, resize, setDeskElement]);
  useEffect(() => {
    const leave = startLooking(id);
    addEventListener("pagehide", leave);
    return () => {
      removeEventListener("pagehide", leave);
      leave();
    };
  }, [id, startLooking]);
  // What is being raised or placed belongs to the picture it was begun in.
  useEffect(
    () => () => {
      setRaising(null);
      setSix(null);
      useDesk.setState({ laying: null });
    },
    [stage, shot.id, setRaising, setSix, useDesk],
  );
  // Another sheet is fitted again, unless somebody has chosen where to look.
  const { width, height } = shot.sheet;
  useEffect(() => {
    if (framing !== "free") frame(framing);
  }, [width, height, framing, frame]);
}
