import { Ajv, type Options } from "ajv";

/**
 * How schemas are compiled where that is done at call: not optimised, which takes half of the time, while checking 2 MB
 * takes 52 ms instead of 37 (measured). Programs are built with optimised code. The schemas themselves are checked by a
 * test.
 */
export const AJV_OPTIONS: Options = {
  allErrors: false,
  discriminator: true,
  strict: true,
  // What a number counts in: read by other code, and no rule of its own.
  keywords: ["unit", "offered", "turns", "elevation"],
  strictTypes: false,
  strictRequired: false,
  validateSchema: false,
  code: { optimize: false },
};

export const ajv = new Ajv(AJV_OPTIONS);
