import { contains } from "../geometry";
import { project } from "../shot";
import { kindOf, middleOf, type Element, type Oddity } from "../world";
import { tenth, type Check } from "./finding";

/** No more of them than these. */
const MAX_FINDINGS = 4;

/** What is odd about elements, by themselves: it does not change with the view. */
const known = new WeakMap<Element, readonly Oddity[]>();

function odditiesIn(element: Element): readonly Oddity[] {
  let found = known.get(element);
  if (!found) known.set(element, (found = kindOf(element).oddities?.(element) ?? []));
  return found;
}

/** What is odd about what stands in the panel: openings across floors, doors without ground, low sills. */
export const odd: Check = ({ scene, shot, view }) =>
  scene.elements
    .flatMap((element) => {
      const found = element.hidden ? [] : odditiesIn(element);
      const at = found.length > 0 ? project(view, middleOf(element)) : null;
      if (!at || !contains(shot.frame, at)) return [];
      return found.map(({ id, value, unit = "m" as const, told }) => ({
        id: `odd-${element.id}-${id}`,
        severity: "note" as const,
        where: element.name,
        at,
        value: tenth(value),
        unit,
        message: told,
      }));
    })
    .slice(0, MAX_FINDINGS);
