import { validateElement, whyInvalid, type Element } from "@zanvo/core/world";
import type { Told } from "@zanvo/core/units";

/** What places a thing or a part of it: it is typed for one thing at a time. */
const PLACES: ReadonlySet<string> = new Set([
  ...["id", "kind", "name", "footprint", "path", "origin", "foot", "row"],
  ...["courtyards", "doors", "passages", "chimneys", "boxes", "driveways", "crossings", "locks"],
]);

/** Things after a change that was made to the first of them and holds for all. */
export interface Alike<E extends Element> {
  /** Those that have changed. */
  readonly changed: readonly E[];
  /** Those that cannot be so, and why. */
  readonly kept: readonly { readonly name: string; readonly why: Told }[];
  /** Whether the change placed something, which does not hold for others. */
  readonly placed: boolean;
}

/**
 * Carries a change of the first of some things over to all of them: what has changed of it is the same of each, but for
 * where they are and where their parts are.
 * @param next the first one, changed
 */
export function alike<E extends Element>(things: readonly E[], next: E): Alike<E> {
  const [first] = things;
  const keys = [...new Set([...Object.keys(first), ...Object.keys(next)])] as (keyof E & string)[];
  const differing = keys.filter((key) => JSON.stringify(first[key]) !== JSON.stringify(next[key]));
  const carried = differing.filter((key) => !PLACES.has(key));
  const values = Object.fromEntries(carried.map((key) => [key, next[key]]));
  const after = carried.length ? things.map((one): E => ({ ...one, ...values })) : [];
  const found = after.map((one) => ({ one, invalid: validateElement(one) }));
  return {
    changed: found.flatMap(({ one, invalid }) => (invalid ? [] : [one])),
    kept: found.flatMap(({ one, invalid }) => (invalid ? [{ name: one.name, why: whyInvalid(invalid) }] : [])),
    placed: differing.length > carried.length,
  };
}
