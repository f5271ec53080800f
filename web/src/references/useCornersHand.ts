import { quadProblem } from "@zanvo/core/dividing";
import { distance2, fromStretch, type Quad, type Vec2 } from "@zanvo/core/geometry";
import type { Reference } from "@zanvo/core/scene";
import { useState, type Dispatch, type SetStateAction } from "react";
import { useStores } from "../stores";
import { addQuad, changeQuad, QUADS, type Tracing } from "./tracing";

/** How near a press must be to a corner, and to a side, screen px. */
const NEAR_CORNER = 10;
const NEAR_SIDE = 8;

interface CornersHandProps {
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: Dispatch<SetStateAction<Tracing>>;
}

const isQuad = (places: readonly Vec2[]): places is Quad => places.length === 4;

/** The hand that presses four corners on a photo, and moves those that are there; places in px of the photo. */
export function useCornersHand({ reference, tracing: { edge }, onTracing }: CornersHandProps) {
  const stores = useStores();
  const [pressed, setPressed] = useState<readonly Vec2[]>([]);
  const [moving, setMoving] = useState<number | null>(null);
  const quads = reference.quads ?? [];
  const chosen = edge === null ? undefined : quads[edge];

  const add = (places: readonly Vec2[]) => {
    if (!isQuad(places)) return setPressed(places);
    const problem = quadProblem(places);
    if (problem) return stores.say(problem);
    setPressed([]);
    onTracing({ set: QUADS, edge: addQuad(stores, reference.id, places) });
  };
  /** A press: a corner of the chosen one is taken up; else one is chosen by its sides, or a new one goes on. */
  const press = (at: Vec2, scale: number) => {
    const corner = chosen?.corners.findIndex((one) => distance2(one, at) * scale < NEAR_CORNER) ?? -1;
    if (corner >= 0) {
      stores.beginGesture();
      return setMoving(corner);
    }
    const near = quads.findIndex(({ corners }) =>
      corners.some((a, i) => fromStretch(at, a, corners[(i + 1) % 4]) * scale < NEAR_SIDE),
    );
    if (pressed.length === 0 && near >= 0) return onTracing({ set: QUADS, edge: near });
    if (edge !== null) onTracing({ set: QUADS, edge: null });
    add([...pressed, at]);
  };
  const move = ([x, y]: Vec2) => {
    if (moving === null || edge === null) return;
    stores.drag(changeQuad(reference.id, edge, ({ corners }) => void (corners[moving] = [x, y])));
  };
  const release = () => {
    if (moving !== null) stores.endGesture();
    setMoving(null);
  };
  /** Gives up what the hand is doing: a corner that is moved, or those that are pressed. @returns whether it did any */
  const cancel = (): boolean => {
    const busy = moving !== null || pressed.length > 0;
    if (moving !== null) stores.cancelGesture();
    setMoving(null);
    setPressed([]);
    return busy;
  };
  /** Takes the last pressed corner back. @returns whether there was one */
  const takeBack = (): boolean => {
    setPressed((now) => now.slice(0, -1));
    return pressed.length > 0;
  };
  return { pressed, moving: moving !== null, press, move, release, cancel, takeBack };
}
