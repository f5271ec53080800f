import type { Stores } from "../src/stores";
import { createStores } from "../src/stores/createStores";
import type { Block } from "@zanvo/core/world";
import fc from "fast-check";
import type { Memory } from "../src/remembered";

/** A place to keep texts in, for tests. */
export function keptInMemory(kept: Readonly<Record<string, string>> = {}): Memory {
  const texts = new Map(Object.entries(kept));
  return {
    get: (key) => texts.get(key) ?? null,
    set: (key, text) => void texts.set(key, text),
    remove: (key) => void texts.delete(key),
  };
}

/** A block of six metres by five by nine, its corner at a place of the plan. */
export const block = (id: string, x = 0, y = 9): Block => ({
  id,
  kind: "block",
  name: id,
  origin: { x, y, z: 0 },
  heading: 0,
  length: 6,
  width: 5,
  height: 9,
});

/** Some blocks here and there. */
export const anyBlocks: fc.Arbitrary<readonly Block[]> = fc
  .array(fc.tuple(fc.integer({ min: -40, max: 40 }), fc.integer({ min: -40, max: 40 })), { maxLength: 8 })
  .map((places) => places.map(([x, y], i) => block(`b${i}`, x, y)));

/** The stores of a window that nobody has opened before, on a table without light. */
export const newStores = (): Stores =>
  createStores({
    memory: { visits: keptInMemory(), tab: keptInMemory() },
    prefersDark: () => false,
    light: () => undefined,
  });
