import type { Element } from "./kinds";

/** What follows from an element, worked out once for one that can no longer change. */
export function remembered<T>(work: (element: Element) => T): (element: Element) => T {
  const known = new WeakMap<Element, T>();
  return (element) => {
    if (!Object.isFrozen(element)) return work(element);
    let value = known.get(element);
    if (value === undefined) known.set(element, (value = work(element)));
    return value;
  };
}
