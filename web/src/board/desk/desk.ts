import { sceneDocument, selection, view } from "../../document";
import { remembered } from "../../remembered";
import { createDesk } from "./createDesk";

/** The desk of this window. */
export const {
  useDesk,
  frame,
  setRaising,
  setSix,
  windowPoint,
  deskPoint,
  setDeskElement,
  resize,
  startLooking,
  toggleFraming,
  look,
  showTag,
  currentView,
  takeMeasure,
  placeSix,
} = createDesk({ document: sceneDocument, selection, view, memory: remembered.tab });

export type { Six, Tag } from "./createDesk";
