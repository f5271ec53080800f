import type { Vec2 } from "../../geometry";
import { together, type Region } from "../areas";
import { takenBy } from "../cuttings";
import { kindOf, validateElement, type Element } from "../kinds";
import { remembered } from "../remembered";
import {
  facetsOf,
  groundAt,
  heightOn,
  LEVEL,
  terrainFrom,
  type Facet,
  type RaisedGround,
  type Terrain,
} from "./terrain";
export { groundAt, groundRange, groundUnder, LEVEL, reaches, type Terrain } from "./terrain";

const raised = remembered((element: Element): RaisedGround | null =>
  element.hidden || validateElement(element) ? null : (kindOf(element).ground?.(element) ?? null),
);

/** What cuttings among some elements take of the plan. */
function dugBy(elements: readonly Element[]): Region {
  const taken = elements.flatMap((element) => {
    const cutting = element.hidden ? null : kindOf(element).cutting?.(element);
    return cutting ? [takenBy(cutting)] : [];
  });
  return taken.length > 0 ? together(taken) : [];
}

/** Raised ground among some elements: each with the facets that are left of it by later ground and by what is dug. */
export function raisedGrounds(
  elements: readonly Element[],
): readonly { readonly element: Element; readonly facets: readonly Facet[] }[] {
  const grounds = elements.flatMap((element) => {
    const ground = raised(element);
    return ground ? [{ element, ground }] : [];
  });
  if (grounds.length === 0) return [];
  const facets = facetsOf(
    grounds.map(({ ground }) => ground),
    dugBy(elements),
  );
  return grounds.map(({ element }, i) => ({ element, facets: facets[i] }));
}

/** How much higher an element stands at a place than on a level field, m. */
export function raisedBy(element: Element, at: Vec2, terrain: Terrain): number {
  const settled = terrain === LEVEL ? undefined : kindOf(element).settle?.(element, terrain);
  return settled === "draped" ? groundAt(terrain, at) : settled ? heightOn(settled, at) : 0;
}

/** The ground of a world. */
export function terrainOf(elements: readonly Element[]): Terrain {
  const grounds = raisedGrounds(elements);
  return grounds.length > 0 ? terrainFrom(grounds.flatMap(({ facets }) => facets)) : LEVEL;
}
