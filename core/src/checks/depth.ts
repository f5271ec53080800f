import { mm, sentence } from "../units";
import { contains, dot, sub, type Vec2 } from "../geometry";
import { nearCorner } from "../construct";
import { project, type View } from "../shot";
import { blockAxes, blockCorner, boxOf, stands, type Element } from "../world";
import { atDistance, tenth, type Check } from "./finding";

/**
 * A picture is looked at from as far as its sheet's diagonal, and never from nearer than this, mm (common practice).
 */
const ARM = 400;
/** A side that reads as so many times what is meant is told of (a chosen limit). */
const LIES = 1.75;

/**
 * How much longer a level way reads than it is where a picture is seen from so many times its own distance: what it has
 * of depth is read that many times as deep, what runs across is not (La Gournerie, 1859 (from memory)).
 */
function reads(view: View, [x, y, z]: readonly [number, number, number], times: number): number {
  const depth = dot(view.forward, [x, y, z]);
  return Math.hypot(Math.sqrt(Math.max(0, 1 - depth * depth)), times * depth);
}

/**
 * What one of a box's two seen sides reads as against the other, where they are meant to be as they are: how many
 * times too much.
 */
function lying(
  view: View,
  element: Element,
  times: number,
): { readonly off: number; readonly meant: number; readonly at: Vec2 } | null {
  const box = boxOf(element);
  const [x, y, base] = blockCorner(box, ...nearCorner(box, view.eye));
  const at = project(view, [x, y, base + box.height / 2]);
  if (!at || !contains(view.frame, at)) return null;
  const [l, w] = blockAxes(box).map((axis) => reads(view, axis, times));
  const [meant, read] = [box.length / box.width, (box.length * l) / (box.width * w)];
  // Told of the deeper side against the other.
  return l >= w ? { off: read / meant, meant, at } : { off: meant / read, meant: 1 / meant, at };
}

/**
 * Depth that lies: a picture with a short distance, seen from where pictures are seen, in which the side of a
 * building reads as much deeper than it is meant.
 */
export const lyingDepth: Check = ({ scene, shot, view }) => {
  if (!view.law.straight) return [];
  const seenFrom = Math.max(ARM, Math.hypot(shot.sheet.width, shot.sheet.height));
  const times = seenFrom / view.distance;
  if (times < LIES) return [];
  const near = (element: Element) => {
    const { origin } = boxOf(element);
    const [dx, dy] = sub([origin.x, origin.y, 0], view.eye);
    return Math.hypot(dx, dy);
  };
  const told = scene.elements
    .filter((element) => !element.hidden && stands(element))
    .flatMap((element) => {
      const found = lying(view, element, times);
      return found && found.off > LIES ? [{ element, found, far: near(element) }] : [];
    })
    .sort((a, b) => a.far - b.far)[0];
  if (!told) return [];
  const {
    element,
    found: { off, meant, at },
  } = told;
  return [
    {
      id: `lying-depth-${element.id}`,
      severity: "note",
      where: element.name,
      at,
      value: tenth(off),
      unit: ": 1",
      message: sentence`The deeper side of ${element.name} is meant ${meant.toFixed(1)} times its other side and reads
        as ${(meant * off).toFixed(1)} times, since the picture is seen from about ${mm(seenFrom, 0)} and drawn for
        ${mm(view.distance, 0)}.`,
      fix: { label: sentence`Picture distance ${mm(seenFrom)}`, shot: atDistance(shot, seenFrom) },
    },
  ];
};
