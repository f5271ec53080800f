import { inFeet, inInches, type System } from "./system";

/**
 * A length in a sentence, or several that are read together (420 × 297 mm): in mm on paper, in m in the world; or an
 * area of the world.
 */
export interface Length {
  readonly unit: "mm" | "m" | "m²";
  readonly values: readonly number[];
  /** Each value as it is written in its unit. */
  readonly written: readonly string[];
  /** What stands between several values. */
  readonly between?: " × " | " to ";
}

/** A sentence whose lengths are values: it is put into words for a person who measures in one system or the other. */
export type Sentence = readonly (string | Length)[];

/** What can be told: words, a length, or a sentence of both. */
export type Told = string | Length | Sentence;

/** A length on paper, in mm, to so many decimals without trailing noughts. */
export const mm = (value: number, digits = 1): Length => ({
  unit: "mm",
  values: [value],
  written: [String(Number(value.toFixed(digits)))],
});

/** An area in the world, in m^2, to so many decimals. */
export const squareMetres = (value: number, digits = 1): Length => ({
  unit: "m²",
  values: [value],
  written: [value.toFixed(digits)],
});

/** A length in the world, in m, to so many decimals. */
export const metres = (value: number, digits = 2): Length => ({
  unit: "m",
  values: [value],
  written: [value.toFixed(digits)],
});

/** A length in the world, in m, to so many decimals without trailing noughts. */
export const shortMetres = (value: number, digits = 1): Length => ({
  unit: "m",
  values: [value],
  written: [String(Number(value.toFixed(digits)))],
});

/** A size on paper, in mm. */
export const sizeInMm = (width: number, height: number): Length => ({
  unit: "mm",
  values: [width, height],
  written: [width, height].map((value) => String(Number(value.toFixed(1)))),
  between: " × ",
});

/** From one length in the world to another, in m. */
export const metresBetween = (least: number, most: number, digits = 2): Length => ({
  unit: "m",
  values: [least, most],
  written: [least, most].map((value) => value.toFixed(digits)),
  between: " to ",
});

const isSentence = (told: Told | number): told is Sentence => Array.isArray(told);

/**
 * A sentence from a template, whose values may be words, numbers, lengths and other sentences. The template may run
 * over several lines: a line break and what indents the next line are one space.
 */
export const sentence = (words: TemplateStringsArray, ...values: readonly (Told | number)[]): Sentence =>
  words.flatMap((part, i): Sentence => {
    const word = part.replace(/\n +/g, " ");
    const value = values[i];
    if (value === undefined) return [word];
    if (typeof value === "number") return [word, String(value)];
    return isSentence(value) ? [word, ...value] : [word, value];
  });

/** Sentences one after the other. */
export const listed = (sentences: readonly Told[], between: string): Sentence =>
  sentences.flatMap((one, i) => sentence`${i === 0 ? "" : between}${one}`);

/** A square foot, m^2: an inch is 25.4 mm. */
const SQUARE_FOOT = 0.3048 ** 2;

function lengthIn({ unit, values, written, between = " to " }: Length, system: System): string {
  if (system === "metric") return `${written.join(between)} ${unit}`;
  if (unit === "m²") return `${values.map((value) => (value / SQUARE_FOOT).toFixed(0)).join(between)} sq ft`;
  return unit === "mm" ? `${values.map(inInches).join(between)}"` : values.map(inFeet).join(between);
}

/** What is told, in the words of a person who measures in a system. */
export function inSystem(told: Told, system: System): string {
  if (typeof told === "string") return told;
  return isSentence(told)
    ? told.map((part) => (typeof part === "string" ? part : lengthIn(part, system))).join("")
    : lengthIn(told, system);
}

/** What is told, in millimetres and metres. */
export const inMetric = (told: Told): string => inSystem(told, "metric");
