import { radians } from "@zanvo/core/geometry";
import { newScene, type Scene } from "@zanvo/core/scene";
import { build, isFixture, requireValid, validateElement, type Element } from "@zanvo/core/world";
import { THINGS, thingOf, type PressedPlace } from ".";
import { facing, freeName, standing } from "./putThing";
import { sampleOf } from "./sample";

const ALL = THINGS.flatMap(([, things]) => things);
const floor: PressedPlace = { at: [3, 4, 0.5], normal: [0, 0, 1], heading: 120 };
const slope: PressedPlace = { at: [3, 4, 7], normal: [0, -0.6, 0.8], heading: 180 };
const wall: PressedPlace = { at: [3, 4, 2.8], normal: [0, -1, 0], heading: 180 };

describe("what is put where the picture is pressed", () => {
  it.each(ALL.map((thing) => [thing.label, thing] as const))(
    "%s stands or hangs, and is drawn as a sample",
    (_, thing) => {
      const put = [floor, wall, slope].map((place) => standing(thing, place, { elements: [] }));
      const told = put.filter((one) => typeof one === "string");
      const elements = put.filter((one) => typeof one !== "string");
      expect(elements.length).toBeGreaterThan(0);
      for (const sentence of told) expect(sentence).toMatch(/^[A-Z].*: .*\.$/);
      for (const element of elements) {
        expect(validateElement(element)).toBeNull();
        expect(requireValid(element).name).toBe(thing.label);
      }
      const sample = sampleOf(thing, 40, 32);
      expect(sample.length).toBeGreaterThan(2);
      for (const [x, y] of sample.flat()) {
        expect([x >= -1e-6, y >= -1e-6, x <= 40 + 1e-6, y <= 32 + 1e-6]).toEqual([true, true, true, true]);
      }
    },
  );

  it("has an id of its own, and a name that nothing else has", () => {
    expect(new Set(ALL.map(({ id }) => id)).size).toBe(ALL.length);
    expect(thingOf("chair")?.label).toBe("Chair");
    expect(thingOf("nothing")).toBeUndefined();
    const named = ["Chair", "Chair 2"].map((name) => ({ name }) as Element);
    expect(freeName("Chair", named)).toBe("Chair 3");
  });

  it("faces the eye, square to the room that it stands in or else to the main streets", () => {
    const scene: Pick<Scene, "elements" | "orientations"> = {
      ...newScene("Test"),
      elements: [],
      orientations: [{ id: "o", name: "Main", heading: 20 }],
    };
    expect(facing(scene, [0, 0, 0], [0, -10, 1.6])).toBe(200);
    expect(facing(scene, [0, 0, 0], [10, 0, 1.6])).toBe(110);
    const [cos, sin] = [Math.cos(radians(30)), Math.sin(radians(30))];
    const room: Element = {
      id: "h",
      kind: "building",
      name: "Net loft",
      footprint: [
        [-5, -5],
        [5, -5],
        [5, 5],
        [-5, 5],
      ].map(([x, y]) => ({ x: cos * x - sin * y, y: sin * x + cos * y })),
      ...{ base: 0, height: 3, storeys: 1, roof: { kind: "flat" }, rooms: { wall: 0.3, slab: 0.2 } },
    };
    const within = facing({ ...scene, elements: [room] }, [0, 0, 0.01], [0, -3, 1.6]);
    expect(Math.abs(Math.sin(radians(2 * (within - 60))))).toBeLessThan(1e-4);
  });

  it("lies in the slope of a roof: a roof light's middle is where that was pressed, its plane that of the roof", () => {
    // A slope of 35 degrees that leans to the east.
    const [c, s] = [Math.cos(radians(35)), Math.sin(radians(35))];
    const put = standing(thingOf("rooflight")!, { at: [6, 2, 7], normal: [s, 0, c], heading: 0 }, { elements: [] });
    if (typeof put === "string" || !isFixture(put)) throw new Error("It is not put there.");
    expect(put.pitch).toBeCloseTo(35, 3);
    const [solid] = build([put]);
    const off = solid.vertices.map(([x, , z]) => (x - 6) * s + (z - 7) * c);
    expect([Math.min(...off), Math.max(...off)]).toEqual([expect.closeTo(0, 5), expect.closeTo(0.08, 5)]);
    const middle = [0, 2].map((k) => solid.vertices.reduce((sum, p) => sum + p[k], 0) / 8);
    expect(Math.hypot(middle[0] - 6, middle[1] - 7)).toBeLessThan(0.05);
  });
});
