import { ARROWS, arrowBy } from "../ui/arrows";
import { useHotkeys } from "react-hotkeys-hook";
import { viewOf } from "@zanvo/core/shot";
import { moveElement } from "./desk/blocks";
import { zoom } from "../canvas/camera";
import { ANYWHERE, type Keys } from "../page/keys";
import { stageKey, STAGES } from "./stages";
import { deleteMany, replaceElement, duplicateElement } from "../document/elements";
import { useBoard, type Board } from "./useBoard";

/** What the keys do, as told to the person. */
export const KEYS: Keys = [
  ["S", "Whole sheet"],
  ["D", "Whole desk, and back to the sheet"],
  ["+ −", "Nearer, farther"],
  ["Space and drag", "Move the desk"],
  ["1 to 9, 0, L", "Go to a stage"],
  ["R", "Raise a corner"],
  ["C", "Choose"],
  ["H, P", "While drawing: hold the set that a line aims at, or the plane under the pointer"],
  ["Enter", "End a shape that goes from corner to corner"],
  ["Esc", "Cancel what is being drawn, or choose nothing"],
  ["Arrows", "Nudge what has the focus, or the chosen building, by 0.5 mm on paper; with Shift by 5 mm"],
  ["Arrows, Enter on the desk", "With nothing chosen: move a cursor over the desk, and press there"],
  ["Ctrl+D", "Duplicate the chosen building"],
  ["Delete", "Delete the chosen building"],
  ["Ctrl+C, Ctrl+X, Ctrl+V", "Copy or cut what is chosen, and lay it down here or in another scene"],
];

const chosen = (stores: Board) =>
  stores.useView.getState().stage === "masses" ? stores.chosenElements()[0] : undefined;

/** Moves the chosen building over the ground, by mm on paper. */
function nudge(stores: Board, dx: number, dy: number): void {
  const element = chosen(stores);
  const moved = element && moveElement(viewOf(stores.currentShot()), element, [], [dx, dy], 0);
  if (moved) stores.edit(replaceElement(moved.element), `move ${element.id}`);
}

function nearer(stores: Board, factor: number): void {
  const { camera, size } = stores.useDesk.getState();
  stores.look(zoom(camera, factor, [size.width / 2, size.height / 2]));
}

function giveUp(stores: Board): void {
  if (stores.useDesk.getState().raising) stores.setRaising(null);
  else if (stores.useDesk.getState().six) stores.setSix(null);
  else if (stores.useDesk.getState().laying) stores.useDesk.setState({ laying: null });
  else stores.choose([]);
}

/** The keys of the board. */
export function useKeys(): void {
  const stores = useBoard();
  const { useSingleKeys, frame, toggleFraming, useDesk, go } = stores;
  const enabled = useSingleKeys(({ on }) => on);
  const single = { ...ANYWHERE, enabled };
  const once = { ...ANYWHERE, preventDefault: true };
  useHotkeys("s", () => frame("sheet"), single);
  useHotkeys("d", toggleFraming, single);
  useHotkeys("equal, shift+equal, add", () => nearer(stores, 1.25), single);
  useHotkeys("minus, subtract", () => nearer(stores, 0.8), single);
  useHotkeys(
    STAGES.map((_, i) => stageKey(i)).join(", "),
    (event) => {
      if (!useDesk.getState().raising && !stores.useDraw.getState().begun)
        go({ stage: STAGES.find((_, i) => stageKey(i) === event.key)?.id ?? "points" });
    },
    single,
  );
  useHotkeys("r", () => go({ stage: "masses", tool: "raise" }), single);
  useHotkeys("c", () => go({ stage: "masses", tool: "select" }), single);
  useHotkeys("escape", () => giveUp(stores), ANYWHERE);
  useHotkeys(
    "mod+d",
    () => {
      const block = chosen(stores);
      if (block) duplicateElement(stores, block);
    },
    once,
  );
  useHotkeys(
    "delete, backspace",
    () => {
      const block = chosen(stores);
      if (block && !useDesk.getState().raising) deleteMany(stores, [block]);
    },
    ANYWHERE,
  );
  useHotkeys(
    ARROWS,
    (event) => {
      const by = arrowBy(event, 0.5);
      if (by) nudge(stores, ...by);
    },
    { ...ANYWHERE, preventDefault: () => chosen(stores) !== undefined },
  );
}
