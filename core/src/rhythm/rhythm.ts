import { BadInput } from "../problem";

/** One part of a rhythm: how long it is, beside the others or in metres, and what it is called. */
export interface Part {
  readonly size: number;
  readonly name?: string;
}

/** Not more parts than this can be asked for. */
export const MAX_PARTS = 500;

/** A word of a rhythm, and which it is, from 1. */
interface Word {
  readonly text: string;
  readonly at: number;
}

const wordsOf = (text: string): Word[] =>
  [...text.matchAll(/[(),]|[^\s(),]+/g)].map(([word], i) => ({ text: word, at: i + 1 }));

const refused = (path: string, message: string): BadInput => new BadInput([{ path, message }]);

const REPEAT = /^[x×](\d+)$/i;
const NUMBER = /^[+-]?(\d+([.]\d*)?|[.]\d+)$/;

/** Reads a rhythm word by word. */
class Reader {
  private next = 0;
  constructor(
    private readonly words: readonly Word[],
    private readonly path: string,
  ) {}

  private wrong({ text, at }: Word, why: string): BadInput {
    return refused(this.path, `word ${at}, "${text}", ${why}`);
  }

  /** A group so many times over, as a word such as "x5" has it. */
  private repeated(group: readonly Part[], word: Word): Part[] {
    const times = Number(REPEAT.exec(word.text)?.[1]);
    if (group.length === 0) throw this.wrong(word, "repeats nothing.");
    if (times < 1) throw this.wrong(word, "repeats it no times.");
    if (times * group.length > MAX_PARTS) throw this.wrong(word, `makes more than ${MAX_PARTS} parts.`);
    return Array.from({ length: times }, () => group).flat();
  }

  private take(): Word | undefined {
    return this.words[this.next++];
  }

  /** Parts up to the end, or up to the bracket that closes them. */
  parts(opened?: Word): Part[] {
    const all: Part[] = [];
    let group: Part[] = [];
    let name: Word[] = [];
    const unnamed = () => {
      if (name.length > 0) throw this.wrong(name[0], "has no size after it.");
    };
    for (let word = this.take(); ; word = this.take()) {
      if (!word || word.text === ")" || word.text === ",") {
        unnamed();
        all.push(...group);
        group = [];
        if (!word && opened) throw this.wrong(opened, "is not closed.");
        if (word?.text === ")" && !opened) throw this.wrong(word, "closes nothing.");
        if (!word || word.text === ")") return all;
      } else if (word.text === "(") {
        unnamed();
        group.push(...this.parts(word));
      } else if (REPEAT.test(word.text)) {
        unnamed();
        group = this.repeated(group, word);
      } else if (NUMBER.test(word.text)) {
        const size = Number(word.text);
        if (!(size > 0)) throw this.wrong(word, "is not above nothing.");
        group.push(name.length > 0 ? { size, name: name.map(({ text }) => text).join(" ") } : { size });
        name = [];
      } else name.push(word);
      if (all.length + group.length > MAX_PARTS) throw refused(this.path, `more than ${MAX_PARTS} parts.`);
    }
  }
}

/**
 * The parts of a rhythm that is typed as text. "2 4 2 4 x5" is all of it five times over; "door 1, window 1.4 x3" one
 * door and three windows, since what is repeated begins at the comma before it; "(door 1, window 1.4) x3" three of
 * both.
 * @throws BadInput naming the word that cannot be read, or for more than 500 parts
 */
export function rhythmOf(text: string, path = "rhythm"): Part[] {
  const parts = new Reader(wordsOf(text), path).parts();
  if (parts.length === 0) throw refused(path, 'nothing is in it; type "2 4 2 4 x3".');
  return parts;
}

/**
 * So many equal parts.
 * @throws BadInput where they are no whole number from 1 to 500
 */
export function equalParts(n: number, path = "parts"): Part[] {
  if (!Number.isInteger(n) || n < 1 || n > MAX_PARTS)
    throw refused(path, `${n} is no whole number from 1 to ${MAX_PARTS}.`);
  return Array.from({ length: n }, () => ({ size: 1 }));
}

/** Parts as one types them: a whole number is so many equal ones, anything else a rhythm. @throws BadInput */
export const partsOf = (typed: string | number, path?: string): Part[] => {
  if (typeof typed === "number") return equalParts(typed, path);
  return /^\s*[+-]?\d+\s*$/.test(typed) ? equalParts(Number(typed), path) : rhythmOf(typed, path);
};

/** The rhythm of a row of sizes, as it would be typed. */
export const asRhythm = (sizes: readonly number[], digits = 3): string =>
  sizes.map((size) => String(Number(size.toFixed(digits)))).join(" ");
