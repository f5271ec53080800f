import type { KeyboardEvent, PointerEvent } from "react";
import { toDesk } from "../canvas/camera";
import { capturePointer } from "../canvas/useKeyCursor";
import { useStores } from "../stores";
import { QUADS, removeQuad } from "./tracing";
import { useCornersHand } from "./useCornersHand";
import { usePhotoHand, windowAt, type PhotoHandProps } from "./usePhotoHand";

/** The hand on a photo: it presses and moves the corners of what is divided while that is taken up, else it traces. */
export function useHands(props: PhotoHandProps) {
  const stores = useStores();
  const { holder, camera, reference, tracing, onTracing } = props;
  const drawn = usePhotoHand(props);
  const corners = useCornersHand(props);
  const { handlers } = drawn;
  const dividing = tracing.set === QUADS;

  const onPointerDown = (event: PointerEvent) => {
    if (!camera || !dividing || event.button !== 0 || event.altKey) return handlers.onPointerDown(event);
    capturePointer(event);
    (event.currentTarget as HTMLElement).focus();
    corners.press(toDesk(camera, windowAt(holder.current!, event)), camera.scale);
  };
  const onPointerMove = (event: PointerEvent) => {
    handlers.onPointerMove(event);
    if (camera) corners.move(toDesk(camera, windowAt(holder.current!, event)));
  };
  const onPointerUp = () => {
    corners.release();
    handlers.onPointerUp();
  };
  const onPointerCancel = () => {
    corners.cancel();
    handlers.onPointerCancel();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Escape" && corners.cancel()) return;
    if (!dividing || (event.key !== "Delete" && event.key !== "Backspace")) return handlers.onKeyDown(event);
    if (corners.takeBack() || tracing.edge === null) return;
    removeQuad(stores, reference.id, tracing.edge);
    onTracing({ set: QUADS, edge: null });
  };
  return {
    ...drawn,
    pressed: corners.pressed,
    busy: drawn.hand !== null || corners.pressed.length > 0,
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel, onKeyDown },
  };
}
