import type { Detail } from "./details";
import { groundAround } from "./ground";
import { kindOf, type Element } from "./kinds";
import type { Solid } from "./solid";

/** What elements are built to: solids, and what is drawn on them and on the ground. */
export interface Built {
  readonly solids: readonly Solid[];
  readonly details: readonly Detail[];
}

function builtOne(element: Element): Built {
  if (element.hidden) return { solids: [], details: [] };
  const kind = kindOf(element);
  const solids = kind.build(element);
  return { solids, details: kind.details?.(element, solids) ?? [] };
}

/** The solids of elements, in their order; of those that are hidden, none. */
export const build = (elements: readonly Element[]): Solid[] =>
  elements.flatMap((element) => (element.hidden ? [] : kindOf(element).build(element)));

/** A world as the eye looks at it: elements as they are built, on the ground that is around what is dug. */
export const built = (elements: readonly Element[]): Built => buildCache()(elements);

/**
 * A builder that keeps what it built: elements that come again as they were have the same solids again, so that what is
 * known of them still holds.
 */
export function buildCache(): (elements: readonly Element[]) => Built {
  let kept = new Map<string, { readonly as: string; readonly built: Built }>();
  let ground = { as: "", solids: [] as readonly Solid[] };
  return (elements) => {
    const next: typeof kept = new Map();
    const parts = elements.map((element) => {
      const as = JSON.stringify(element);
      const before = kept.get(element.id);
      const one = before?.as === as ? before : { as, built: builtOne(element) };
      next.set(element.id, one);
      return one;
    });
    kept = next;
    const dug = elements.flatMap((element, i) => (kindOf(element).dug ? [parts[i].as] : [])).join();
    if (dug !== ground.as) ground = { as: dug, solids: groundAround(elements) };
    return {
      solids: [...parts.flatMap(({ built: { solids } }) => solids), ...ground.solids],
      details: parts.flatMap(({ built: { details } }) => details),
    };
  };
}
