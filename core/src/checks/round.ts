import { contains, corners, degrees, distance2, type Vec2, type Vec3 } from "../geometry";
import { projectDirection, ringRadius, toEye, unproject, type View } from "../shot";
import { kindOf, middleOf, stands, type Element } from "../world";
import { tenth, type Check, type Finding } from "./finding";

/** Beyond this a ball looks like an egg (common practice). */
const EGG = 1.2;
const NAMES = ["top left", "top right", "bottom right", "bottom left"] as const;

/** How many times as long as wide a lens draws a small ball that is seen in a direction (eye axes). */
function egg({ law }: View, direction: Vec3): number {
  const { radial, tangential } = law.stretch(direction);
  return Math.max(radial, tangential) / Math.max(1e-9, Math.min(radial, tangential));
}

/** The place at a corner, or on the edge of a disc that ends before it. */
function drawnAt(view: View, corner: Vec2): Vec2 {
  const { law, centre } = view;
  if (law.shape !== "round") return corner;
  const [far, rim] = [distance2(corner, centre), ringRadius(view, degrees(law.limit) - 1e-6)];
  return far <= rim
    ? corner
    : [centre[0] + ((corner[0] - centre[0]) * rim) / far, centre[1] + ((corner[1] - centre[1]) * rim) / far];
}

const times = (ratio: number): string => (ratio > 100 ? "more than a hundred" : ratio.toFixed(2));
const finding = (ratio: number, rest: Pick<Finding, "id" | "where" | "at" | "message">): Finding => ({
  ...rest,
  severity: "note",
  value: tenth(Math.min(ratio, 1e6)),
  unit: ": 1",
});

/** What a lens draws longest for its width of some elements in the panel, where that is more than one would miss. */
function worstOf(
  { scene, shot, view }: Parameters<Check>[0],
  wanted: (element: Element) => boolean,
): { readonly element: Element; readonly place: Vec2; readonly ratio: number } | null {
  const all = scene.elements
    .filter((element) => !element.hidden && wanted(element))
    .flatMap((element) => {
      const [x, y, z] = middleOf(element);
      const towards: Vec3 = [x - view.eye[0], y - view.eye[1], z - view.eye[2]];
      const seen = toEye(view, towards);
      const place = view.law.off(seen) <= view.law.limit ? projectDirection(view, towards) : null;
      return place && contains(shot.frame, place) ? [{ element, place, ratio: egg(view, seen) }] : [];
    });
  const worst = all.reduce<(typeof all)[number] | null>(
    (most, one) => (most && most.ratio >= one.ratio ? most : one),
    null,
  );
  return worst && worst.ratio > EGG ? worst : null;
}

/**
 * Round things that a lens draws longer than wide: the one that suffers most; and where the lens is curved, towards a
 * corner of the panel, and at any building.
 */
export const stretchedRound: Check = (looked) => {
  const { shot, view } = looked;
  const isStraight = view.law.straight;
  const worst = worstOf(looked, (element) =>
    isStraight ? (kindOf(element).isRound?.(element) ?? false) : stands(element),
  );
  const found: Finding[] = worst
    ? [
        finding(worst.ratio, {
          id: `round-stretched-${worst.element.id}`,
          where: worst.element.name,
          at: worst.place,
          message:
            `Where it stands, round things are drawn ${times(worst.ratio)} times as long as wide: turn the view ` +
            `towards it, or take ${isStraight ? "a longer picture distance" : "the stereographic lens"}.`,
        }),
      ]
    : [];
  if (isStraight) return found;
  const [at, name, ratio] = corners(shot.frame)
    .map((corner, i) => {
      const place = drawnAt(view, corner);
      return [place, NAMES[i], egg(view, toEye(view, unproject(view, place)))] as const;
    })
    .reduce((most, one) => (one[2] > most[2] + 1e-9 ? one : most));
  if (ratio > EGG) {
    found.unshift(
      finding(ratio, {
        id: "round-stretched",
        where: `panel, ${name} corner`,
        at,
        message:
          `Towards the ${name} corner round things are drawn up to ${times(ratio)} times as long as wide. The ` +
          "stereographic lens keeps them round.",
      }),
    );
  }
  return found;
};
