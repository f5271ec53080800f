import { headingAlong, headingDirection, type Vec2 } from "../../../geometry";
import { placeBeside, rectangleAround } from "../../around";
import { heightTags } from "../block";
import { elementKind } from "../kind";
import { middlesOf, rowsOf, thicknessOf, validateArches, widthOfArches } from "./outline";
import { ArchesSchema, type Arches } from "./schema";
export { riseOfArch, validateArches, widthOfArches } from "./outline";
export { ARCHES, type Arches, type ArchForm } from "./schema";

/** An arcade of so many arches, all but its id and its name. */
export const newArches = (at: Arches["at"], heading = 0, count = 3): Omit<Arches, "id" | "name"> => ({
  kind: "arches",
  arch: "round",
  at,
  heading,
  count,
  span: 2.4,
  pier: 0.6,
  springing: 2.4,
  height: 4.4,
  thickness: 0.5,
  voussoirs: 0.3,
});

/** The ground that a wall with arches covers: its openings with it, counter-clockwise. */
export function archesOutline(arches: Arches): readonly Vec2[] {
  const { at, heading } = arches;
  const wide = widthOfArches(arches) / 2;
  return rectangleAround([at.x, at.y], headingDirection(heading), [-wide, wide], [-thicknessOf(arches), 0]);
}

export const arches = elementKind<Arches>(ArchesSchema, {
  kind: "arches",
  word: "Arches",
  stands: true,
  validate: validateArches,
  outline: archesOutline,
  span: (element) => [element.at.z, element.height],
  places: (element) => {
    const { at, heading } = element;
    return [placeBeside([at.x, at.y], headingDirection(heading), [widthOfArches(element) / 2, 0])];
  },
  // As long as it is drawn: its spans follow.
  placed: (element, _place, [x, y]) => {
    const [dx, dy] = [x - element.at.x, y - element.at.y];
    const { pier, count } = element;
    const span = Math.max(0.1, (2 * Math.hypot(dx, dy) - (count + 1) * pier) / count);
    return { ...element, span, heading: headingAlong([-dy, dx]) };
  },
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.at.z, element.height) }),
  },
  faces: ({ heading }) => heading,
  letsIn: (element, [x, y], over) => {
    const [fx, fy] = headingDirection(element.heading);
    const [dx, dy] = [x - element.at.x, y - element.at.y];
    const { span, springing } = element;
    // In a bay, or between piers that stand behind one another.
    const isOpen = (at: number, middles: readonly number[]) => middles.some((one) => Math.abs(at - one) < span / 2);
    return (
      over < springing && (isOpen(dx * fy - dy * fx, middlesOf(element)) || isOpen(-dx * fx - dy * fy, rowsOf(element)))
    );
  },
});
