import { readFileSync } from "node:fs";
import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { distance2, type Vec2 } from "../geometry";
import { contoursOf } from "../glyphs";
import { readFont, typeset } from "../typesetting";
import { inMetric } from "../units";
import { areaTwice, built, kindOf, newSign, outlineOf, validateElement, volumeOf, type Sign } from ".";

const face = readFont(readFileSync("node_modules/@fontsource/rubik/files/rubik-latin-600-normal.woff"));
const set = (text: string) => {
  const { letters, width: line, small } = typeset(text, [face]);
  return { text, typeface: "Rubik", letters: [...letters], line, small };
};
const sign = (change: Partial<Sign> = {}): Sign => ({
  ...newSign({ ...set("B&A8"), at: { x: 2, y: 3, z: 2.4 }, heading: 180, capital: 0.3 }),
  id: "sign",
  name: "Net loft",
  ...change,
});
const board = { width: 3, height: 0.6, depth: 0.05 };

describe("a sign", () => {
  it("has letters that are closed solids with their counters open, whatever its measures", () => {
    // The area of letters as their contours have it: counters run the other way round.
    const area = (one: Sign) =>
      one.letters.reduce((sum, outline) => {
        const rings = contoursOf(outline);
        return sum + Math.abs(rings.reduce((all, ring) => all + areaTwice(ring), 0)) / 2;
      }, 0);
    fc.assert(
      fc.property(
        between(0.05, 3),
        between(0.01, 0.5),
        between(0, 360),
        fc.boolean(),
        fc.boolean(),
        fc.boolean(),
        (capital, raised, heading, stacked, mirrored, both) => {
          const one = sign({ capital, raised, heading, stacked, mirrored, both, board: both ? board : undefined });
          const letters = built([one]).solids.filter(({ part }) => part === "letter");
          for (const solid of letters) {
            // B has two counters, & and 8 have two, A one: each a hole right through.
            const holes = solid.faces.reduce((sum, { holes: of = [] }) => sum + of.length, 0) / 2;
            expect(whyOpen(solid, holes)).toBeNull();
          }
          const whole = letters.reduce((sum, solid) => sum + volumeOf(solid), 0);
          const wanted = (both ? 2 : 1) * area(one) * (capital / 1000) ** 2 * raised;
          expect(Math.abs(whole / wanted - 1)).toBeLessThan(1e-4);
        },
      ),
      { numRuns: 40, seed: 6 },
    );
  });

  it("reads from left to right for who stands before it, and mirrored from behind", () => {
    // It faces south: who reads it has east on the right.
    const order = (change: Partial<Sign>) => {
      const { details } = built([sign(change)]);
      // B is drawn first, 8 last.
      return Math.sign(details[details.length - 1].a[0] - details[0].a[0]);
    };
    expect([order({}), order({ mirrored: true }), order({ heading: 0 })]).toEqual([1, -1, -1]);
    const { details } = built([sign()]);
    const heights = details.map(({ a }) => a[2]);
    expect(Math.max(...heights) - 2.4).toBeCloseTo(0.3, 1);
    expect(details.every(({ a }) => a[1] < 3)).toBe(true);
  });

  it("has the same letters on both sides of a board, each read from its own", () => {
    const { details, solids } = built([sign({ board, both: true })]);
    const [own] = solids;
    const on = (name: string) => details.filter((one) => one.on && own.faces[one.on.face].name === name);
    expect([on("top").length, on("bottom").length]).toEqual([details.length / 2, details.length / 2]);
    const middle = (some: typeof details) => some.reduce((sum, { a }) => sum + a[0], 0) / some.length - 2;
    expect(middle(on("top"))).toBeCloseTo(-middle(on("bottom")), 9);
    expect(on("top").every(({ a }) => Math.abs(a[1] - 2.95) < 1e-9)).toBe(true);
  });

  it("draws the lines that its letters stand on and reach up to, and their boxes", () => {
    const guides = built([sign({ guides: true })]).details.filter(({ kind }) => kind === "guide");
    const level = [
      ...new Set(guides.slice(0, 3).map(({ a, b }) => [a[2] - 2.4, b[2] - 2.4].map((z) => z.toFixed(6)).join())),
    ];
    const small = ((0.3 * sign().small) / 1000).toFixed(6);
    expect(level).toEqual(["0.000000,0.000000", `${small},${small}`, "0.300000,0.300000"]);
    expect(guides).toHaveLength(3 + 4 * 4);
  });

  it("is kerned and scaled as its typeface is: a capital is as high as is said", () => {
    const [contour] = contoursOf(set("H").letters[0], 1);
    expect(Math.max(...contour.map(([, y]) => y))).toBe(1000);
  });

  it("tells of letters that reach over their board, and takes no more of the plan than it is deep", () => {
    const told = (one: Sign) => kindOf(one).oddities!(one).map(({ told: of }) => inMetric(of));
    expect(told(sign({ board }))).toEqual([]);
    expect(told(sign({ board: { ...board, width: 0.5 } }))[0]).toMatch(
      /^The letters of Net loft reach over its board by 0\.\d\d m\.$/,
    );
    const [a, b, c]: readonly Vec2[] = outlineOf(sign({ board, raised: 0.04 }));
    expect(distance2(a, b)).toBeCloseTo(0.09, 9);
    expect(distance2(b, c)).toBeCloseTo(3, 9);
  });

  it("refuses outlines that are none", () => {
    expect(() => contoursOf("M0 0L1")).toThrow(RangeError);
    expect(() => contoursOf("M0 0Q1 1 2")).toThrow(RangeError);
    expect(contoursOf("")).toEqual([]);
    // In a file, they are told, and nothing is drawn of them.
    const torn = sign({ letters: ["M0 0L1", "L5 5Z", "M0 0L9 0L9 9Z"] });
    expect(validateElement(torn)).toEqual({
      field: "letters/0",
      message: "cannot be read as the outline of a letter.",
    });
    expect(built([torn]).details).toHaveLength(3);
    // A quarter of a circle by a cubic, to a tolerance: its chords stay within it.
    const [arc] = contoursOf("M1000 0C1000 552.285 552.285 1000 0 1000L0 0Z", 1);
    const off = arc.slice(0, -1).map(([x, y]) => Math.abs(Math.hypot(x, y) - 1000));
    expect(Math.max(...off)).toBeLessThan(1);
  });
});
