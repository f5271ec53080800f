import { shotWith } from "../../testing";
import { newScene, type Scene } from "../scene";
import { inMetric } from "../units";
import type { Building, OwnBay } from "../world";
import { findings } from ".";

const chandlery = (own: readonly OwnBay[]): Building => ({
  id: "chandlery",
  kind: "building",
  name: "Chandlery",
  footprint: [
    { x: -5, y: 15 },
    { x: 5, y: 15 },
    { x: 5, y: 23 },
    { x: -5, y: 23 },
  ],
  base: 0,
  height: 9,
  storeys: 3,
  roof: { kind: "flat" },
  fronts: [{ side: 0, bays: "4", own: [...own] }],
});
const told = (own: readonly OwnBay[], change: Partial<Scene> = {}) => {
  const shot = shotWith({ gaze: { heading: 0 } });
  const scene = { ...newScene("Odd"), elements: [chandlery(own)], shots: [shot], ...change };
  return findings(scene, scene.shots[0])
    .filter(({ id }) => id.startsWith("odd-"))
    .map(({ where, message, value }) => `${where} ${value}: ${inMetric(message)}`);
};

describe("what is odd about openings", () => {
  it("is nothing of a front by rule", () => {
    expect(told([])).toEqual([]);
  });

  it("is a window across a floor, a door without ground, a low door and a low sill, each with its place", () => {
    expect(told([{ bay: 1, storey: 0, height: 2.5 }])).toEqual([
      "Chandlery 0.4: The window in wall 1, bay 2, storey 1 of Chandlery crosses the floor above it by 0.40 m.",
    ]);
    expect(told([{ bay: 0, storey: 2, opening: "door" }])).toEqual([
      "Chandlery 6: The door in wall 1, bay 1, storey 3 of Chandlery has no ground before it: it wants steps, a " +
        "balcony or a rail.",
    ]);
    expect(told([{ bay: 0, storey: 0, opening: "door", height: 1.8 }])).toEqual([
      "Chandlery 1.8: The door in wall 1, bay 1, storey 1 of Chandlery is 1.80 m high: people need 2.00 m.",
    ]);
    expect(told([{ bay: 3, storey: 1, sill: 0.4 }])).toEqual([
      "Chandlery 0.4: The sill in wall 1, bay 4, storey 2 of Chandlery is 0.40 m over its floor: below 0.80 m a rail " +
        "is wanted.",
    ]);
  });

  it("is no door with a balcony before it, but an awning under which one stoops", () => {
    expect(told([{ bay: 0, storey: 2, opening: "door", balcony: true }])).toEqual([]);
    const low = chandlery([]);
    const elements = [{ ...low, fronts: [{ side: 0, bays: "shop 1", awning: { out: 1, drop: 0.4, over: 1.9 } }] }];
    expect(told([], { elements })).toEqual([
      "Chandlery 1.9: The awnings on wall 1 of Chandlery leave 1.90 m clear: over a pavement 2.20 m are usual.",
    ]);
  });

  it("is told of what is shown in the panel only, and of no more than four", () => {
    const own = [0, 1, 2, 3].flatMap((bay) => [1, 2].map((storey): OwnBay => ({ bay, storey, sill: 0.3 })));
    expect(told(own)).toHaveLength(4);
    expect(told(own, { elements: [{ ...chandlery(own), hidden: true }] })).toEqual([]);
    expect(told(own, { shots: [shotWith({ gaze: { heading: 180 } })] })).toEqual([]);
  });
});
