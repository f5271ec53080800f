import fc from "fast-check";
import { newScene } from "@zanvo/core/scene";
import type { Block } from "@zanvo/core/world";
import { createDocument } from "./history";
import { createSelection } from "./selection";
import { createView } from "./view";

const sceneDocument = createDocument();
const { useDocument, edit, beginGesture, drag, endGesture, cancelGesture, undo, redo } = sceneDocument;
const { useSelection, choose, toggle, chosenElements } = createSelection(sceneDocument);
const { useView, currentShot, enter, go, onShot } = createView(sceneDocument);

const openQuay = () => {
  sceneDocument.open("one", newScene("Quay"));
  enter(useDocument.getState().scene);
  choose([]);
};
const title = () => useDocument.getState().scene.title;
const call = (name: string, key?: string) =>
  edit((scene) => {
    scene.title = name;
  }, key);
const eyeAt = (z: number) => onShot((shot) => ({ ...shot, eye: { ...shot.eye, z } }));
const eye = () => currentShot().eye.z;
const block = (id: string): Block => ({
  id,
  kind: "block",
  name: id,
  origin: { x: 0, y: 9, z: 0 },
  heading: 0,
  length: 1,
  width: 1,
  height: 1,
});
const add = (...ids: string[]) => edit((scene) => void scene.elements.push(...ids.map(block)));

beforeEach(openQuay);

describe("changes", () => {
  it("are taken back and taken again without end, whatever they were", () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.string(), fc.double({ min: 0, max: 9, noNaN: true }))), (changes) => {
        openQuay();
        const before = useDocument.getState().scene;
        for (const change of changes) {
          if (typeof change === "string") call(change);
          else edit(eyeAt(change));
        }
        const after = useDocument.getState().scene;
        while (useDocument.getState().past.length) undo();
        expect(useDocument.getState().scene).toEqual(before);
        while (useDocument.getState().future.length) redo();
        expect(useDocument.getState().scene).toEqual(after);
      }),
    );
  });

  it("of one key made together are one step; others are their own", () => {
    call("a", "title");
    call("b", "title");
    call("c");
    undo();
    expect(title()).toBe("b");
    undo();
    expect(title()).toBe("Quay");
  });

  it("that change nothing are no step, and a new one ends what could be taken again", () => {
    call("Quay");
    expect(useDocument.getState().past).toHaveLength(0);
    call("a");
    undo();
    call("b");
    expect(useDocument.getState().future).toHaveLength(0);
  });

  it("let go of a chosen thing that is no longer there", () => {
    add("b");
    choose(["b"]);
    undo();
    expect(useSelection.getState().selected).toBeNull();
  });
});

describe("a drag", () => {
  it("is worked out from where it began, and is one step", () => {
    beginGesture();
    for (const z of [2, 3, 4]) drag(onShot((shot) => ({ ...shot, eye: { ...shot.eye, z: shot.eye.z + z } })));
    expect(eye()).toBe(5.6);
    endGesture();
    undo();
    expect(eye()).toBe(1.6);
    redo();
    expect(eye()).toBe(5.6);
  });

  it("keeps the last good state when it is led where nothing can be", () => {
    beginGesture();
    drag(eyeAt(3));
    expect(() =>
      drag(() => {
        throw new Error("no");
      }),
    ).toThrow("no");
    endGesture();
    expect(eye()).toBe(3);
  });

  it("can be given up, also by undo, and leaves nothing behind", () => {
    for (const giveUp of [cancelGesture, undo]) {
      beginGesture();
      drag(eyeAt(3));
      giveUp();
      expect([eye(), useDocument.getState().past.length, useDocument.getState().gesture]).toEqual([1.6, 0, null]);
    }
  });
});

describe("what is chosen", () => {
  it("are things of the document in the order in which they were chosen, and only those that stand", () => {
    add("a", "b", "c");
    choose(["c", "a"]);
    toggle("b");
    expect(chosenElements().map(({ id }) => id)).toEqual(["c", "a", "b"]);
    toggle("a");
    edit((scene) => void scene.elements.splice(1, 1));
    expect(useSelection.getState()).toEqual({ selected: "c", also: [] });
    undo();
    undo();
    expect(useSelection.getState()).toEqual({ selected: null, also: [] });
  });

  it("stays while something is dragged", () => {
    add("a");
    choose(["a"]);
    beginGesture();
    drag((scene) => void scene.elements.pop());
    expect(useSelection.getState().selected).toBe("a");
    cancelGesture();
    expect(chosenElements()).toHaveLength(1);
  });
});

describe("where one is", () => {
  it("is the shot that was left, where it still exists", () => {
    enter(useDocument.getState().scene, { shotId: "gone", stage: "grid", tool: "select" });
    expect(useView.getState()).toMatchObject({ shotId: "s1", stage: "grid", tool: "select" });
  });

  it("is another shot once the one that is drawn is taken away", () => {
    edit((scene) => void scene.shots.push({ ...scene.shots[0], id: "s2" }));
    go({ shotId: "s2" });
    expect(currentShot().id).toBe("s2");
    undo();
    expect(currentShot().id).toBe("s1");
    expect(useView.getState().shotId).toBe("s1");
  });
});

describe("documents", () => {
  it("know nothing of each other", () => {
    const other = createDocument();
    other.open("two", newScene("Lock"));
    call("Quay wall");
    expect([other.useDocument.getState().scene.title, other.useDocument.getState().past]).toEqual(["Lock", []]);
  });
});
