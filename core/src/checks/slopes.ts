import { project } from "../shot";
import { metres, sentence } from "../units";
import { boxOf, climbsOn, groundAt, middleOf, riseUnderElement, terrainOf, type Element, type Terrain } from "../world";
import { tenth, type Check, type Finding } from "./finding";

/** Streets steeper than this are driven on nowhere, metres in a hundred (common practice). */
const STEEPEST = 25;
/** No more of each than these. */
const MAX_FINDINGS = 4;

/** The steepest stretch of a street, where that is too steep, and the highest cliff that it runs over. */
function ofStreet(street: Element, terrain: Terrain, view: Parameters<Check>[0]["view"]): readonly Finding[] {
  const { climbs, cliffs } = climbsOn(street, terrain);
  const steep = climbs.filter(({ grade }) => grade > STEEPEST).sort((a, b) => b.grade - a.grade);
  const high = [...cliffs].sort((a, b) => b.jump - a.jump);
  return [
    ...steep.slice(0, 1).map(({ grade, from, to, heights }) => ({
      id: `steep-${street.id}`,
      severity: "note" as const,
      where: street.name,
      at: project(view, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2, (heights[0] + heights[1]) / 2]),
      value: tenth(grade),
      unit: "" as const,
      message: sentence`${street.name} rises ${tenth(grade)} in a hundred: streets rise up to ${STEEPEST}. Lead it
        along the slope, or lay steps.`,
    })),
    ...high.slice(0, 1).map(({ at: [x, y], jump }) => ({
      id: `cliff-${street.id}`,
      severity: "warning" as const,
      where: street.name,
      at: project(view, [x, y, groundAt(terrain, [x, y])]),
      value: tenth(jump),
      unit: "m" as const,
      message: sentence`${street.name} runs over an edge of the ground ${metres(jump, 1)} high: lay a slope there, or
        end it before.`,
    })),
  ];
}

/** Ground that rises so much under something that it stands on a cliff: as high as its walls. */
function ofStanding(element: Element, terrain: Terrain, view: Parameters<Check>[0]["view"]): readonly Finding[] {
  const rise = riseUnderElement(element, terrain);
  if (rise < boxOf(element).height) return [];
  return [
    {
      id: `cliff-${element.id}`,
      severity: "warning",
      where: element.name,
      at: project(view, middleOf(element)),
      value: tenth(rise),
      unit: "m",
      message: sentence`The ground rises ${metres(rise, 1)} under ${element.name}, as high as its walls: part of it
        lies underground. Move it off the edge.`,
    },
  ];
}

/** Streets too steep to be one, and what lies over an edge of the ground. */
export const onSlopes: Check = ({ scene, view }) => {
  const shown = scene.elements.filter((element) => !element.hidden);
  const terrain = terrainOf(shown);
  if (terrain.facets.length === 0) return [];
  const some = (of: (element: Element) => readonly Finding[]) => shown.flatMap(of).slice(0, MAX_FINDINGS);
  return [...some((one) => ofStreet(one, terrain, view)), ...some((one) => ofStanding(one, terrain, view))];
};
