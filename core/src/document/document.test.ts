import { Ajv } from "ajv";
import fc from "fast-check";
import { newScene, type Scene } from "../scene";
import { SceneSchema } from "../schema";
import { block } from "../../testing";
import { readScene, readUtf8, upgrade, writeScene } from ".";

const scene = (): Scene => ({ ...newScene("Quay"), elements: [block("b1", -6, 14, 18, 9, 7.5, 32)] });
/** The text of a scene in which one place holds another value. */
const spoilt = (path: (string | number)[], value: unknown): string => {
  const document = JSON.parse(writeScene(scene())) as Record<string | number, unknown>;
  let at = document;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  at[path.at(-1)!] = value;
  return JSON.stringify(document);
};

describe("reading a scene document", () => {
  it("takes back what was written, and the smallest document of the file format", () => {
    expect(readScene(writeScene(scene()))).toEqual(scene());
    const { orientations, elements, shots } = scene();
    const bare = { format: "zanvo-scene", version: 1, title: "Quay street", orientations, elements, shots };
    expect(readScene(JSON.stringify(bare))).toEqual(bare);
  });

  it("keeps what stands under x- keys, at any depth", () => {
    const kept = readScene(spoilt(["shots", 0, "x-note"], { any: ["thing"] }));
    expect((kept.shots[0] as Record<string, unknown>)["x-note"]).toEqual({ any: ["thing"] });
  });

  it.each<[string, (string | number)[], unknown, string]>([
    [
      "an unknown field",
      ["shots", 0, "lens", "colour"],
      "red",
      "shots/0/lens/colour: is not a field that belongs here.",
    ],
    ["a missing field", ["shots", 0, "eye"], { x: 0, y: 0 }, "shots/0/eye/z: is missing."],
    ["a negative size", ["elements", 0, "height"], -3, "elements/0/height: must be > 0."],
    ["no size", ["shots", 0, "sheet", "width"], 0, "shots/0/sheet/width: must be > 0."],
    ["a null for a number", ["shots", 0, "eye", "z"], null, "shots/0/eye/z: must be a finite number."],
    [
      "an unknown law",
      ["shots", 0, "lens", "law"],
      "fish",
      "shots/0/lens/law: must be one of: rectilinear, stereographic, equidistant, equisolid, orthographic, " +
        "cylindrical, cylindrical-lying, equirectangular.",
    ],
    ["a disc cut at nothing", ["shots", 0, "lens", "within"], 0, "shots/0/lens/within: must be >= 1."],
    ["an unknown kind", ["elements", 0, "kind"], "cloud", "elements/0/kind: names no kind of element."],
    ["a wrong version", ["version"], 0, "version: must be a whole number from 1 to 1."],
    ["a version that is no number", ["version"], "1", "version: must be a whole number from 1 to 1."],
    [
      "a newer version",
      ["version"],
      7,
      "version: is 7, from a newer Zanvo; this one reads up to 1. Bring Zanvo up to date.",
    ],
    ["another format", ["format"], "picture", 'format: must be "zanvo-scene": this is not a scene document.'],
    ["no shots", ["shots"], [], "shots: must NOT have fewer than 1 items."],
    ["an id twice", ["elements", 1], block("b1", 0, 0, 1, 1, 1), 'elements/1/id: "b1" is taken by an earlier one.'],
  ])("names the place of %s", (_, path, value, message) => {
    expect(() => readScene(spoilt(path, value))).toThrow(message);
  });

  it("names line and column of what is not JSON, and takes no NaN or infinity", () => {
    expect(() => readScene("")).toThrow("Not JSON: line 1, column 1: it is empty.");
    expect(() => readScene('{\n  "title": NaN }')).toThrow(/Not JSON: line 2, column 12/);
    expect(() => readScene(spoilt(["elements", 0, "height"], 5).replace('"height":5', '"height":1e999'))).toThrow(
      "elements/0/height: must be a finite number.",
    );
    expect(() => readScene("[]")).toThrow("A scene document is a JSON object.");
  });

  it("takes no more of a thing than a drawing could want", () => {
    const flight = {
      id: "s",
      kind: "steps",
      name: "Flight",
      foot: { x: 0, y: 0, z: 0 },
      heading: 0,
      width: 2,
      count: 500,
      riser: 0.16,
      tread: 0.3,
    };
    const many = <T extends object>(n: number, one: T) => Array.from({ length: n }, (_, i) => ({ ...one, id: `${i}` }));
    const slopes = many(50, { name: "Roof", axis: "along", rise: 30 });
    const [shot] = scene().shots;
    for (const [key, value, message] of [
      ["elements", many(41, flight), "elements: have 20500 steps in all their flights; 20000 are the most."],
      [
        "orientations",
        many(9, { name: "Way", heading: 0, slopes }),
        "orientations: have 450 slopes together; 400 are the most.",
      ],
      ["shots", many(61, { ...shot, page: "p" }), "shots/0/page: has 61 panels; 60 are the most."],
      [
        "shots",
        [{ ...shot, lens: { ...shot.lens, law: "equidistant", distance: 1e7 } }],
        "shots/0/lens/distance: must be <= 100000 in a curved lens.",
      ],
    ] as const)
      expect(() => readScene(spoilt([key], value))).toThrow(message);
    expect(readScene(spoilt(["elements"], many(40, flight))).elements).toHaveLength(40);
  });

  it("refuses what nests deeper than 64, unparsed, and finds no nesting in words", () => {
    const nested = (depth: number) =>
      spoilt(["x-deep"], 0).replace('"x-deep":0', `"x-deep":${"[".repeat(depth)}${"]".repeat(depth)}`);
    expect(() => readScene(nested(64))).toThrow(
      "Lists and objects may lie 64 deep in one another; here they lie deeper.",
    );
    expect(() => readScene(nested(2_000_000))).toThrow("here they lie deeper");
    expect(readScene(nested(63)).title).toBe("Quay");
    expect(readScene(spoilt(["title"], `${'\\"['.repeat(49)}`)).title).toHaveLength(147);
  });

  it("is checked by a schema that is one itself", () => {
    expect(
      new Ajv({
        discriminator: true,
        keywords: ["unit", "offered", "turns"],
        strictTypes: false,
        strictRequired: false,
      }).validateSchema(SceneSchema),
    ).toBe(true);
  });

  it("refuses bytes that are not UTF-8", () => {
    expect(() => readUtf8(Uint8Array.from([0x7b, 0xff]))).toThrow("This is not text in UTF-8.");
    expect(readUtf8(new TextEncoder().encode("Käi"))).toBe("Käi");
  });

  it("never fails otherwise than with a sentence, whatever the text", () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        expect(() => readScene(text)).toThrow(expect.objectContaining({ name: "BadInput" }));
      }),
    );
  });

  it("climbs from an older version step by step", () => {
    const steps = {
      1: (d: Record<string, unknown>) => ({ ...d, a: 1 }),
      2: (d: Record<string, unknown>) => ({ ...d, b: d.a }),
    };
    expect(upgrade({ format: "zanvo-scene", version: 1 }, 3, steps)).toEqual({
      format: "zanvo-scene",
      version: 3,
      a: 1,
      b: 1,
    });
  });
});
