import { contains, fromStretch, type Vec2 } from "../geometry";
import { project } from "../shot";
import { metres, sentence } from "../units";
import { boxesMeet, boxOnPlan, kindOf, outlineOf, raisedBy, terrainOf, type Element } from "../world";
import { tenth, type Check } from "./finding";

/** Less is a touch, m. */
const TOUCH = 0.01;
/** No more of them than these. */
const MAX_FINDINGS = 4;

/** How far a foot at a place reaches into the walls around an outline, m; less than nothing where it stands clear. */
const reachesInto = (outline: readonly Vec2[], at: Vec2, reach: number): number =>
  Math.max(...outline.map((p, i) => reach - fromStretch(at, p, outline[(i + 1) % outline.length])));

/** Whether two elements stand at some height both. */
function areLevel(one: Element, other: Element): boolean {
  const [[a, high], [b, tall]] = [kindOf(one).span(one), kindOf(other).span(other)];
  return a < b + tall - TOUCH && b < a + high - TOUCH;
}

/** Columns that overlap into a wall. */
export const columnsInWalls: Check = ({ scene, shot, view }) => {
  const elements = scene.elements.filter(({ hidden }) => !hidden);
  const terrain = terrainOf(scene.elements);
  const walled = elements.filter((element) => kindOf(element).openings);
  return elements
    .flatMap((element) => {
      const feet = kindOf(element).feet?.(element);
      if (!feet) return [];
      return walled
        .filter(
          (wall) =>
            areLevel(element, wall) && boxesMeet(boxOnPlan(feet.places, feet.reach), boxOnPlan(outlineOf(wall))),
        )
        .flatMap((wall) => {
          const into = feet.places.map((at) => reachesInto(outlineOf(wall), at, feet.reach));
          const worst = into.indexOf(Math.max(...into));
          const place = feet.places[worst];
          const [base] = kindOf(element).span(element);
          const seen = project(view, [...place, base + raisedBy(element, place, terrain)]);
          if (into[worst] <= TOUCH || !seen || !contains(shot.frame, seen)) return [];
          return [
            {
              id: `column-in-wall-${element.id}-${wall.id}`,
              severity: "warning" as const,
              where: element.name,
              at: seen,
              value: tenth(into[worst] * 100) / 100,
              unit: "m" as const,
              message: sentence`A column stands ${metres(into[worst])} in the wall of ${wall.name}: move it out, or make
                them half columns.`,
            },
          ];
        });
    })
    .slice(0, MAX_FINDINGS);
};
