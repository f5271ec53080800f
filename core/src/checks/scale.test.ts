import { inWords } from "../../testing";
import { newScene, type Scene } from "../scene";
import { DEFAULT_STEPS, DEFAULT_STREET, type Building, type Element } from "../world";
import { findings } from ".";

const house: Building = {
  id: "h",
  kind: "building",
  name: "Ferry office",
  footprint: [
    [-4, 18],
    [4, 18],
    [4, 26],
    [-4, 26],
  ].map(([x, y]) => ({ x, y })),
  base: 0,
  height: 6,
  storeys: 2,
  roof: { kind: "flat" },
};
const told = (element: Element) => {
  const scene: Scene = { ...newScene("Test"), elements: [element] };
  const found = findings(scene, { ...scene.shots[0], gaze: { heading: 0, pitch: 0, roll: 0 } });
  return inWords(found.filter(({ id }) => id.startsWith("scale-")));
};

describe("scale", () => {
  it("is told of storeys that are too high or too low for people, where they are seen", () => {
    expect(told(house)).toEqual([]);
    expect(told({ ...house, storeys: 4 })).toMatchObject([
      {
        value: 1.5,
        unit: "m",
        where: "Ferry office",
        message: expect.stringContaining(
          "1.50 m high. Flats have 2.7 to 3.2 m, shops 3.6 to 4.5 m, halls 5 m and more: beside it, people will " +
            "look large.",
        ),
      },
    ]);
    expect(told({ ...house, height: 15, storeys: 2 })).toMatchObject([
      { value: 7.5, message: expect.stringContaining("look small") },
    ]);
    expect(told({ ...house, storeys: 4, hidden: true })).toEqual([]);
    expect(told({ ...house, storeys: 4, footprint: house.footprint.map(({ x, y }) => ({ x, y: y - 60 })) })).toEqual(
      [],
    );
  });

  it("is told of stairs off Blondel's rule", () => {
    const steps = {
      id: "f",
      kind: "steps" as const,
      name: "Ferry steps",
      foot: { x: 0, y: 18, z: 0 },
      heading: 0,
      count: 8,
      ...DEFAULT_STEPS,
    };
    expect(told(steps)).toEqual([]);
    expect(told({ ...steps, riser: 0.25, tread: 0.4 })).toMatchObject([
      {
        value: 0.9,
        message:
          "Two risers and a tread of Ferry steps come to 0.90 m. Comfortable stairs have 0.60 to 0.65 m: beside " +
          "it, people will look small.",
      },
    ]);
    expect(told({ ...steps, riser: 0.25, tread: 0.4, ramp: true })).toEqual([]);
  });

  it("is told of doors, the first that is off", () => {
    const doors = (...heights: number[]) => ({
      ...house,
      doors: heights.map((height) => ({ x: 0, y: 18, width: 0.9, height })),
    });
    expect(told(doors(2.05, 3.5))).toEqual([]);
    expect(told(doors(2.05, 1.4, 6))).toMatchObject([
      {
        value: 1.4,
        message: "A door of Ferry office is 1.40 m high. Doors have 2.0 to 2.1 m: beside it, people will look large.",
      },
    ]);
  });

  it("is told of kerbs, but not of quays", () => {
    const street = {
      id: "s",
      kind: "street" as const,
      name: "Quay",
      path: [
        { x: -10, y: 20 },
        { x: 10, y: 20 },
      ],
      ...DEFAULT_STREET,
    };
    expect(told(street)).toEqual([]);
    expect(told({ ...street, kerb: 0.3 })).toMatchObject([
      { value: 0.3, message: expect.stringContaining("A kerb of Quay is 0.30 m high") },
    ]);
    expect(told({ ...street, kerb: 0.9 })).toEqual([]);
  });
});
