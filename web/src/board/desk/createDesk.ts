import type { Foot } from "@zanvo/core/construct";
import { deskPlaces } from "@zanvo/core/drawing";
import type { Vec2, Vec3 } from "@zanvo/core/geometry";
import { nearestNames, slidTo, toEye, unproject, viewOf, withSix, type SixNames } from "@zanvo/core/shot";
import type { Told } from "@zanvo/core/units";
import { pinsOf } from "@zanvo/core/vanishing";
import { create } from "zustand";
import { fit, toDesk, wholeDesk, type Camera, type Size } from "../../canvas/camera";
import type { SceneDocument } from "../../document/history";
import { freeName } from "../../document/names";
import type { Selection } from "../../document/selection";
import type { View } from "../../document/view";
import { newId } from "../../id";
import type { Memory } from "../../remembered";
import { advance, lacking, typed, type Raising } from "./raise";

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

export interface DeskState {
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
  /** The picture under the drawing is being laid by two places: those pressed so far, mm. */
  readonly laying: readonly Vec2[] | null;
  /** The place a finding speaks of, mm. */
  readonly place: Vec2 | null;
}

const FRESH: DeskState = {
  size: { width: 0, height: 0 },
  camera: { scale: 2, x: 0, y: 0 },
  framing: "sheet",
  tag: null,
  pointer: null,
  raising: null,
  foot: null,
  third: null,
  six: null,
  laying: null,
  place: null,
};

export interface Place {
  readonly clientX: number;
  readonly clientY: number;
}

/** What the desk stands on. */
interface On {
  readonly document: SceneDocument;
  readonly selection: Pick<Selection, "choose">;
  readonly view: View;
  /** Where it is remembered how a scene's desk was looked at. */
  readonly memory: Memory;
}

/** How the desk is looked at, and what the hand is doing on it. Nothing of it is part of the document. */
export function createDesk({ document: { useDocument, edit }, selection, view: { currentShot, onShot }, memory }: On) {
  const useDesk = create<DeskState>(() => FRESH);
  const { getState: get, setState: set } = useDesk;
  /** The element that the desk fills; window places are measured from its top left. */
  let element: HTMLElement | null = null;

  /** Where a pointer is, in px from the desk's top left. */
  const windowPoint = (event: Place): Vec2 => {
    const box = element?.getBoundingClientRect();
    return [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
  };

  /** Fits the sheet or the whole desk into the window. */
  const frame = (framing: "sheet" | "desk", size = get().size): void => {
    if (size.width <= 0) return;
    const shot = currentShot();
    const pins = pinsOf(useDocument.getState().scene.orientations, shot);
    const camera =
      framing === "sheet"
        ? fit({ x: 0, y: 0, ...shot.sheet }, size, 8, true)
        : fit(wholeDesk(shot.sheet, deskPlaces(shot, pins, viewOf(shot))), size, 24);
    set({ size, framing, camera });
  };

  const setRaising = (raising: Raising | null): void => set({ raising, tag: null, foot: null });
  const setSix = (six: Six | null): void => set({ six, tag: null });

  return {
    useDesk,
    frame,
    setRaising,
    setSix,
    windowPoint,
    /** Where a pointer is on the desk, in mm. */
    deskPoint: (event: Place): Vec2 => toDesk(get().camera, windowPoint(event)),
    setDeskElement: (desk: HTMLElement | null): void => {
      element = desk;
    },
    /** Takes another size of the window: what was fitted into it is fitted again. */
    resize: (size: Size): void => {
      const { framing } = get();
      if (framing === "free") set({ size });
      else frame(framing, size);
    },
    /** Looks at a scene's desk as it was last looked at in this window. @returns remembers it */
    startLooking: (id: string): (() => void) => {
      const key = `zanvo:camera:${id}`;
      const kept = JSON.parse(memory.get(key) ?? "null") as Pick<DeskState, "camera" | "framing"> | null;
      if (kept?.framing === "free") set(kept);
      else frame(kept?.framing ?? "sheet");
      return () => memory.set(key, JSON.stringify({ camera: get().camera, framing: get().framing }));
    },
    /** From the sheet to the whole desk, and back. */
    toggleFraming: (): void => frame(get().framing === "desk" ? "sheet" : "desk"),
    look: (camera: Camera): void => set({ camera, framing: "free" }),
    showTag: (tag: Tag | null): void => set({ tag }),
    /** The view of the current shot. */
    currentView: () => viewOf(currentShot()),

    /**
     * Takes the current measure over and goes on to the next, or puts the finished building up.
     * @returns why not, or null
     */
    takeMeasure: (metres?: number): Told | null => {
      const { raising } = get();
      if (!raising) return null;
      const measured = metres === undefined ? raising : typed(viewOf(currentShot()), raising, metres);
      const lack = lacking(measured);
      if (lack) return lack;
      const next = advance(measured);
      if ("step" in next) set({ raising: next, tag: null });
      else {
        const id = newId();
        const { elements } = useDocument.getState().scene;
        edit((scene) => void scene.elements.push({ ...next, id, name: freeName("Building", elements) }));
        selection.choose([id]);
        setRaising(null);
      }
      return null;
    },

    /**
     * Puts the point of a six-point set-up whose turn it is at a place of the desk (mm).
     * @throws NoAnswer where it cannot be
     */
    placeSix: (at: Vec2): void => {
      const { six } = get();
      const [main] = useDocument.getState().scene.orientations;
      const shot = currentShot();
      if (six?.step === "first") setSix({ step: "second", first: toEye(viewOf(shot), unproject(viewOf(shot), at)) });
      else if (six?.step === "second" && main) {
        const points = [six.first, slidTo(shot, six.first, at)] as const;
        const names = nearestNames(shot, main, points);
        edit(onShot((before) => withSix(before, main, names, points)));
        setSix({ step: "named", names });
      }
    },
  };
}
