import { buildBlock } from "./block";
import { buildBuilding, faultOf } from "./building";
import type { Element } from "./schemas";
import type { Solid } from "./solid";
import { buildSteps } from "./steps";
import { buildStreet, streetDetails, streetFault, type Detail } from "./street";

export * from "./block";
export * from "./box";
export * from "./building";
export * from "./fields";
export * from "./polygon";
export * from "./roofs";
export * from "./row";
export * from "./schemas";
export * from "./solid";
export * from "./steps";
export * from "./street";

/** A kind of element: what it is built to, what is drawn on it, and why one cannot be built, with the field. */
interface Kind<E> {
  readonly build: (element: E) => Solid[];
  readonly details?: (element: E) => Detail[];
  readonly fault?: (element: E) => { readonly field: string; readonly message: string } | null;
}

/** Every kind of element. A new kind is one file, a line here, and a schema among `SCHEMAS` and `Element`. */
export const KINDS: { readonly [K in Element["kind"]]: Kind<Extract<Element, { kind: K }>> } = {
  block: { build: (element) => [buildBlock(element)] },
  building: { build: buildBuilding, fault: faultOf },
  steps: { build: buildSteps },
  street: { build: buildStreet, details: streetDetails, fault: streetFault },
};

const kindOf = <K extends Element["kind"]>(element: Extract<Element, { kind: K }>): Kind<Extract<Element, { kind: K }>> => KINDS[element.kind as K];

/** The solids of elements, in their order; of those that are hidden, none. */
export function build(elements: readonly Element[]): Solid[] {
  return elements.flatMap((element) => (element.hidden ? [] : kindOf(element).build(element)));
}

/**
 * A builder that keeps what it built: elements that come again as they were have the same solids again, so that what is known
 * of them still holds.
 */
export function keptBuild(): (elements: readonly Element[]) => Solid[] {
  let kept = new Map<string, { readonly as: string; readonly solids: readonly Solid[] }>();
  return (elements) => {
    const next: typeof kept = new Map();
    const solids = elements.flatMap((element) => {
      const as = JSON.stringify(element);
      const before = kept.get(element.id);
      const one = before?.as === as ? before : { as, solids: build([element]) };
      next.set(element.id, one);
      return one.solids;
    });
    kept = next;
    return solids;
  };
}

/** What is drawn on the surfaces of elements. */
export function detailsOf(elements: readonly Element[]): Detail[] {
  return elements.flatMap((element) => (element.hidden ? [] : kindOf(element).details?.(element) ?? []));
}

/** Why an element cannot be built, and the field; null where it can. */
export const elementFault = (element: Element) => kindOf(element).fault?.(element) ?? null;
