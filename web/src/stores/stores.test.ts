import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { block, newStores } from "../../testing";
import { addThings, deleteMany } from "../document/elements";
import { followed } from "../plan/doing";
import { CHOOSE } from "../plan/tools";
import { addYard } from "../plan/yards";
import { StoresProvider, useStores } from ".";

/** What a component in a window reads of its stores. */
function Title() {
  const { useDocument } = useStores();
  return useDocument(({ scene }) => scene.title);
}

describe("the stores of a window", () => {
  it("are its own: what is done in one window changes nothing in another", () => {
    const [one, other] = [newStores(), newStores()];
    one.sceneDocument.open("s", { ...one.useDocument.getState().scene, title: "Tar lane" });
    addThings(one, [block("b")]);
    one.switchUnits();
    one.say("Hello.");
    expect(one.chosenElements().map(({ id }) => id)).toEqual(["b"]);
    expect(other.useDocument.getState()).toMatchObject({ id: "", scene: { elements: [] } });
    expect([other.chosenElements(), other.useNotes.getState().notes]).toEqual([[], []]);
    expect([one, other].map(({ useUnits }) => useUnits.getState().system)).toEqual(["imperial", "metric"]);
  });

  it("tie what is done to what is chosen, saved and undone", () => {
    const stores = newStores();
    addThings(stores, [block("b")]);
    deleteMany(stores, stores.chosenElements());
    expect([stores.useDocument.getState().scene.elements, stores.chosenElements()]).toEqual([[], []]);
    stores.undo();
    expect(stores.useDocument.getState().scene.elements).toHaveLength(1);
    // A courtyard where no building is says so in this window.
    addYard(stores, [
      [40, 40],
      [45, 45],
    ]);
    expect(stores.useNotes.getState().notes).toHaveLength(1);
  });

  it("keep what is locked from being deleted, say so, and leave it chosen", () => {
    const stores = newStores();
    addThings(stores, [block("b"), { ...block("lock"), locked: true }]);
    deleteMany(stores, stores.chosenElements());
    expect(stores.useDocument.getState().scene.elements.map(({ id }) => id)).toEqual(["lock"]);
    expect(stores.chosenElements().map(({ id }) => id)).toEqual(["lock"]);
    expect(stores.useNotes.getState().notes).toHaveLength(1);
    // Nothing is done that could be undone.
    deleteMany(stores, stores.chosenElements());
    stores.undo();
    expect(stores.useDocument.getState().scene.elements).toHaveLength(2);
  });

  it("keep a view that is held to its photo, and say so where a hand would turn it", () => {
    const stores = newStores();
    stores.enter(stores.useDocument.getState().scene);
    const hand = { at: [0, 0], world: [30, 0], alt: false, shift: false } as const;
    const turn = () => followed(stores, { what: "gaze" }, { scale: 1, x: 0, y: 0 }, hand, CHOOSE, null).told;
    turn();
    const turned = stores.currentShot().gaze.heading;
    expect(turned).not.toBe(newStores().currentShot().gaze.heading);
    const at = { x: 0, y: 0, width: 300, height: 200 };
    stores.edit(stores.onShot((shot) => ({ ...shot, under: { reference: "r", strength: 1, at, held: true } })));
    stores.edit(stores.onShot((shot) => ({ ...shot, name: "Corner", gaze: { ...shot.gaze, pitch: 30 } })));
    expect(turn()).toBe("The view is held to its photo: release it in Points.");
    expect(stores.currentShot()).toMatchObject({ name: "Corner", gaze: { heading: turned, pitch: 0 } });
  });

  it("are found by the components that stand in them, and missed where there are none", () => {
    const stores = newStores();
    stores.sceneDocument.open("s", { ...stores.useDocument.getState().scene, title: "Tar lane" });
    // A page drawn as text shows stores as they were first made.
    expect(renderToStaticMarkup(createElement(StoresProvider, { value: stores }, createElement(Title)))).toBe(
      stores.useDocument.getInitialState().scene.title,
    );
    expect(() => renderToStaticMarkup(createElement(Title))).toThrow("There are no stores around this component.");
  });

  it("have no two things of one name", () => {
    const stores = newStores();
    const { sceneDocument, saving, ...rest } = stores;
    // Each of its parts is spread into one table: whatever the document does is still the document's.
    expect(Object.entries(sceneDocument).filter(([name, made]) => Reflect.get(rest, name) !== made)).toEqual([]);
    expect(saving.useSaving).toBe(stores.useSaving);
  });
});
