import { buildCuttings, isTangled, meeting } from "./cuttings";
import type { Detail } from "./details";
import { groundAround } from "./ground";
import { kindOf, type Element } from "./kinds";
import { buildPaving } from "./paving";
import type { Solid } from "./solid";

/** What elements are built to: solids, and what is drawn on them and on the ground. */
export interface Built {
  readonly solids: readonly Solid[];
  readonly details: readonly Detail[];
}

/** Some elements that are built as one: a single one, or cuttings that join or cross. */
type Unit = readonly Element[];

const cuttingOf = (element: Element) => (element.hidden ? null : (kindOf(element).cutting?.(element) ?? null));

/** Elements in the units that they are built as; a unit stands where its first element does. */
function unitsOf(elements: readonly Element[]): readonly Unit[] {
  const dug = elements.flatMap((element) => {
    const cutting = cuttingOf(element);
    return cutting ? [{ element, cutting }] : [];
  });
  const joined = meeting(dug).filter((group) => group.length > 1);
  const unit = new Map(joined.flatMap((group) => group.map(({ element }) => [element, group] as const)));
  return elements.flatMap((element) => {
    const group = unit.get(element);
    return !group ? [[element]] : group[0].element === element ? [group.map((one) => one.element)] : [];
  });
}

function builtUnit(unit: Unit): Built {
  const cuttings = unit.flatMap((element) => cuttingOf(element) ?? []);
  if (cuttings.length > 1 || cuttings.some(isTangled))
    return {
      solids: [...buildCuttings(unit[0].id, cuttings), ...cuttings.flatMap(({ standing }) => standing())],
      details: [],
    };
  const [element] = unit;
  if (element.hidden) return { solids: [], details: [] };
  const kind = kindOf(element);
  const paving = kind.paving?.(element);
  const solids = [...(paving ? buildPaving(element.id, paving) : []), ...kind.build(element)];
  return { solids, details: kind.details?.(element, solids) ?? [] };
}

/** The solids of elements, each by itself, in their order; of those that are hidden, none. */
export const build = (elements: readonly Element[]): Solid[] =>
  elements.flatMap((element) => builtUnit([element]).solids);

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
    const parts = unitsOf(elements).map((unit) => {
      const as = JSON.stringify(unit);
      const before = kept.get(unit[0].id);
      const one = before?.as === as ? before : { as, built: builtUnit(unit) };
      next.set(unit[0].id, one);
      return { ...one, dug: kindOf(unit[0]).cutting !== undefined };
    });
    kept = next;
    const dug = parts.flatMap((part) => (part.dug ? [part.as] : [])).join();
    if (dug !== ground.as) ground = { as: dug, solids: groundAround(elements) };
    return {
      solids: ([] as Solid[]).concat(...parts.map(({ built: { solids } }) => solids), ground.solids),
      details: ([] as Detail[]).concat(...parts.map(({ built: { details } }) => details)),
    };
  };
}
