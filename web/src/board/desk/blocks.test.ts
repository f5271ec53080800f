import { newScene } from "@zanvo/core/scene";
import { DEFAULT_STREET, type Street } from "@zanvo/core/world";
import { streetsAt } from "./blocks";

const side = { id: "side", name: "Ropewalk", heading: 20 };
const street: Street = {
  ...DEFAULT_STREET,
  id: "s",
  kind: "street",
  name: "Quay street",
  path: [
    { x: 0, y: 0 },
    { x: 0, y: 30 },
    { x: 40, y: 30 },
  ],
};
const scene = { ...newScene("Quay"), orientations: [...newScene("Quay").orientations, side], elements: [street] };

describe("what a building is raised along", () => {
  it("is the street under its foot, by the stretch of it that is nearest", () => {
    expect(streetsAt(scene, [2, 10, 0], "side")).toEqual({ heading: 0, name: "Quay street" });
    expect(streetsAt(scene, [30, 29, 0], "side")).toEqual({ heading: 90, name: "Quay street" });
  });

  it("is the chosen pair of streets elsewhere, or the main one", () => {
    expect(streetsAt(scene, [100, 0, 0], "side")).toMatchObject(side);
    expect(streetsAt(scene, [100, 0, 0], "gone")).toBe(scene.orientations[0]);
    expect(streetsAt({ ...scene, elements: [{ ...street, hidden: true }] }, [2, 10, 0], "side")).toMatchObject(side);
  });
});
