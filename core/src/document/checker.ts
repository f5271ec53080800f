import type { TSchema, Static } from "@sinclair/typebox";
import type { ValidateFunction } from "ajv";
import { ajv } from "./ajv";
import { fitting } from "./fitting";

/**
 * A checker for one schema, which is compiled when it is first used.
 * @returns a function that hands a fitting value back, typed
 * @throws BadInput from that function, with the path of the first field that does not fit
 */
export function checker<T extends TSchema>(schema: T): (value: unknown) => Static<T> {
  let compiled: ValidateFunction<Static<T>> | undefined;
  return (value) => fitting((compiled ??= ajv.compile<Static<T>>(schema)), value);
}
