import { ARROWS, arrowBy } from "../ui/arrows";
import { useHotkeys } from "react-hotkeys-hook";
import { viewOf } from "@zanvo/core/shot";
import { moveElement } from "./desk/blocks";
import { zoom } from "../canvas/camera";
import { frame, look, setRaising, setSix, toggleFraming, useDesk } from "./desk/desk";
import { ANYWHERE, type Keys } from "../page/keys";
import { useSingleKeys } from "../page/singleKeys";
import { STAGES } from "./stages";
import { edit, choose, chosenElements, useView, go, currentShot } from "../document";
import { deleteMany, replaceElement, duplicateElement } from "../document/elements";

/** What the keys do, as told to the person. */
export const KEYS: Keys = [
  ["S", "Whole sheet"],
  ["D", "Whole desk, and back to the sheet"],
  ["+ −", "Nearer, farther"],
  ["Space and drag", "Move the desk"],
  ["1 to 7", "Go to a stage"],
  ["R", "Raise a corner"],
  ["C", "Choose"],
  ["Esc", "Cancel what is being drawn, or choose nothing"],
  ["Arrows", "Nudge what has the focus, or the chosen building, by 0.5 mm on paper; with Shift by 5 mm"],
  ["Ctrl+D", "Duplicate the chosen building"],
  ["Delete", "Delete the chosen building"],
  ["Ctrl+C, Ctrl+X, Ctrl+V", "Copy or cut what is chosen, and lay it down here or in another scene"],
];

const chosen = () => (useView.getState().stage === "masses" ? chosenElements()[0] : undefined);

/** Moves the chosen building over the ground, by mm on paper. */
function nudge(dx: number, dy: number): void {
  const element = chosen();
  const moved = element && moveElement(viewOf(currentShot()), element, [], [dx, dy], 0);
  if (moved) edit(replaceElement(moved.element), `move ${element.id}`);
}

function nearer(factor: number): void {
  const { camera, size } = useDesk.getState();
  look(zoom(camera, factor, [size.width / 2, size.height / 2]));
}

function giveUp(): void {
  if (useDesk.getState().raising) setRaising(null);
  else if (useDesk.getState().six) setSix(null);
  else choose([]);
}

/** The keys of the board. */
export function useKeys(): void {
  const enabled = useSingleKeys(({ on }) => on);
  const single = { ...ANYWHERE, enabled };
  const once = { ...ANYWHERE, preventDefault: true };
  useHotkeys("s", () => frame("sheet"), single);
  useHotkeys("d", toggleFraming, single);
  useHotkeys("equal, shift+equal, add", () => nearer(1.25), single);
  useHotkeys("minus, subtract", () => nearer(0.8), single);
  useHotkeys(
    STAGES.map((_, i) => String(i + 1)).join(", "),
    (event) => {
      if (!useDesk.getState().raising) go({ stage: STAGES[Number(event.key) - 1]?.id ?? "points" });
    },
    single,
  );
  useHotkeys("r", () => go({ stage: "masses", tool: "raise" }), single);
  useHotkeys("c", () => go({ stage: "masses", tool: "select" }), single);
  useHotkeys("escape", giveUp, ANYWHERE);
  useHotkeys(
    "mod+d",
    () => {
      const block = chosen();
      if (block) duplicateElement(block);
    },
    once,
  );
  useHotkeys(
    "delete, backspace",
    () => {
      const block = chosen();
      if (block && !useDesk.getState().raising) deleteMany([block]);
    },
    ANYWHERE,
  );
  useHotkeys(
    ARROWS,
    (event) => {
      const by = arrowBy(event, 0.5);
      if (by) nudge(...by);
    },
    { ...ANYWHERE, preventDefault: () => chosen() !== undefined },
  );
}
