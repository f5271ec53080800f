import { boxOf, moved, type Element } from "@zanvo/core/world";

/** What things are called that are carried from one scene to another, as plain text. */
const FORMAT = "zanvo-things";
/** Where the same stands already, copies stand so far beside it, m. */
const BESIDE = 2;

/** Things as text that another scene takes. */
export const carried = (things: readonly Element[]): string => JSON.stringify({ format: FORMAT, elements: things });

/** Whether a text may hold things of a scene: a quick look at it. */
export const mayCarry = (text: string): boolean => text.includes(FORMAT);

/**
 * The things in a text that was copied from a scene; whether they can stand is not looked at.
 * @throws Error with a sentence where they are none
 */
export function thingsIn(text: string): readonly Element[] {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    value = null;
  }
  const { format, elements } = (value ?? {}) as { readonly format?: unknown; readonly elements?: unknown };
  if (format !== FORMAT || !Array.isArray(elements)) throw new Error("What was copied last is not part of a scene.");
  return elements as readonly Element[];
}

/** Things moved aside, step by step, until none lies on one of its kind. */
export function beside(things: readonly Element[], elements: readonly Element[]): readonly Element[] {
  const place = (one: Element) =>
    `${one.kind} ${Object.values(boxOf(one).origin)
      .map((v) => v.toFixed(3))
      .join(" ")}`;
  const taken = new Set(elements.map(place));
  let put = things;
  while (put.some((one) => taken.has(place(one)))) put = put.map((one) => moved(one, BESIDE, -BESIDE));
  return put;
}
