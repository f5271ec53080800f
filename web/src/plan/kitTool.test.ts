import type { Kit, Scene } from "@zanvo/core/scene";
import { newScene } from "@zanvo/core/scene";
import { DEFAULT_STREET, newBuilding } from "@zanvo/core/world";
import { standingAlong } from "./kitTool";

const kit: Kit = {
  ...{ id: "k", name: "House", of: "things", revision: 1 },
  elements: [
    newBuilding({
      ...{ id: "house", name: "House", base: 0, height: 6, roof: { kind: "flat" } },
      footprint: [
        { x: -3, y: 0 },
        { x: 3, y: 0 },
        { x: 3, y: 8 },
        { x: -3, y: 8 },
      ],
    }),
  ],
};
const street = { ...DEFAULT_STREET, kind: "street", id: "s", name: "Tar lane", path: [] } as const;
/** A street that runs north, 5 m to the west of the places below. */
const scene: Scene = {
  ...newScene("Test"),
  elements: [{ ...street, path: [-50, 50].map((y) => ({ x: -5, y })) }],
};

describe("where a kit stands that is drawn along its front", () => {
  it("begins where the drawing did, and faces the street, whichever way it is drawn", () => {
    const up = standingAlong(kit, scene, [
      [0, 0],
      [0, 20],
    ]);
    expect([...up.at, up.heading % 360]).toEqual([0, 3, -90]);
    const down = standingAlong(kit, scene, [
      [0, 0],
      [0, -20],
    ]);
    expect([...down.at, down.heading % 360]).toEqual([0, -3, -90]);
  });

  it("has its middle where it is pressed down", () => {
    const at = [2, 7] as const;
    const { heading, ...frame } = standingAlong(kit, scene, [at, at]);
    expect([frame.at, Math.abs(heading % 360)]).toEqual([at, 90]);
  });

  it("stands to the right where there is no street", () => {
    const alone = standingAlong(kit, newScene("Test"), [
      [0, 0],
      [10, 0],
    ]);
    expect([...alone.at, alone.heading]).toEqual([3, 0, 0]);
  });
});
