import { remembered } from "../../remembered";
import { create } from "zustand";
import { deskPlaces } from "@zanvo/core/drawing";
import type { Foot } from "@zanvo/core/construct";
import type { Vec2, Vec3 } from "@zanvo/core/geometry";
import { nearestNames, slidTo, toEye, unproject, viewOf, withSix, type SixNames } from "@zanvo/core/shot";
import { pinsOf } from "@zanvo/core/vanishing";
import { type Told } from "@zanvo/core/units";
import { newId } from "../../id";
import { fit, toDesk, wholeDesk, type Camera, type Size } from "../../canvas/camera";
import { advance, lacking, typed, type Raising } from "./raise";
import { useDocument, edit, choose, currentShot, onShot, freeName } from "../../document";

/** A measure shown where the hand is. */
export interface Tag {
  /** Window px from the desk's top left. */
  readonly at: Vec2;
  readonly text: Told;
  /** It says why something cannot be. */
  readonly wrong?: boolean;
}

/** A six-point set-up that is being made: the first point is placed, the second slid, then all are named. */
export type Six =
  | { readonly step: "first" }
  /** The first point, in eye axes. */
  | { readonly step: "second"; readonly first: Vec3 }
  | { readonly step: "named"; readonly names: SixNames };

interface Desk {
  readonly size: Size;
  readonly camera: Camera;
  /** What is fitted into the window, until somebody pans or zooms. */
  readonly framing: "sheet" | "desk" | "free";
  readonly tag: Tag | null;
  /** The pointer's place on the desk, mm. */
  readonly pointer: Vec2 | null;
  readonly raising: Raising | null;
  /** Where a foot would be drawn to. */
  readonly foot: Foot | null;
  /** Where the third point is being led while the other two stay, mm. */
  readonly third: Vec2 | null;
  readonly six: Six | null;
  /** The place a finding speaks of, mm. */
  readonly place: Vec2 | null;
}

/** How the desk is looked at, and what the hand is doing on it. Nothing of it is part of the document. */
export const useDesk = create<Desk>(() => ({
  size: { width: 0, height: 0 },
  camera: { scale: 2, x: 0, y: 0 },
  framing: "sheet",
  tag: null,
  pointer: null,
  raising: null,
  foot: null,
  third: null,
  six: null,
  place: null,
}));
const { getState: get, setState: set } = useDesk;

/** The element that the desk fills; window places are measured from its top left. */
let element: HTMLElement | null = null;
export const setDeskElement = (desk: HTMLElement | null): void => {
  element = desk;
};

/** Where a pointer is, in px from the desk's top left. */
export function windowPoint(event: { readonly clientX: number; readonly clientY: number }): Vec2 {
  const box = element?.getBoundingClientRect();
  return [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
}

/** Where a pointer is on the desk, in mm. */
export const deskPoint = (event: { readonly clientX: number; readonly clientY: number }): Vec2 =>
  toDesk(get().camera, windowPoint(event));

/** Fits the sheet or the whole desk into the window. */
export function frame(framing: "sheet" | "desk", size = get().size): void {
  const shot = currentShot();
  const rect =
    framing === "sheet"
      ? { x: 0, y: 0, ...shot.sheet }
      : wholeDesk(shot.sheet, deskPlaces(shot, pinsOf(useDocument.getState().scene.orientations, shot), viewOf(shot)));
  if (size.width > 0)
    set({ size, framing, camera: framing === "sheet" ? fit(rect, size, 8, true) : fit(rect, size, 24) });
}

/** Looks at a scene's desk as it was last looked at in this window. @returns remembers it, and ends */
export function startLooking(id: string): () => void {
  const key = `zanvo:camera:${id}`;
  const kept = JSON.parse(remembered.tab.get(key) ?? "null") as Pick<Desk, "camera" | "framing"> | null;
  if (kept?.framing === "free") set(kept);
  else frame(kept?.framing ?? "sheet");
  const leave = () => remembered.tab.set(key, JSON.stringify({ camera: get().camera, framing: get().framing }));
  addEventListener("pagehide", leave);
  return () => {
    removeEventListener("pagehide", leave);
    leave();
  };
}

/** From the sheet to the whole desk, and back. */
export const toggleFraming = (): void => frame(get().framing === "desk" ? "sheet" : "desk");
export const look = (camera: Camera): void => set({ camera, framing: "free" });
export const showTag = (tag: Tag | null): void => set({ tag });

/** The view of the current shot. */
export const currentView = () => viewOf(currentShot());

export const setRaising = (raising: Raising | null): void => set({ raising, tag: null, foot: null });

/**
 * Takes the current measure over and goes on to the next, or puts the finished building up. @returns why not, or null
 */
export function takeMeasure(metres?: number): Told | null {
  const { raising } = get();
  if (!raising) return null;
  const measured = metres === undefined ? raising : typed(raising, metres);
  const lack = lacking(measured);
  if (lack) return lack;
  const next = advance(measured);
  if ("step" in next) set({ raising: next, tag: null });
  else {
    const id = newId();
    const { elements } = useDocument.getState().scene;
    edit((scene) => void scene.elements.push({ ...next, id, name: freeName("Building", elements) }));
    choose([id]);
    setRaising(null);
  }
  return null;
}

export const setSix = (six: Six | null): void => set({ six, tag: null });

/**
 * Puts the point of a six-point set-up whose turn it is at a place of the desk (mm).
 * @throws NoAnswer where it cannot be
 */
export function placeSix(at: Vec2): void {
  const { six } = get();
  const [main] = useDocument.getState().scene.orientations;
  const shot = currentShot();
  if (six?.step === "first") {
    const view = viewOf(shot);
    setSix({ step: "second", first: toEye(view, unproject(view, at)) });
  } else if (six?.step === "second" && main) {
    const points = [six.first, slidTo(shot, six.first, at)] as const;
    const names = nearestNames(shot, main, points);
    edit(onShot((before) => withSix(before, main, names, points)));
    setSix({ step: "named", names });
  }
}
