import bidiFactory from "bidi-js";
import type { Typeface } from "./font";

/** A stretch of a text in one typeface that reads one way. */
export interface Run {
  readonly text: string;
  readonly face: number;
  readonly rightToLeft: boolean;
}

interface Character {
  readonly text: string;
  readonly at: number;
  /** The number of the typeface that has it; -1 where none has. */
  readonly face: number;
  readonly level: number;
}

const MARK = /^\p{M}$/u;

/** The typeface of each character: the first that has it; marks stay with their letter where they can. */
function faceFor(code: number, isMark: boolean, before: number, faces: readonly Typeface[]): number {
  const has = (n: number) => n >= 0 && faces[n].font.hasGlyphForCodePoint(code);
  return isMark && has(before) ? before : faces.findIndex((_, n) => has(n));
}

/** Runs in the order in which they are seen: rule L2 of the Unicode bidirectional algorithm (UAX 9). */
function inSight<T extends { readonly level: number }>(runs: readonly T[]): readonly T[] {
  const seen = [...runs];
  for (let level = Math.max(0, ...runs.map((run) => run.level)); level > 0; level--)
    for (let i = 0; i < seen.length; i++) {
      if (seen[i].level < level) continue;
      let end = i;
      while (end + 1 < seen.length && seen[end + 1].level >= level) end++;
      seen.splice(i, end - i + 1, ...seen.slice(i, end + 1).reverse());
      i = end;
    }
  return seen;
}

/**
 * The runs of a text from left to right as they are seen, and the characters that no typeface has, each once.
 * @param faces in the order in which they are asked
 */
export function runsOf(
  text: string,
  faces: readonly Typeface[],
): { readonly runs: readonly Run[]; readonly missing: readonly string[] } {
  const bidi = bidiFactory();
  const { levels } = bidi.getEmbeddingLevels(text);
  const mirrored = bidi.getMirroredCharactersMap(text, levels);
  const characters: Character[] = [];
  let at = 0;
  for (const one of text) {
    const before = characters.at(-1)?.face ?? -1;
    const shown = mirrored.get(at) ?? one;
    const face = faceFor(shown.codePointAt(0)!, MARK.test(one), before, faces);
    characters.push({ text: shown, at, face, level: levels[at] });
    at += one.length;
  }
  const runs: { text: string; face: number; level: number }[] = [];
  for (const { text: one, face, level } of characters) {
    if (face < 0) continue;
    const last = runs.at(-1);
    if (last?.face === face && last.level === level) last.text += one;
    else runs.push({ text: one, face, level });
  }
  return {
    runs: inSight(runs).map(({ text: of, face, level }) => ({ text: of, face, rightToLeft: level % 2 === 1 })),
    missing: [...new Set(characters.filter(({ face, text: one }) => face < 0 && one.trim()).map((one) => one.text))],
  };
}
