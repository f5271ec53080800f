import { createDocument } from "./history";
import { createSelection } from "./selection";
import { createView } from "./view";

/** The document that is open in this window, what is chosen of it, and where one is in it. */
export const sceneDocument = createDocument();
export const selection = createSelection(sceneDocument);
export const view = createView(sceneDocument);

export const { useDocument, edit, beginGesture, drag, endGesture, cancelGesture, undo, redo } = sceneDocument;
export const { useSelection, choose, toggle, chosenElements, useMany, useChosen } = selection;
export const { useView, go, currentShot, useShot, onShot } = view;

export type { Recipe } from "./history";
export type { StageId, Tool } from "./view";
export { freeName } from "./names";
