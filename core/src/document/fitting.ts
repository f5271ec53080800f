import type { ValidateFunction } from "ajv";
import { BadInput } from "../problem";
import { validationErrorOf } from "./validationError";

/** A value that a compiled schema fits, typed. @throws BadInput with the path of the first field that does not fit */
export function fitting<T>(fits: ValidateFunction<T>, value: unknown): T {
  if (fits(value)) return value;
  throw new BadInput((fits.errors ?? []).slice(0, 1).map(validationErrorOf));
}
