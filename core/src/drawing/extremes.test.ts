import { inMetric } from "../units";
import fc from "fast-check";
import { findings } from "../checks";
import { readScene, writeScene } from "../document";
import { LAWS, type LawId } from "../lens";
import { BadInput } from "../problem";
import { newScene, type Scene, type Shot } from "../scene";
import { setUpOf, slipOf, slipText } from "../slip";
import { anyBlocks, between, shotWith } from "../../testing";
import { pinsOf } from "../vanishing";
import { chordsOf, drawDesk, drawShot, toSvg } from ".";

const scene: Scene = {
  ...newScene("Extremes"),
  orientations: [
    {
      id: "main",
      name: "Main streets",
      heading: 35,
      slopes: [{ id: "roof", name: "Roofs", axis: "across", rise: 40 }],
    },
    { id: "o2", name: "Canal", heading: 80 },
  ],
  elements: [
    { id: "b", kind: "block", name: "b", origin: { x: 2, y: 9, z: 0 }, heading: 20, length: 5, width: 4, height: 6 },
    {
      id: "around",
      kind: "block",
      name: "around",
      origin: { x: -1, y: -1, z: 0 },
      heading: 0,
      length: 2,
      width: 2,
      height: 3,
    },
  ],
};
const everything = (shot: Shot): Shot => ({
  ...shot,
  measured: [
    { plane: "level", at: 0, every: 1, heavy: 5, strength: 1, numbered: true, fade: 40 },
    { plane: "left", at: 0, every: 1, heavy: 5, strength: 1 },
    { plane: "right", at: 1e4, every: 0.01, heavy: 5, strength: 1, fade: 1 },
  ],
  bundles: pinsOf(scene.orientations, shot).map(({ id }, i) => ({
    pin: id,
    spacing: 8,
    strength: 1,
    even: i % 2 ? "edge" : "angle",
  })),
  aids: { every: 5, ticks: true, tilts: true, strips: true, pegs: true, scaled: true },
  arcs: pinsOf(scene.orientations, shot).flatMap(({ id }) => [
    { pin: id, through: { x: 200, y: 100 } },
    { pin: id, through: { ...shot.lens.centre } },
    { pin: id, through: { x: 1e6, y: -1e6 } },
  ]),
  sketch: { left: { x: 10, y: 10 }, right: { x: 10, y: 10 }, third: { x: 10, y: 10 } },
  show: {
    live: 1,
    frame: 1,
    horizon: 1,
    bundles: 1,
    buildings: 1,
    hidden: 1,
    cone: 1,
    measuring: 1,
    compass: 1,
    aids: 1,
  },
});

/** Everything that is made of a shot, as one text: nothing in it may be no number. */
function madeOf(of: Scene, plain: Shot): string {
  const shot = everything(plain);
  const whole = { ...of, shots: [shot] };
  const drawing = drawShot(whole, shot.id);
  const desk = drawDesk(whole, shot, drawing.layers);
  for (const layer of desk.layers) if (!chordsOf(layer).every(Number.isFinite)) return "NaN in a layer";
  return [
    toSvg(drawing),
    slipText(whole, shot),
    JSON.stringify(slipOf(whole, shot)),
    JSON.stringify(setUpOf(whole, shot)),
    JSON.stringify(
      findings(whole, shot).map(({ fix, message, ...rest }) => ({
        ...rest,
        message: inMetric(message),
        fix: fix && inMetric(fix.label),
      })),
    ),
    JSON.stringify(desk.box),
  ].join("\n");
}

describe("extremes", () => {
  it.each<[string, Shot]>([
    ["straight up", shotWith({ gaze: { pitch: 90 } })],
    ["straight down", shotWith({ gaze: { pitch: -90, roll: 30 } })],
    ["all but straight down", shotWith({ gaze: { pitch: -89.9999 } })],
    ["on its head", shotWith({ gaze: { roll: 180, pitch: 20 } })],
    ["on its side", shotWith({ gaze: { roll: 90 } })],
    ["a horizon out of sight", shotWith({ centre: { y: -1e6 } })],
    ["a centre far off", shotWith({ centre: { x: 1e7, y: 1e7 } })],
    ["the longest picture distance", shotWith({ distance: 1e7 })],
    ["the shortest picture distance", shotWith({ distance: 1e-6 })],
    ["facing a wall", shotWith({ gaze: { heading: 35 } })],
    ["all but facing a wall", shotWith({ gaze: { heading: 35 + 1e-9 } })],
    ["an eye on the ground", shotWith({ eye: { z: 0 } })],
    ["an eye below the ground", shotWith({ eye: { z: -4 } })],
    ["a panel of a hair's breadth", { ...shotWith(), frame: { x: 15, y: 15, width: 1e-3, height: 267 } }],
    ["a bleeding panel", { ...shotWith(), frame: { x: -50, y: -50, width: 600, height: 500 } }],
  ])("%s makes no NaN in any output, and is read back as it was", (_, shot) => {
    expect(madeOf(scene, shot)).not.toMatch(/NaN|Infinity|undefined|\[object/);
    const whole = { ...scene, shots: [everything(shot)] };
    expect(readScene(writeScene(whole))).toEqual(whole);
  });

  it("any view of any town makes no NaN", () => {
    const wild = fc.record({
      heading: between(-360, 360),
      pitch: between(-90, 90),
      roll: between(-360, 360),
      distance: between(1, 5000),
      x: between(-2000, 2000),
      y: between(-2000, 2000),
      z: between(-20, 100),
    });
    fc.assert(
      fc.property(wild, anyBlocks, ({ heading, pitch, roll, distance, x, y, z }, elements) => {
        expect(
          madeOf(
            { ...scene, elements },
            shotWith({ eye: { z }, gaze: { heading, pitch, roll }, distance, centre: { x, y } }),
          ),
        ).not.toMatch(/NaN|Infinity|undefined|\[object/);
      }),
      { numRuns: 20 },
    );
  });

  it("any view through any lens makes no NaN", () => {
    const wild = fc.record({
      law: fc.constantFrom(...(Object.keys(LAWS) as LawId[])),
      heading: between(-360, 360),
      pitch: fc.oneof(fc.constantFrom(-90, 0, 90), between(-90, 90)),
      roll: fc.oneof(fc.constantFrom(0, 90, 180), between(-180, 180)),
      distance: between(0.5, 1000),
      x: between(-2000, 2000),
      y: between(-2000, 2000),
    });
    fc.assert(
      fc.property(wild, anyBlocks, ({ law, heading, pitch, roll, distance, x, y }, elements) => {
        const shot = shotWith({ gaze: { heading, pitch, roll }, distance, centre: { x, y } });
        const made = madeOf({ ...scene, elements }, { ...shot, lens: { ...shot.lens, law } });
        expect(made).not.toMatch(/NaN|Infinity|undefined|\[object/);
      }),
      { numRuns: 8, endOnFailure: true },
    );
  });

  it.each<[string, Partial<Shot>, string]>([
    [
      "a picture distance of nothing",
      { lens: { law: "rectilinear", distance: 0, centre: { x: 0, y: 0 } } },
      "shots/0/lens/distance: must be > 0.",
    ],
    [
      "a picture distance of 1e9",
      { lens: { law: "rectilinear", distance: 1e9, centre: { x: 0, y: 0 } } },
      "shots/0/lens/distance: must be <= 10000000.",
    ],
    ["an empty panel", { frame: { x: 15, y: 15, width: 0, height: 100 } }, "shots/0/frame/width: must be > 0."],
    [
      "a panel beyond its sheet",
      { frame: { x: 500, y: 15, width: 100, height: 100 } },
      "shots/0/frame: lies beyond its sheet: nothing of it could be drawn.",
    ],
    ["a gaze beyond the zenith", { gaze: { heading: 0, pitch: 91, roll: 0 } }, "shots/0/gaze/pitch: must be <= 90."],
  ])("%s is refused in one sentence that says where", (_, change, message) => {
    const text = JSON.stringify({ ...scene, shots: [{ ...shotWith(), ...change }] });
    expect(() => readScene(text)).toThrow(BadInput);
    expect(() => readScene(text)).toThrow(message);
  });
});
