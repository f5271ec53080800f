import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { fromStretch } from "../geometry";
import { contoursOf } from "../glyphs";
import { BadInput } from "../problem";
import { readFont, typeset } from ".";

const FONTS = "node_modules/@fontsource";
const file = (family: string, subset: string, weight = 400) =>
  join(FONTS, family, "files", `${family}-${subset}-${weight}-normal.woff`);
const face = (path: string) => readFont(readFileSync(path));

interface Shaped {
  readonly path: string;
  readonly xAdvance: number;
  readonly xOffset: number;
  readonly yOffset: number;
}

/** What HarfBuzz makes of a text: its glyphs with an outline, scaled to thousandths of a capital, as contours. */
function byHarfBuzz(path: string, text: string, way: "ltr" | "rtl") {
  const out = execFileSync("node", ["core/testing/harfbuzz.mjs", path, text, way], { encoding: "utf8" });
  const glyphs = JSON.parse(out) as readonly Shaped[];
  const scale = 1000 / face(path).capital;
  let x = 0;
  const letters: string[] = [];
  for (const { path: outline, xAdvance, xOffset, yOffset } of glyphs) {
    const moved = outline.replace(/(-?[\d.]+)[ ,]+(-?[\d.]+)/g, (_, u: string, v: string) => {
      const [px, py] = [scale * (Number(u) + x + xOffset), scale * (Number(v) + yOffset)];
      return `${px.toFixed(3)} ${py.toFixed(3)} `;
    });
    if (moved) letters.push(moved.replace(/,/g, " ").replace(/\s+/g, " "));
    x += xAdvance;
  }
  return { letters, width: scale * x };
}

/** How far one outline strays from another: the greatest way from a place of it to the other's sides. */
function apart(one: string, other: string): number {
  const sides = contoursOf(other, 0.3).flatMap((ring) => ring.map((p, i) => [p, ring[(i + 1) % ring.length]] as const));
  const places = contoursOf(one, 2).flat();
  return Math.max(...places.map((at) => Math.min(...sides.map(([p, q]) => fromStretch(at, p, q)))));
}

describe("a line of letters", () => {
  it.each([
    ["rubik", "latin", 600, "NET LOFT AV To", "ltr"],
    ["oswald", "latin", 600, "Wave & Tyne", "ltr"],
    ["lobster", "latin", 400, "The Lantern", "ltr"],
    ["playfair-display", "latin", 700, "Offices, fjord", "ltr"],
    ["rubik", "hebrew", 600, "שלום", "rtl"],
    ["rubik", "arabic", 600, "سلام", "rtl"],
  ] as const)("of %s %s %i is set as HarfBuzz sets it: %s", (family, subset, weight, text, way) => {
    const path = file(family, subset, weight);
    const ours = typeset(text, [face(path)]);
    const theirs = byHarfBuzz(path, text, way);
    expect(ours.missing).toEqual([]);
    expect(Math.abs(ours.width - theirs.width)).toBeLessThan(2);
    expect(ours.letters).toHaveLength(theirs.letters.length);
    // Within what rounding to thousandths of a capital's height leaves.
    ours.letters.forEach((letter, i) => expect(apart(letter, theirs.letters[i])).toBeLessThan(1.5));
  });

  it("is kerned: a pair that leans into each other stands closer than its letters by themselves", () => {
    const faces = [face(file("rubik", "latin", 600))];
    const width = (text: string) => typeset(text, faces).width;
    expect(width("AV")).toBeLessThan(width("A") + width("V") - 20);
  });

  it("takes accents from the typeface that has them, composed or not", () => {
    const faces = [face(file("rubik", "latin", 600)), face(file("rubik", "latin-ext", 600))];
    const composed = typeset("Café Łódź", faces);
    expect(composed.missing).toEqual([]);
    expect(typeset("Cafe\u0301 Ło\u0301dz\u0301", faces)).toEqual(composed);
  });

  it("reads the other way where its script does, with numbers and brackets as they are read (UAX 9)", () => {
    const faces = [face(file("rubik", "latin", 600)), face(file("rubik", "hebrew", 600))];
    const left = (outline: string) =>
      Math.min(
        ...contoursOf(outline)
          .flat()
          .map(([x]) => x),
      );
    // Digits within run to the right and stand to the left of what they follow.
    const { letters } = typeset("אב 12", faces);
    const [one, two] = [typeset("1", faces), typeset("2", faces)].map(
      ({ letters: [of] }) => of.replace(/[\d.-]+/g, "").length,
    );
    expect(letters.map(left)).toEqual([...letters.map(left)].sort((a, b) => a - b));
    expect(letters.slice(0, 2).map((of) => of.replace(/[\d.-]+/g, "").length)).toEqual([one, two]);
  });

  it("names characters that no typeface has, and sets the rest", () => {
    const { letters, missing } = typeset("A漢字B漢", [face(file("rubik", "latin", 600))]);
    expect(missing).toEqual(["漢", "字"]);
    expect(letters).toHaveLength(2);
  });

  it("refuses broken and huge fonts, and texts that are too long, with a sentence", () => {
    expect(() => readFont(new Uint8Array(100))).toThrow(BadInput);
    expect(() => readFont(new TextEncoder().encode("wOFF and no more"))).toThrow(/cannot be read as a font/);
    const cut = readFileSync(file("rubik", "latin", 600)).subarray(0, 900);
    expect(() => typeset("A", [readFont(cut)])).toThrow(BadInput);
    expect(() => readFont(new Uint8Array(20_000_001))).toThrow(/larger than 20 MB/);
    expect(() => typeset("x".repeat(10_000), [face(file("rubik", "latin", 600))])).toThrow(/10000 characters/);
  });
});
