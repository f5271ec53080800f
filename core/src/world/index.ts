import { buildBlock } from "./block";
import { bridgeFault, buildBridge } from "./bridge";
import { buildBuilding, faultOf } from "./building";
import { buildCanal, canalFault } from "./canal";
import { groundAround } from "./ground";
import { openingsOf } from "./openings";
import type { Element } from "../schema";
import { buildSkyline, skylineFault } from "./skyline";
import type { Detail, Solid } from "./solid";
import { buildSquare, squareDetails, squareFault } from "./square";
import { buildSteps } from "./steps";
import { buildStreet, streetDetails, streetFault } from "./street";

export type { Block, Bridge, Building, Canal, Element, Row, Skyline, Square, Steps, Street } from "../schema";
export * from "./block";
export * from "./box";
export * from "./bridge";
export * from "./building";
export * from "./canal";
export { wayOf, type Way } from "./foot";
export * from "./openings";
export * from "./outline";
export * from "./path";
export * from "./polygon";
export * from "./roofs";
export * from "./row";
export * from "./skyline";
export * from "./solid";
export * from "./square";
export * from "./steps";
export * from "./street";

/**
 * A kind of element: what it is built to, what is drawn on that and on the ground, and why one cannot be built, with
 * the field.
 */
interface Kind<E> {
  readonly build: (element: E) => Solid[];
  readonly details?: (element: E, solids: readonly Solid[]) => Detail[];
  readonly fault?: (element: E) => { readonly field: string; readonly message: string } | null;
}

/**
 * Every kind of element. A new kind is one file, a line here and in `box.ts`, and a schema among `SCHEMAS` and
 * `Element`.
 */
export const KINDS: { readonly [K in Element["kind"]]: Kind<Extract<Element, { kind: K }>> } = {
  block: { build: (element) => [buildBlock(element)] },
  building: { build: buildBuilding, details: openingsOf, fault: faultOf },
  steps: { build: buildSteps },
  street: { build: buildStreet, details: streetDetails, fault: streetFault },
  canal: { build: buildCanal, fault: canalFault },
  bridge: { build: buildBridge, fault: bridgeFault },
  square: { build: buildSquare, details: squareDetails, fault: squareFault },
  skyline: { build: buildSkyline, fault: skylineFault },
};

const kindOf = <K extends Element["kind"]>(
  element: Extract<Element, { kind: K }>,
): Kind<Extract<Element, { kind: K }>> => KINDS[element.kind as K];

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
export const built = (elements: readonly Element[]): Built => keptBuild()(elements);

/**
 * A builder that keeps what it built: elements that come again as they were have the same solids again, so that what
 * is known
 * of them still holds.
 */
export function keptBuild(): (elements: readonly Element[]) => Built {
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
    const dug = elements.flatMap(({ kind }, i) => (kind === "canal" ? [parts[i].as] : [])).join();
    if (dug !== ground.as) ground = { as: dug, solids: groundAround(elements) };
    return {
      solids: [...parts.flatMap(({ built: { solids } }) => solids), ...ground.solids],
      details: parts.flatMap(({ built: { details } }) => details),
    };
  };
}

/** Why an element cannot be built, and the field; null where it can. */
export const elementFault = (element: Element) => kindOf(element).fault?.(element) ?? null;
