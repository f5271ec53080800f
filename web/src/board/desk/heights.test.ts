import { footAt } from "@zanvo/core/construct";
import { newScene } from "@zanvo/core/scene";
import { project, viewOf } from "@zanvo/core/shot";
import { newBuilding } from "@zanvo/core/world";
import { block } from "../../../testing";
import { caughtHeight, heightMarks } from "./heights";
import { alongOf, begin } from "./raise";

const [shot] = newScene("Quay").shots;
const view = viewOf(shot);
const loft = { ...block("loft"), name: "Net loft", origin: { x: 3, y: 12, z: 0 }, height: 4.2 };
const hall = newBuilding({
  ...{ id: "hall", name: "Fish hall", base: 0, height: 9, storeys: 3, roof: { kind: "flat" } },
  footprint: [
    { x: -8, y: 12 },
    { x: -4, y: 12 },
    { x: -4, y: 16 },
    { x: -8, y: 16 },
  ],
});

describe("heights that a corner is raised to", () => {
  const marks = heightMarks(view, [loft, hall, { ...loft, id: "gone", name: "Gone", hidden: true }]);
  const foot = footAt(view, [], [200, 230], 0)!;
  const raisedTo = (height: number, reach = 2) => {
    const start = begin(foot, alongOf(foot, { heading: 35, name: "Quay" }, 0));
    return caughtHeight(view, { ...start, measures: { ...start.measures, height } }, marks, reach);
  };

  it("are eye level, tops and storey lines of what stands", () => {
    expect(marks.map(({ z, name }) => [z, name])).toEqual([
      [1.6, "eye level"],
      [4.2, "the top of Net loft"],
      [3, "storey 1 of Fish hall"],
      [6, "storey 2 of Fish hall"],
      [9, "the top of Fish hall"],
    ]);
  });

  it("are caught within the hand's reach on paper, and only while the height is drawn", () => {
    expect(raisedTo(4.21)).toMatchObject({
      mark: { name: "the top of Net loft" },
      raising: { measures: { height: 4.2 } },
    });
    expect(raisedTo(1.62).mark?.name).toBe("eye level");
    expect(raisedTo(4.21, 0).mark).toBeNull();
    expect(raisedTo(5).mark).toBeNull();
    const start = begin(foot, alongOf(foot, { heading: 35, name: "Quay" }, 0));
    expect(caughtHeight(view, { ...start, step: "left" }, marks, 2).mark).toBeNull();
  });

  it("begin in the air, or on top of what ends there", () => {
    const corner = project(view, [3, 12, 4.2]);
    // The eye is below that roof: nothing of that level is seen under the horizon.
    expect(footAt(view, [loft], [corner![0], 240], 2, 4.2)).toBeNull();
    const high = viewOf({ ...shot, eye: { ...shot.eye, z: 9 } });
    const on = project(high, [3, 12, 4.2])!;
    expect(footAt(high, [loft], [on[0] + 0.5, on[1]], 2, 4.2)).toMatchObject({
      at: [3, 12, 4.2],
      on: { what: "corner" },
    });
    expect(footAt(high, [loft], [on[0] + 0.5, on[1]], 2, 3)?.on).toBeNull();
    expect(footAt(high, [loft], [200, 260], 2, 3)?.at[2]).toBe(3);
  });
});
