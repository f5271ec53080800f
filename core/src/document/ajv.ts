import { Ajv, type Options } from "ajv";

/**
 * How schemas are compiled. The code is not optimised, which made checking no faster where it was measured, and takes half
 * of the time; the schemas themselves are checked by a test.
 */
export const AJV_OPTIONS: Options = {
  allErrors: false, discriminator: true, strict: true, strictTypes: false, strictRequired: false, validateSchema: false, code: { optimize: false },
};

export const ajv = new Ajv(AJV_OPTIONS);
