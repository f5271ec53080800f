import { newScene } from "../scene";
import { shotWith } from "../../testing";
import { inMetric, inSystem, metres, mm, readMeasure } from "../units";
import { setUpOf, slipText, TICK_SPACINGS, tickNotes, tickTable, usualSpacing } from ".";

const scene = newScene("Quay");

describe("the set-up sheet", () => {
  it("gives the steps in order, with the paper to tape on", () => {
    const { steps } = setUpOf(scene, shotWith());
    expect(steps.map(inMetric)).toEqual([
      "Lay the sheet landscape, 420 × 297 mm, and rule the panel 15 mm from the left and 15 mm from the top, " +
        "390 × 267 mm.",
      "Horizon: measure down 148.5 mm at the left edge and 148.5 mm at the right edge, and join the two marks.",
      "Mark the centre of vision 210 mm in from the left, 148.5 mm from the top. The eye is 300 mm before it.",
      "Main streets, left: tape 239 mm of paper to the left edge; the pin stands 218.4 mm left of the sheet, " +
        "148.5 mm from the top.",
      "Main streets, right: tape 21 mm of paper to the right edge; the pin stands 0.1 mm right of the sheet, " +
        "148.5 mm from the top.",
      "Uprights: no point. Draw these lines parallel, upright.",
      expect.stringMatching(/^Check:/),
    ]);
  });

  it("says so where there is no horizon, and where a set runs level or aslant", () => {
    expect(inMetric(setUpOf(scene, shotWith({ gaze: { pitch: -90 } })).steps[1])).toMatch(/no horizon/);
    expect(inMetric(setUpOf(scene, shotWith({ gaze: { heading: 35 } })).steps[4])).toMatch(/parallel, level/);
    expect(inMetric(setUpOf(scene, shotWith({ gaze: { roll: 10 } })).steps[5])).toMatch(/at 80° clockwise from right/);
  });

  it("marks a horizon where it crosses the sheet's edges, and tells none that lies off the sheet", () => {
    const step = (gaze: object, more = {}) => inMetric(setUpOf(scene, { ...shotWith({ gaze }), ...more }).steps[1]);
    // Rolled 60 degrees about the middle, the horizon leaves over the top and bottom: 148.5 / tan 60 = 85.7 mm off it.
    expect(step({ roll: 60 })).toMatch(/^Horizon: mark (295\.7|124\.3) mm from the left on the top edge and/);
    expect(step({ pitch: 45 })).toMatch(/^Horizon: it passes below the sheet, 151\.5 mm at its left edge/);
    expect(step({ pitch: -45 })).toMatch(
      /above the sheet, 151\.5 mm at its left edge.*Tape 172 mm of paper to the top edge/,
    );
    for (let pitch = -80; pitch <= 80; pitch += 8)
      for (let roll = -90; roll < 90; roll += 15) {
        const measures = [...step({ pitch, roll }).matchAll(/([\d.]+) mm (down|from the left)/g)];
        for (const [, mm, way] of measures) expect(Number(mm)).toBeLessThanOrEqual(way === "down" ? 297 : 420);
      }
  });

  it("has ticks, tilts and a centrolinead for a third point below, and tells what its letters mean", () => {
    const shot = shotWith({ gaze: { heading: 20, pitch: -25, roll: 0 } });
    const below = setUpOf(scene, shot).aids.find(({ pin }) => pin.role === "upright")!;
    expect(below.aids).toMatchObject({ side: "bottom", level: 210, centrolinead: { pegs: 150 } });
    const { heads, rows } = tickTable(below.aids, "metric");
    expect(heads).toEqual(["tick", "bottom", "top", "tilt"]);
    expect(rows.find(([number]) => number === "0")).toEqual(["0", "210.0", "210.0", "0.00°"]);
    expect(rows.some(([, , far]) => /^[LR] [\d.]+$/.test(far))).toBe(true);
    const notes = tickNotes(below.aids, "imperial").map((note) => inSystem(note, "imperial"));
    expect(notes.join(" ")).toMatch(
      /inches from the left edge.*from upright.*L and R: .*left and right of the point’s plumb/,
    );
  });

  it("has ticks that are round in the system that one measures in, and feet as they are", () => {
    expect(TICK_SPACINGS.imperial.map((spacing) => inSystem(mm(spacing), "imperial"))).toEqual(['1/4"', '1/2"', '1"']);
    expect(inSystem(metres(readMeasure("7 ft", "m")), "imperial")).toBe("7'");
    const [{ aids }] = setUpOf(scene, shotWith(), usualSpacing("imperial")).aids;
    const { rows } = tickTable(aids, "imperial");
    expect(rows.find(([number]) => number === "2")![1]).toMatch(/^\d+ ?\d*\/?\d*$/);
    expect(inSystem(tickNotes(aids, "imperial")[0], "imperial")).toMatch(/^Every 1\/2" on the left edge/);
  });

  it("is one plain text with every tick", () => {
    const text = slipText(scene, shotWith(), 20);
    expect(text).toContain("Quay: First shot\n\nSHEET\n");
    // 20 mm on the left edge are 20 * 638.4 / 218.4 = 58.5 mm on the right one.
    expect(text).toContain("Every 20 mm on the left edge, every 58.5 mm on the opposite one");
    expect(text).toContain("         2     108.5      31.6    10.38°");
    expect(text).toContain("SCALED SET-UP, 1 : 2");
    expect(text).not.toMatch(/NaN|undefined|null/);
  });
});
