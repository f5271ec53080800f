import { BadInput, NoAnswer, type Fault } from "@zanvo/core/problem";

/** What a thread hands back: errors that a person can cause cross over as values, since classes do not. */
export type Answer<T> = { readonly value: T } | { readonly faults: readonly Fault[] } | { readonly without: string };

/** Runs a piece of work in a thread. */
export async function answer<T>(work: () => T | Promise<T>): Promise<Answer<T>> {
  try {
    return { value: await work() };
  } catch (error) {
    if (error instanceof BadInput) return { faults: error.faults };
    if (error instanceof NoAnswer) return { without: error.message };
    throw error;
  }
}

/** What a thread found. @throws BadInput or NoAnswer, as the thread did */
export function found<T>(given: Answer<T>): T {
  if ("faults" in given) throw new BadInput(given.faults);
  if ("without" in given) throw new NoAnswer(given.without);
  return given.value;
}
