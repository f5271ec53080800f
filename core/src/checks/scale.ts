import { contains } from "../geometry";
import { project } from "../shot";
import { sentence } from "../units";
import { kindOf, middleOf, type Element, type Figure } from "../world";
import { tenth, type Check } from "./finding";

/** No more of them than these. */
const MAX_FINDINGS = 4;

/** What is known of elements: the first of their measures that is off, or none. */
const known = new WeakMap<Element, Figure | null>();

/** The first measure of an element that lies outside the figures of the trade; it does not change with the view. */
function offFigure(element: Element): Figure | null {
  const before = known.get(element);
  if (before !== undefined) return before;
  const off = (kindOf(element).figures?.(element) ?? []).find(
    ({ value, limits: [least, most] }) => value < least || value > most,
  );
  known.set(element, off ?? null);
  return off ?? null;
}

/**
 * Scale: storeys, doors, kerbs and stairs outside the figures of the trade, of what stands in the panel; of one
 * thing, the first.
 */
export const offScale: Check = ({ scene, shot, view }) =>
  scene.elements
    .flatMap((element) => {
      const off = element.hidden ? null : offFigure(element);
      if (!off) return [];
      const at = project(view, middleOf(element));
      if (!at || !contains(shot.frame, at)) return [];
      const { value, limits, told, usual } = off;
      return [
        {
          id: `scale-${element.id}`,
          severity: "note" as const,
          where: element.name,
          at,
          value: tenth(value),
          unit: "m" as const,
          message: sentence`${told} ${usual}: beside it, people will look ${value > limits[1] ? "small" : "large"}.`,
        },
      ];
    })
    .slice(0, MAX_FINDINGS);
