import { sceneMeasure } from "../schema";
import { DEFAULT_BRIDGE, DEFAULT_STREET, KINDS, type Bridge, type Street } from "../world";
import { measureOf, numberAt, withNumber } from ".";

const schemaOf = (kind: string) => KINDS.find((one) => one.kind === kind)!.schema;
const path = [
  { x: 0, y: 0 },
  { x: 30, y: 0 },
];
const street: Street = { id: "s", kind: "street", name: "Tar lane", path, ...DEFAULT_STREET };
const bridge: Bridge = { id: "b", kind: "bridge", name: "Swing bridge", path, ...DEFAULT_BRIDGE, parapet: undefined };

describe("a measure", () => {
  it("has its name, its unit and its limits from the schema", () => {
    expect(measureOf(schemaOf("street"), "kerb")).toMatchObject({ label: "Kerb", unit: "m", min: 0, max: 10 });
    expect(measureOf(schemaOf("street"), "lanes")).toMatchObject({ unit: "", min: 1, whole: true, fallback: 2 });
    expect(measureOf(schemaOf("square"), "heading")).toMatchObject({ label: "Joints along the heading", unit: "°" });
    // What must be more than nothing is a centimetre at least.
    expect(measureOf(schemaOf("bridge"), "parapet/height").min).toBe(0.01);
    expect(() => measureOf(schemaOf("street"), "height")).toThrow("no measure with a name at height");
  });

  it("is offered within narrower limits than a file may hold, where its schema says so", () => {
    expect(sceneMeasure("shots/*/gaze/pitch")).toMatchObject({
      label: "Pitch (look up)",
      unit: "°",
      min: -90,
      max: 90,
    });
    expect(sceneMeasure("shots/*/sheet/width")).toMatchObject({ label: "Width", unit: "mm", min: 20, max: 5000 });
    // Only the one limit is narrower: a panel is as wide as its sheet may be.
    expect(sceneMeasure("shots/*/frame/width")).toMatchObject({ min: 5, max: 1e5 });
    expect(sceneMeasure("rows/*/storeys/least")).toMatchObject({
      label: "Storeys from",
      min: 1,
      max: 100,
      whole: true,
    });
    expect(() => sceneMeasure("shots/*/gaze/yaw")).toThrow("no measure with a name at shots/*/gaze/yaw");
  });

  it("is read and changed by its path, and nothing else with it", () => {
    expect(numberAt(street, "dashes/line")).toBe(DEFAULT_STREET.dashes?.line);
    expect(withNumber(street, "dashes/line", 2)).toEqual({ ...street, dashes: { ...DEFAULT_STREET.dashes, line: 2 } });
    expect([numberAt(street, "lanes"), numberAt(bridge, "parapet/height")]).toEqual([undefined, undefined]);
    expect(withNumber(bridge, "width", 5)).toEqual({ ...bridge, width: 5 });
  });
});
