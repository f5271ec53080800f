import { shotWith } from "../../testing";
import { RECIPES } from "../recipes";
import { newScene, type Tools } from "../scene";
import { slipText } from "../slip";
import { inMetric } from "../units";
import { pinsOf, reachTo, toolNotes } from ".";

const scene = newScene("Test");
// The left point stands 300 tan 55° = 428.4 mm left of C, so 218.4 mm beyond the sheet's left edge.
const shot = shotWith();
const notes = (tools: Tools, of = shot) =>
  toolNotes(
    of,
    tools,
    pinsOf(scene.orientations, of).filter(({ role }) => role === "left"),
  ).map(inMetric);

describe("tools that somebody has", () => {
  it("reach a point, or are laid on edge ticks, or do not do", () => {
    const left = pinsOf(scene.orientations, shot)[0].point.at!;
    // From the right corners of the panel, 623.4 mm along and 133.5 mm up or down: 637.6 mm.
    expect(reachTo(shot, { ruler: 640, tape: true }, left, true)).toEqual({ by: "ruler" });
    expect(reachTo(shot, { ruler: 630, tape: true }, left, true)).toEqual({ by: "ticks", ruler: 420 });
    expect(reachTo(shot, { ruler: 640 }, left, true)).toEqual({ by: "ticks", ruler: 420 });
    expect(reachTo(shot, { ruler: 300, tape: true }, left, true)).toMatchObject({ by: "nothing" });
    expect(reachTo(shot, undefined, left, true)).toEqual({ by: "ruler" });
  });

  it("are told of, point by point, with what would be needed else", () => {
    expect(notes({ ruler: 700, tape: true, setSquares: true })).toEqual([
      "Main streets, left: tape the paper on, and your ruler reaches; lines are up to 638 mm.",
    ]);
    expect(notes({ ruler: 500, setSquares: true })).toEqual([
      "Main streets, left: there is no tape for a strip of paper, so lay your ruler on equal edge ticks.",
    ]);
    expect(notes({ ruler: 300, tape: true })).toEqual([
      "Main streets, left: lines to it are up to 638 mm, and edge ticks take a ruler of 515 mm: you need one.",
      "Without set squares, rule uprights through two marks at equal distances from the sheet's edge.",
    ]);
    expect(toolNotes(shot, undefined, [])).toEqual([]);
  });

  it("tell of the compass where a lens is drawn by it", () => {
    const curved = { ...shot, lens: { ...shot.lens, law: "stereographic" as const, distance: 120 } };
    const small = notes({ compass: 100, setSquares: true }, curved).join(" ");
    expect(small).toMatch(/wider than your compasses: you need a beam compass of \d+ mm, or a light table/);
    expect(notes({ compass: 100, lightTable: true, setSquares: true }, curved).join(" ")).toContain("trace it on the");
    expect(notes({ compass: 100, beam: 1e5, setSquares: true }, curved).join(" ")).toContain("take the beam compass");
    expect(notes({ compass: 1e5, setSquares: true }, curved).join(" ")).toContain("opens to every arc");
  });

  it("stand on the slip, and choose what a construction asks for", () => {
    const tools = { ruler: 430, tape: true };
    expect(slipText({ ...scene, shots: [shot], tools }, shot)).toContain("WITH YOUR TOOLS");
    expect(slipText({ ...scene, shots: [shot] }, shot)).not.toContain("WITH YOUR TOOLS");
    const square = RECIPES.find(({ id }) => id === "square")!;
    const told = (given: Tools | undefined) =>
      square.steps({ scene: { ...scene, tools: given }, shot }).map(({ text }) => inMetric(text));
    expect(told(tools).join(" ")).toContain("to Main streets, left, by its edge ticks");
    expect(told(undefined).join(" ")).not.toContain("edge ticks");
  });
});
