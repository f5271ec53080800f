import { distance2, type Vec2 } from "../geometry";
import { together, type Region } from "./areas";
import { validateElement, type Element } from "./kinds";
import { builderOf } from "./kinds/builders";
import { footOn } from "./path";
import { remembered, rememberedOfAll } from "./remembered";
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
import { cuttingOf } from "./units";

/** Corners and sides nearer than this are meant to be one, m. */
const ONE = 0.005;

/** A place, or the corner or the place on a side of some rings that it is meant to be. */
function heldPlace(at: Vec2, rings: readonly (readonly Vec2[])[]): Vec2 {
  const corner = rings.flat().find((one) => distance2(one, at) < ONE);
  if (corner) return corner;
  const feet = rings.map((ring) => footOn(at, [...ring, ring[0]]));
  return feet.find(({ off }) => off < ONE)?.foot ?? at;
}

/** A ring whose corners and sides are those of others wherever they nearly are: typed and turned places are rounded. */
function heldTo(ring: readonly Vec2[], others: readonly (readonly Vec2[])[]): readonly Vec2[] {
  const held = ring.map((at) => heldPlace(at, others));
  return held.flatMap((at, i) => {
    const side = [at, held[(i + 1) % held.length]];
    const length = distance2(side[0], side[1]);
    const on = others.flat().flatMap((corner) => {
      const { off, along } = footOn(corner, side);
      return off < ONE && along > ONE && along < length - ONE ? [{ corner, along }] : [];
    });
    return [at, ...on.sort((a, b) => a.along - b.along).map(({ corner }) => corner)];
  });
}

/** What cuttings among some elements take of the plan. */
function dugBy(elements: readonly Element[]): Region {
  const taken = elements.flatMap((element) => cuttingOf(element)?.taken() ?? []);
  return taken.length > 0 ? together([taken]) : [];
}

/** Raised ground among some elements: each with the facets that are left of it by later ground and by what is dug. */
export function raisedGrounds(
  elements: readonly Element[],
): readonly { readonly element: Element; readonly facets: readonly Facet[] }[] {
  const grounds: { readonly element: Element; readonly ground: RaisedGround }[] = [];
  for (const element of elements) {
    const kind = builderOf(element);
    if (!kind.ground || element.hidden || validateElement(element)) continue;
    const ground = kind.ground(element, (ring) =>
      heldTo(
        ring,
        grounds.map((one) => one.ground.outline),
      ),
    );
    if (ground) grounds.push({ element, ground });
  }
  if (grounds.length === 0) return [];
  const facets = facetsOf(
    grounds.map(({ ground }) => ground),
    dugBy(elements),
  );
  return grounds.map(({ element }, i) => ({ element, facets: facets[i] }));
}

/** How much higher an element stands at a place than on a level field, m. */
export function raisedBy(element: Element, at: Vec2, terrain: Terrain): number {
  const settled = terrain === LEVEL ? undefined : builderOf(element).settle?.(element, terrain);
  return settled === "draped" ? groundAt(terrain, at) : settled ? heightOn(settled, at) : 0;
}

/** Whether an element shapes the ground: raised ground does, and so does what is dug into it. */
const shapesGround = (element: Element): boolean => {
  const { ground, cutting } = builderOf(element);
  return ground !== undefined || cutting !== undefined;
};

/** The ground of a world; the same one as before while nothing that shapes it changes. */
export const terrainOf = remembered((elements: readonly Element[]): Terrain => groundOf(elements.filter(shapesGround)));

const groundOf = rememberedOfAll((shaping: readonly Element[]): Terrain => {
  const grounds = raisedGrounds(shaping);
  return grounds.length > 0 ? terrainFrom(grounds.flatMap(({ facets }) => facets)) : LEVEL;
});
