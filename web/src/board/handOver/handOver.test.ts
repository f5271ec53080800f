import { newScene } from "@zanvo/core/scene";
import { keptInMemory } from "../../../testing";
import { choicesOf, createHandOver, FRESH_CHOICES, queryOf } from "./createHandOver";
import { allShots } from "./useExport";

describe("what a server is asked for", () => {
  it("is nothing but a resolution where all is as usual, and that only for dots", () => {
    expect(queryOf(FRESH_CHOICES, true)).toEqual({ dpi: "300" });
    expect(queryOf(FRESH_CHOICES, false)).toEqual({});
  });

  it("is what was chosen; a size stands instead of a resolution", () => {
    const size = { width: 1920, height: 1080 };
    const choices = { ...FRESH_CHOICES, size, by: "thing", ink: "black", without: ["frame", "cone"] } as const;
    expect(queryOf(choices, true)).toEqual({ size: "1920x1080", by: "thing", ink: "black", without: "frame,cone" });
    expect(queryOf(choices, false)).toEqual({ by: "thing", without: "frame,cone" });
  });
});

describe("presets", () => {
  it("are kept with all that says how files are made, and nothing else", () => {
    const memory = keptInMemory();
    const { useHandOver, chooseHandOver } = createHandOver(memory);
    chooseHandOver({ dpi: 1200, ink: "grey", size: { width: 800, height: 600 } });
    chooseHandOver({ presets: [{ name: "Mine", choices: choicesOf(useHandOver.getState()) }] });
    chooseHandOver(FRESH_CHOICES);
    const [mine] = createHandOver(memory).useHandOver.getState().presets;
    expect(mine).toEqual({
      name: "Mine",
      choices: { ...FRESH_CHOICES, dpi: 1200, ink: "grey", size: { width: 800, height: 600 } },
    });
  });

  it("that cannot be read are left out", () => {
    const text = JSON.stringify({
      presets: [{ name: 3 }, { name: "Half", choices: { dpi: "fine", ink: "red" } }],
      size: 4,
    });
    const { presets, size } = createHandOver(keptInMemory({ "zanvo:hand-over": text })).useHandOver.getState();
    expect(presets).toEqual([{ name: "Half", choices: FRESH_CHOICES }]);
    expect(size).toBeNull();
  });
});

it("all that is saved are the shots, or each page once", () => {
  const scene = newScene("All");
  const [shot] = scene.shots;
  scene.shots = [shot, { ...shot, id: "b", page: "p" }, { ...shot, id: "c", page: "p" }];
  expect(allShots(scene, false).map(({ id }) => id)).toEqual([shot.id, "b", "c"]);
  expect(allShots(scene, true).map(({ id }) => id)).toEqual([shot.id, "b"]);
});
