import fc from "fast-check";
import { newScene } from "@zanvo/core/scene";
import {
  beginGesture,
  cancelGesture,
  currentShot,
  drag,
  edit,
  endGesture,
  go,
  onShot,
  open,
  redo,
  undo,
  useBoard,
} from "./board";

const openQuay = () => open({ id: "one", scene: newScene("Quay") });
const title = () => useBoard.getState().scene.title;
const call = (name: string, key?: string) =>
  edit((scene) => {
    scene.title = name;
  }, key);
const eyeAt = (z: number) => onShot((shot) => ({ ...shot, eye: { ...shot.eye, z } }));
const eye = () => currentShot(useBoard.getState()).eye.z;

beforeEach(openQuay);

describe("changes", () => {
  it("are taken back and taken again without end, whatever they were", () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.string(), fc.double({ min: 0, max: 9, noNaN: true }))), (changes) => {
        openQuay();
        const before = useBoard.getState().scene;
        for (const change of changes) {
          if (typeof change === "string") call(change);
          else edit(eyeAt(change));
        }
        const after = useBoard.getState().scene;
        while (useBoard.getState().past.length) undo();
        expect(useBoard.getState().scene).toEqual(before);
        while (useBoard.getState().future.length) redo();
        expect(useBoard.getState().scene).toEqual(after);
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
    expect(useBoard.getState().past).toHaveLength(0);
    call("a");
    undo();
    call("b");
    expect(useBoard.getState().future).toHaveLength(0);
  });

  it("let go of a chosen thing that is no longer there", () => {
    edit(
      (scene) =>
        void scene.elements.push({
          id: "b",
          kind: "block",
          name: "B",
          origin: { x: 0, y: 9, z: 0 },
          heading: 0,
          length: 1,
          width: 1,
          height: 1,
        }),
    );
    go({ selected: "b" });
    undo();
    expect(useBoard.getState().selected).toBeNull();
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
      expect([eye(), useBoard.getState().past.length, useBoard.getState().gesture]).toEqual([1.6, 0, null]);
    }
  });
});

describe("opening", () => {
  it("returns to the place that was left, where it still exists", () => {
    open({ id: "one", scene: newScene("Quay") }, { shotId: "gone", selected: "gone", stage: "grid", tool: "select" });
    expect(useBoard.getState()).toMatchObject({ shotId: "s1", selected: null, stage: "grid", tool: "select" });
  });
});
