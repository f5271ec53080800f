import { readFileSync } from "node:fs";
import { readFont, typeset } from "@zanvo/core/typesetting";
import { FIRST_LETTERS } from "../board/fittings/things/firstLetters";
import { createLettering } from "./createLettering";
import { TYPEFACES } from "./typefaces";

/** Lettering with the fonts that ship, and what was fetched for it. */
function withFonts(fails: (url: string) => boolean = () => false) {
  const fetched: string[] = [];
  const lettering = createLettering({
    setting: () => Promise.resolve({ readFont, typeset }),
    fetchFont: (url) => {
      fetched.push(url);
      return fails(url)
        ? Promise.reject(new Error("The font could not be fetched."))
        : Promise.resolve(readFileSync(url));
    },
  });
  return { lettering, fetched };
}

describe("the lettering of signs", () => {
  it("sets every typeface that ships, in every script that some of them have", async () => {
    const { lettering, fetched } = withFonts();
    for (const typeface of Object.keys(TYPEFACES)) {
      const { letters, missing } = await lettering.setLine("Łódź Net Привет שלום سلام", typeface);
      expect(missing).toEqual([]);
      expect(letters.length).toBeGreaterThan(18);
    }
    // Each file is fetched once.
    expect(new Set(fetched).size).toBe(fetched.length);
  });

  it("has the first letters of a sign as they are set", async () => {
    const { lettering } = withFonts();
    const { letters, width, small } = await lettering.setLine(FIRST_LETTERS.text, FIRST_LETTERS.typeface);
    expect({ letters, width, small }).toEqual({
      letters: FIRST_LETTERS.letters,
      width: FIRST_LETTERS.line,
      small: FIRST_LETTERS.small,
    });
  });

  it("takes a font of one's own, which stays in the window, and what it lacks from those that ship", async () => {
    const { lettering } = withFonts();
    const bytes = readFileSync("node_modules/@fontsource/lobster/files/lobster-latin-400-normal.woff");
    const name = await lettering.bringFont("own.woff", bytes);
    expect(lettering.useBrought.getState().names).toEqual([name]);
    const { letters } = await lettering.setLine("Aש", name);
    expect(letters[0]).toBe((await lettering.setLine("A", "Lobster, a script")).letters[0]);
    expect(letters).toHaveLength(2);
    await expect(lettering.bringFont("no.ttf", new Uint8Array(50))).rejects.toThrow(/cannot be read as a font/);
    expect(lettering.useBrought.getState().names).toEqual([name]);
  });

  it("asks again for a font that could not be fetched", async () => {
    let broken = true;
    const { lettering } = withFonts(() => broken);
    await expect(lettering.setLine("A", "Alfa Slab")).rejects.toThrow("could not be fetched");
    broken = false;
    expect((await lettering.setLine("A", "Alfa Slab")).letters).toHaveLength(1);
  });
});
