import { contains, dot, sub } from "../geometry";
import { project } from "../shot";
import { sentence } from "../units";
import { boxesMeet, boxOnPlan, kindOf, outlineOf, raisedBy, terrainOf, type Element, type Hanging } from "../world";
import { tenth, type Check } from "./finding";

/** What hangs on a wall lies so near to it, m, and is as good as in its plane. */
const [NEAR, IN_PLANE] = [0.3, 0.999] as const;
/** Less is a touch, m. */
const TOUCH = 0.01;
/** No more of them than these. */
const MAX_FINDINGS = 4;

/** How far what hangs reaches into the openings of a wall behind it: the greatest overlap of one, m; 0 for none. */
function reachesInto({ normal, at, extent }: Hanging<Element>, element: Element, rise: number): number {
  const openings = kindOf(element).openings?.(element) ?? [];
  return Math.max(
    0,
    ...openings.map(({ foot, along, from, to, low, high }) => {
      const outwards = [along[1], -along[0], 0] as const;
      const [dx, dy, dz] = sub(at, [foot[0], foot[1], foot[2] + rise]);
      const off = dx * outwards[0] + dy * outwards[1];
      if (dot(outwards, normal) < IN_PLANE || off < -TOUCH || off > NEAR) return 0;
      const s = dx * along[0] + dy * along[1];
      const across = Math.min(s + extent.to[0], to) - Math.max(s + extent.from[0], from);
      const up = Math.min(dz + extent.to[1], high) - Math.max(dz + extent.from[1], low);
      const over = Math.min(across, up);
      return over > TOUCH ? over : 0;
    }),
  );
}

/** Signs and pictures that hang across a window or a door. */
export const crossedOpenings: Check = ({ scene, shot, view }) => {
  const elements = scene.elements.filter(({ hidden }) => !hidden);
  const terrain = terrainOf(scene.elements);
  const walled = elements.filter((element) => kindOf(element).openings);
  return elements
    .flatMap((hung) => {
      const hanging = kindOf(hung).hangs?.(hung);
      const at = hanging && project(view, hanging.at);
      if (!hanging || !at || !contains(shot.frame, at)) return [];
      const box = boxOnPlan(outlineOf(hung), NEAR);
      const raised = {
        ...hanging,
        at: [
          hanging.at[0],
          hanging.at[1],
          hanging.at[2] + raisedBy(hung, [hanging.at[0], hanging.at[1]], terrain),
        ] as const,
      };
      return walled
        .filter((element) => boxesMeet(box, boxOnPlan(outlineOf(element))))
        .flatMap((element) => {
          const [x, y] = outlineOf(element)[0];
          const over = reachesInto(raised, element, raisedBy(element, [x, y], terrain));
          return over > 0
            ? [
                {
                  id: `across-${hung.id}-${element.id}`,
                  severity: "note" as const,
                  where: `${hung.name}, ${element.name}`,
                  at,
                  value: tenth(over),
                  unit: "m" as const,
                  message: sentence`${hung.name} crosses an opening of ${element.name}: what is in it is covered.`,
                },
              ]
            : [];
        });
    })
    .slice(0, MAX_FINDINGS);
};
