import type { Vec2 } from "../../../geometry";
import { yardsOf } from "../../outline";
import { longestSide } from "../../polygon";
import { loft, prism, ring } from "../../shapes";
import { asPart, type Solid } from "../../solid";
import { attachedTo } from "./attached";
import { bandsAround, pilastersOf } from "./bands";
import { tierPart, tiersUp } from "./build";
import { curvedTier } from "./curvedWalls";
import { footed } from "./foot";
import { leavesBefore, leavesOutside, opensOutwards, roomed } from "./hollow";
import { topOf, wideRoof } from "./roofShapes";
import { roundTier } from "./roundTiers";
import type { Building } from "./schema";
import { fittedTiers, type Over } from "./wallOpenings";

/**
 * The solids of a building: its parts from the ground up, and what stands on its roof; none where it cannot stand.
 * @param rises how high the ground rises over what it stands on, at a place, m
 */
export function buildBuilding(building: Building, rises?: Over): Solid[] {
  const tiers = tiersUp(building);
  if (tiers.length === 0) return [];
  const yards = yardsOf(building);
  const { rooms } = building;
  const fitted =
    rooms || building.dress?.out || opensOutwards(building) ? fittedTiers(building, tiers, rises) : undefined;
  const masses = tiers.flatMap(({ points, z, height }, i) => {
    const last = i === tiers.length - 1;
    const curved = curvedTier(building, points, [z, z + height], [i, last]);
    if (curved.length > 0) return curved.map((one) => asPart(one, tierPart(i)));
    const flat = !last || building.roof.kind === "flat" || building.roof.overhang !== undefined;
    const round = roundTier(building, points, [z, z + height], last);
    if (round) return asPart(round, tierPart(i));
    const solid =
      flat && (yards.length || building.roof.overhang !== undefined)
        ? prism(building.id, points, yards, [z, z + height])
        : last
          ? topOf(building, points, z, height)
          : loft(building.id, [ring(points, z), ring(points, z + height)], null, building.round ? "all" : undefined);
    const foot = i > 0 ? solid : footed(solid, points, building);
    const mass = "passage" in foot ? solid : foot;
    return asPart(rooms && fitted ? roomed(mass, rooms, fitted[i]) : mass, tierPart(i));
  });
  const { z, height } = tiers[tiers.length - 1];
  return [
    ...masses,
    ...(fitted ?? []).flatMap((tier) =>
      rooms ? leavesBefore(building.id, rooms, tier) : leavesOutside(building.id, tier),
    ),
    ...(fitted ?? []).flatMap((tier, i) => bandsAround(building, tier, i === 0)),
    ...pilastersOf(building),
    ...wideRoof(building, tiers[tiers.length - 1].points, z + height),
    ...onRoof(building, z + height),
    ...attachedTo(building, rises),
  ];
}

/** Chimneys and boxes along a building's longest side, from a metre under the eaves up through the roof. */
function onRoof({ id, footprint, chimneys = [], boxes = [] }: Building, eaves: number): Solid[] {
  const [ux, uy] = longestSide(footprint.map(({ x, y }) => [x, y] as const));
  return [...chimneys.map(({ side, ...at }) => ({ ...at, length: side, width: side })), ...boxes].map(
    ({ x, y, length, width, rise }) => {
      const [l, w] = [length / 2, width / 2];
      const points = (
        [
          [-l, -w],
          [l, -w],
          [l, w],
          [-l, w],
        ] as const
      ).map(([a, b]): Vec2 => [x + a * ux - b * uy, y + a * uy + b * ux]);
      return loft(id, [ring(points, eaves - 1), ring(points, eaves + rise)], null);
    },
  );
}
