import type { BroughtIn } from "@zanvo/core/exchange";
import type { Scene } from "@zanvo/core/scene";
import { kindOf, type Element, type Row } from "@zanvo/core/world";

/**
 * What of a file a scene takes: so many things, and the rules of rows that it does not have. What a rule that it has
 * already laid elsewhere is a thing by itself, so that the rule does not lay it again.
 */
export function takenIn(
  { rows: own = [] }: Pick<Scene, "rows">,
  { elements, rows }: Pick<BroughtIn, "elements" | "rows">,
  most: number,
): { readonly elements: readonly Element[]; readonly rows: readonly Row[] } {
  const known = new Set(own.map(({ id }) => id));
  const isLaid = (element: Element) => known.has(kindOf(element).row?.(element) ?? "");
  return {
    elements: elements
      .slice(0, most)
      .map((element) => (isLaid(element) ? (kindOf(element).alone?.(element) ?? element) : element)),
    rows: rows.filter(({ id }) => !known.has(id)),
  };
}
