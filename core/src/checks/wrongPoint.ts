import { cross, dot, sub, unit, type Vec2, type Vec3 } from "../geometry";
import { aimsOf, ledTo } from "../ruling";
import { unproject, type View } from "../shot";
import { sentence } from "../units";
import { isLevel, type Pin } from "../vanishing";
import { blockAxes, blockCorner, boxOf, stands, type Element } from "../world";
import { tenth, type Check } from "./finding";
import { pair, ruledOf, withLine } from "./ownAims";

/** A line that misses a set by no more than this runs to it, degrees. */
const RUNS = 0.3;

/** A wall of a box that an eye sees: its name, and the level way along it. */
interface Wall {
  readonly element: Element;
  readonly way: Vec3;
}

/** Where a ray enters the box of a thing, and through which of its faces; null beside it. */
function entered(element: Element, eye: Vec3, ray: Vec3): { readonly reach: number; readonly way: Vec3 | null } | null {
  const box = boxOf(element);
  const [l, w] = blockAxes(box);
  const to = sub(eye, blockCorner(box, 0, 0));
  let [near, far] = [0, Infinity];
  let way: Vec3 | null = null;
  const sides: readonly (readonly [Vec3, number, Vec3 | null])[] = [
    [l, box.length, w],
    [w, box.width, l],
    [[0, 0, 1], box.height, null],
  ];
  for (const [axis, size, along2] of sides) {
    const [at, rate] = [dot(to, axis), dot(ray, axis)];
    if (Math.abs(rate) < 1e-12) {
      if (at < 0 || at > size) return null;
      continue;
    }
    const [p, q] = [-at / rate, (size - at) / rate].sort((a, b) => a - b);
    if (p > near) [near, way] = [p, along2];
    far = Math.min(far, q);
  }
  return near > 0 && near < far ? { reach: near, way } : null;
}

/** The wall that is seen at a place, by the boxes of what stands; null where none is. */
function wallAt(view: View, elements: readonly Element[], at: Vec2): Wall | null {
  const ray = unproject(view, at);
  let best: { readonly reach: number; readonly element: Element; readonly way: Vec3 | null } | null = null;
  for (const element of elements) {
    const hit = entered(element, view.eye, ray);
    if (hit && (!best || hit.reach < best.reach)) best = { ...hit, element };
  }
  return best?.way ? { element: best.element, way: best.way } : null;
}

const sameWay = (a: Vec3, b: Vec3): boolean => Math.hypot(...cross(unit(a), unit(b))) < 1e-3;

const runsAlong = ({ direction }: Pin, way: Vec3): boolean => sameWay(direction, way);

/** An own line on a wall that runs to the other point of its pair. */
export const wrongPoint: Check = ({ scene, shot, view, pins }) => {
  const lines = ruledOf(shot);
  if (lines.length === 0) return [];
  const standing = scene.elements.filter((one) => !one.hidden && stands(one));
  return lines.flatMap((line) => {
    const ends = [line.from, line.to] as const;
    const [aim] = aimsOf(view, pins, ends);
    if (!aim || aim.miss > RUNS || !isLevel(aim.pin)) return [];
    // A little inside its ends, which may lie on the wall's own edges.
    const at = (t: number): Vec2 => [
      line.from[0] + t * (line.to[0] - line.from[0]),
      line.from[1] + t * (line.to[1] - line.from[1]),
    ];
    const walls = [0.05, 0.5, 0.95].map((t) => wallAt(view, standing, at(t)));
    const [wall] = walls;
    if (!wall || walls.some((one) => one?.element !== wall.element || !sameWay(one.way, wall.way))) return [];
    if (runsAlong(aim.pin, wall.way)) return [];
    const right = pins.find((pin) => !pin.opposite && isLevel(pin) && runsAlong(pin, wall.way));
    if (!right) return [];
    const [own] = aimsOf(view, [right], ends);
    return [
      {
        id: `own-line-wrong-point-${line.id}`,
        severity: "warning" as const,
        where: wall.element.name,
        at: at(0.5),
        value: tenth(own?.miss ?? 0),
        unit: "°" as const,
        message: sentence`A line of your own on ${wall.element.name} runs to ${aim.pin.name}, but that wall runs to
          ${right.name}: the wrong point of the pair.`,
        fix: {
          label: sentence`Lead it to ${right.name}`,
          shot: withLine(shot, { ...line, to: pair(ledTo(view, right, ends)) }),
        },
      },
    ];
  });
};
