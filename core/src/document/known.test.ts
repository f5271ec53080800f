import fc from "fast-check";
import { newScene, type Scene } from "../scene";
import { block } from "../../testing";
import { knownDocuments, readDocument } from ".";
import { commonEnd, commonStart, endOfString, isDeeper, placesOfElements } from "./split";

const encode = (text: string) => new TextEncoder().encode(text);
const decode = (bytes: Uint8Array) => new TextDecoder().decode(bytes);
const scene = (count: number, from = 0): Scene => ({
  ...newScene("Quäy"),
  elements: Array.from({ length: count }, (_, i) => block(`b${from + i}`, i, 14, 18, 9, 7.5, 32)),
});
const json = (value: unknown, indent = 0) => encode(JSON.stringify(value, null, indent));

describe("the bytes of a document", () => {
  it("have their elements where JSON reads them, whatever stands in them", () => {
    fc.assert(
      fc.property(
        fc.record({ before: fc.json(), elements: fc.array(fc.json()), after: fc.json() }),
        fc.constantFrom(0, 2),
        ({ before, elements, after }, indent) => {
          const whole = {
            "x-before": JSON.parse(before) as unknown,
            elements: elements.map((one) => JSON.parse(one) as unknown),
            "x-after": JSON.parse(after) as unknown,
          };
          const bytes = json(whole, indent);
          const { open, close, starts, ends } = placesOfElements(bytes)!;
          expect(starts.map((start, i) => JSON.parse(decode(bytes.subarray(start, ends[i]))) as unknown)).toEqual(
            whole.elements,
          );
          expect(JSON.parse(decode(bytes.subarray(0, open + 1)) + decode(bytes.subarray(close)))).toEqual({
            ...whole,
            elements: [],
          });
        },
      ),
    );
  });

  it("have strings that end where JSON ends them, and no nesting in them", () => {
    fc.assert(
      fc.property(fc.string({ unit: "binary" }), fc.string(), (word, more) => {
        const bytes = encode(JSON.stringify(word) + JSON.stringify(more));
        expect(endOfString(bytes, 0)).toBe(encode(JSON.stringify(word)).length - 1);
        expect(isDeeper(bytes, 0)).toBe(false);
      }),
    );
  });

  it("have a beginning and an end in common with others, which do not overlap", () => {
    fc.assert(
      fc.property(fc.array(fc.nat(2)), fc.array(fc.nat(2)), (one, other) => {
        const [a, b] = [Uint8Array.from(one), Uint8Array.from(other)];
        const start = commonStart(a, b);
        const end = commonEnd(a, b, start);
        expect(start + end).toBeLessThanOrEqual(Math.min(a.length, b.length));
        expect(one.slice(0, start)).toEqual(other.slice(0, start));
        expect(one.slice(one.length - end)).toEqual(other.slice(other.length - end));
      }),
    );
  });
});

describe("a document that is known", () => {
  it("is checked by what has changed, over many changes, as by a full check", () => {
    const change = fc.record({
      at: fc.nat(60),
      remove: fc.nat(3),
      add: fc.nat(3),
      title: fc.option(fc.string({ unit: "grapheme", maxLength: 20 })),
      shot: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(change, { minLength: 1, maxLength: 12 }),
        fc.nat(4),
        fc.constantFrom(0, 1),
        (changes, count, indent) => {
          const known = knownDocuments();
          let now = scene(count);
          let number = 100;
          known.learn("s", json(now, indent));
          for (const { at, remove, add, title, shot } of changes) {
            const elements = [...now.elements];
            elements.splice(
              at % (elements.length + 1),
              remove,
              ...Array.from({ length: add }, () => block(`b${number++}`, at, 2, 3, 4, 5, 6)),
            );
            // The elements change, or what stands before or after them; what changes on both sides is left to a full
            // check.
            now = title === null ? { ...now, elements } : { ...now, ...(shot ? { "x-after": title } : { title }) };
            const sound = known.check("s", json(now, indent));
            expect(sound).toMatchObject({ elements: now.elements.length, scene: { title: now.title } });
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it("is never taken where a full check refuses it", () => {
    const good = JSON.stringify(scene(4));
    const spoils = [
      "",
      "}",
      "]",
      ",",
      "null",
      "1",
      '"',
      '"b1"',
      "-3",
      "{",
      '"x-a":1,',
      "\\",
      '"elements":[],',
      "[",
      ":",
      '{"id":"b9"},',
      '],"x-b":[',
      '],"x-b":[{},',
      '},{"id":"b7","kind":"block"',
    ];
    fc.assert(
      fc.property(fc.nat(good.length), fc.nat(40), fc.constantFrom(...spoils), (at, cut, spoil) => {
        const known = knownDocuments();
        known.learn("s", encode(good));
        const text = good.slice(0, at) + spoil + good.slice(at + cut);
        let full: Scene | null = null;
        try {
          full = readDocument(text).scene;
        } catch {
          // It is refused.
        }
        const sound = known.check("s", encode(text));
        if (full === null) expect(sound).toBeNull();
        else if (sound) expect([full.title, full.elements.length]).toEqual([sound.scene.title, sound.elements]);
      }),
      { numRuns: 3000 },
    );
  });

  it("is left to a full check where its elements stand twice, however the key is written", () => {
    const scene = { ...newScene("x"), elements: [] };
    const text = new TextDecoder().decode(json(scene));
    for (const key of ["elements", "\\u0065lements"]) {
      const known = knownDocuments();
      known.learn("a", json(scene));
      expect(known.check("a", json({ ...scene, title: "y" }))).not.toBeNull();
      expect(known.check("a", encode(text.replace(/}\s*$/, `,"${key}":[]}`)))).toBeNull();
      const twice = knownDocuments();
      twice.learn("b", encode(text.replace(/}\s*$/, `,"${key}":[]}`)));
      expect(twice.check("b", json(scene))).toBeNull();
    }
  });

  it("is still refused for what only the whole can tell: an id twice, too many steps, nesting too deep", () => {
    const known = knownDocuments();
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
    const flights = (n: number, more: object = {}) =>
      json({
        ...newScene("x"),
        elements: Array.from({ length: n }, (_, i) => ({ ...flight, id: `s${i}`, ...(i === 1 ? more : {}) })),
      });
    const deep = (depth: number) => JSON.parse(`${"[".repeat(depth)}${"]".repeat(depth)}`) as unknown;
    known.learn("a", flights(40));
    expect(known.check("a", flights(39))).toMatchObject({ elements: 39 });
    expect(known.check("a", flights(41))).toBeNull();
    expect(known.check("a", flights(39, { id: "s0" }))).toBeNull();
    expect(known.check("a", flights(39, { "x-deep": deep(61) }))).toMatchObject({ elements: 39 });
    expect(known.check("a", flights(39, { "x-deep": deep(62) }))).toBeNull();
    expect(known.check("b", flights(39))).toBeNull();
  });
});
