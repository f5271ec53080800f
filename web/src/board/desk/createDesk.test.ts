import { footAt } from "@zanvo/core/construct";
import { newScene } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { createDocument } from "../../document/history";
import { createSelection } from "../../document/selection";
import { createView } from "../../document/view";
import { keptInMemory } from "../../../testing";
import { createDesk } from "./createDesk";
import { alongOf, begin } from "./raise";

/** A desk of its own, with an empty scene on it. */
function newDesk(memory = keptInMemory()) {
  const document = createDocument();
  const [selection, view] = [createSelection(document), createView(document)];
  document.open("quay", newScene("Quay"));
  view.enter(document.useDocument.getState().scene);
  return { document, selection, ...createDesk({ document, selection, view, memory }) };
}
const WINDOW = { width: 800, height: 600 };

describe("a desk", () => {
  it("shows the whole sheet until somebody moves it, whatever size its window has", () => {
    const { useDesk, resize, look } = newDesk();
    const { sheet } = newScene("Quay").shots[0];
    for (const size of [WINDOW, { width: 300, height: 900 }]) {
      resize(size);
      const { camera } = useDesk.getState();
      expect(camera.scale * sheet.width).toBeLessThanOrEqual(size.width);
      expect(camera.scale * sheet.height).toBeLessThanOrEqual(size.height);
      expect(camera.x).toBeGreaterThanOrEqual(0);
    }
    const own = { scale: 3, x: 11, y: 12 };
    look(own);
    resize(WINDOW);
    expect(useDesk.getState()).toMatchObject({ camera: own, framing: "free", size: WINDOW });
  });

  it("is looked at as it was when one left it, scene by scene", () => {
    const memory = keptInMemory();
    const first = newDesk(memory);
    first.resize(WINDOW);
    const leave = first.startLooking("quay");
    const own = { scale: 3, x: 11, y: 12 };
    first.look(own);
    leave();
    const again = newDesk(memory);
    again.resize(WINDOW);
    again.startLooking("other");
    expect(again.useDesk.getState().framing).toBe("sheet");
    again.startLooking("quay");
    expect(again.useDesk.getState()).toMatchObject({ camera: own, framing: "free" });
  });

  it("puts a building up once all its measures are taken, as one step of undoing", () => {
    const { document, selection, useDesk, setRaising, takeMeasure } = newDesk();
    const view = viewOf(newScene("Quay").shots[0]);
    const foot = footAt(view, [], [200, 260], 0)!;
    setRaising(begin(foot, alongOf(foot, { heading: 35, name: "Quay" }, 0)));
    expect(takeMeasure()).not.toBeNull();
    for (const metres of [7, 12, 9]) expect(takeMeasure(metres)).toBeNull();
    const [raised] = document.useDocument.getState().scene.elements;
    expect(raised).toMatchObject({ kind: "block", height: 7, name: "Building 1" });
    expect(selection.chosenElements()).toEqual([raised]);
    expect(useDesk.getState().raising).toBeNull();
    document.undo();
    expect(document.useDocument.getState().scene.elements).toEqual([]);
  });

  it("knows where a pointer is from its own top left corner on", () => {
    const { deskPoint, setDeskElement, look } = newDesk();
    look({ scale: 2, x: 10, y: 20 });
    expect(deskPoint({ clientX: 110, clientY: 120 })).toEqual([50, 50]);
    setDeskElement({ getBoundingClientRect: () => ({ left: 100, top: 100 }) } as HTMLElement);
    expect(deskPoint({ clientX: 110, clientY: 120 })).toEqual([0, 0]);
  });
});
