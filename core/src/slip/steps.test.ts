import { newScene } from "../scene";
import { shotWith } from "../../testing";
import { inMetric } from "../units";
import { setUpOf, slipText } from ".";

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

  it("is one plain text with every tick", () => {
    const text = slipText(scene, shotWith(), 20);
    expect(text).toContain("Quay: First shot\n\nSHEET\n");
    // 20 mm on the left edge are 20 * 638.4 / 218.4 = 58.5 mm on the right one.
    expect(text).toContain("Every 20 mm on the left edge, every 58.5 mm on the opposite one");
    expect(text).toContain("     2   108.5      31.6   10.38");
    expect(text).toContain("SCALED SET-UP, 1 : 2");
    expect(text).not.toMatch(/NaN|undefined|null/);
  });
});
