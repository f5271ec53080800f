import { visibilityCache } from "@zanvo/core/visibility";
import type { Element } from "@zanvo/core/world";

/** At a picture distance of 500 mm: the usual least gap, and what round faces are exact within, rad. */
const HOW = { leastAngle: 0.8 / 500, within: 0.05 / 500 };

/** Looks at worlds one after the other, as a board does: how long each look takes, ms, and how much is seen. */
export function looking(eye: readonly [number, number, number]) {
  const see = visibilityCache();
  return (elements: readonly Element[]): readonly [ms: number, stretches: number] => {
    const begun = performance.now();
    const parts = see(elements, eye, HOW);
    let part = parts.next();
    while (!part.done) part = parts.next();
    return [performance.now() - begun, part.value.edgeClass.length];
  };
}
