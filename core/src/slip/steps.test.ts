import { newScene, splitPanel } from "../scene";
import { viewOf } from "../shot";
import { block, shotWith } from "../../testing";
import { inMetric, inSystem, metres, mm, readMeasure } from "../units";
import { buildingCorners, pageSetUpOf, setUpOf, slipText, TICK_SPACINGS, tickNotes, tickTable, usualSpacing } from ".";

const scene = newScene("Quay");

describe("the set-up sheet of a page", () => {
  const [first, second] = splitPanel(shotWith(), "beside", 5, { id: "s2", name: "Second", page: "p" });
  const page = { ...scene, shots: [first, second, { ...shotWith(), id: "s3", name: "Elsewhere" }] };

  it("lays the sheet and rules all its panels once, then goes on panel by panel", () => {
    const { steps, panels } = pageSetUpOf(page, second, 10);
    expect(steps.map(inMetric)).toEqual([
      "Lay the sheet landscape, 420 × 297 mm.",
      `Rule the panel ${first.name}: 15 mm from the left and 15 mm from the top, 192.5 × 267 mm.`,
      "Rule the panel Second: 212.5 mm from the left and 15 mm from the top, 192.5 × 267 mm.",
    ]);
    expect(panels.map(({ shot }) => shot.id)).toEqual(["s1", "s2"]);
    panels.forEach(({ shot, setUp }) => expect(setUp.steps).toEqual(setUpOf(page, shot).steps.slice(1)));
  });

  it("is one text, and for a shot that has its sheet for itself the same as ever", () => {
    const text = slipText(page, first, 10, "metric", true);
    expect(text).toContain("a page of 2 panels");
    expect(text.match(/^STEPS$/gm)).toHaveLength(2);
    expect(text).not.toContain("Elsewhere");
    expect(slipText(page, page.shots[2], 10, "metric", true)).toBe(slipText(page, page.shots[2]));
  });
});

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

  it("lays out the corners of buildings: their feet as they are projected, and how high they are drawn", () => {
    // 12 m ahead of the eye and 300 mm before it, 1 m is 25 mm: a foot 1.6 m under the eye lies 40 mm under C, and a
    // corner 6 m high is drawn 150 mm. One 16 m ahead: 30 mm under C, 112.5 mm high.
    const loft = { ...block("b", -2, 12, 4, 4, 6), heading: 0, name: "Net loft" };
    const far = { ...block("far", -2, 900, 4, 4, 3), heading: 0, name: "Far shed" };
    const behind = { ...block("behind", -2, -30, 4, 4, 6), heading: 0, name: "Behind" };
    const shot = shotWith({ gaze: { heading: 0 } });
    const { steps } = setUpOf({ ...scene, elements: [far, behind, loft] }, shot);
    const told = steps.map(inMetric).filter((step) => /loft|shed|Behind/i.test(step));
    expect(told).toEqual([
      "Net loft: near corner 160 mm in from the left, 188.5 mm from the top, 150 mm high; " +
        "left corner 172.5 mm in from the left, 178.5 mm from the top, 112.5 mm high; " +
        "right corner 160 mm in from the right, 188.5 mm from the top, 150 mm high.",
    ]);
  });

  it("lays out the twelve that are drawn highest, and says how many follow from the points", () => {
    const houses = Array.from({ length: 15 }, (_, i) => ({
      ...block(`h${i}`, -12 + 1.5 * i, 20 + i, 2, 2, 5),
      heading: 0,
    }));
    const { buildings, more } = buildingCorners({ elements: houses }, shotWith(), viewOf(shotWith()));
    expect([buildings.length + more, buildings.length]).toEqual([15, 12]);
    const heights = buildings.map(({ corners: [{ foot, head }] }) => Math.hypot(foot[0] - head[0], foot[1] - head[1]));
    expect([...heights].sort((a, b) => b - a)).toEqual(heights);
    const { steps } = setUpOf({ ...scene, elements: houses }, shotWith());
    expect(steps.map(inMetric)).toContain("3 more buildings are drawn less high: lay them out by the points.");
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
