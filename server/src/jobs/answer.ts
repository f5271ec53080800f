import type { Told } from "@zanvo/core/units";
import { BadInput, NoAnswer, type ValidationError } from "@zanvo/core/problem";

/** What a thread hands back: errors that a person can cause cross over as values, since classes do not. */
export type Answer<T> =
  { readonly value: T } | { readonly errors: readonly ValidationError[] } | { readonly without: Told };

/** Runs a piece of work in a thread. */
export async function answer<T>(work: () => T | Promise<T>): Promise<Answer<T>> {
  try {
    return { value: await work() };
  } catch (error) {
    if (error instanceof BadInput) return { errors: error.errors };
    if (error instanceof NoAnswer) return { without: error.told };
    throw error;
  }
}

/** What a thread found. @throws BadInput or NoAnswer, as the thread did */
export function found<T>(given: Answer<T>): T {
  if ("errors" in given) throw new BadInput(given.errors);
  if ("without" in given) throw new NoAnswer(given.without);
  return given.value;
}
