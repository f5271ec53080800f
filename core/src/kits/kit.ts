import { radians, type Vec2 } from "../geometry";
import { newScene, type KitKind, type Scene } from "../scene";
import { kindOf, newBuilding, wallLengths, type Building, type Element, type Front } from "../world";
import { carriedOver, frameOf, reachOf, type Frame } from "./frame";
import { hangs, ORIGIN, plain } from "./taken";
import { shotOfThings } from "./shotOfThings";

/**
 * Where things that are to be a kit are in the world: where the first of them hangs; else before the middle of the
 * first, at its foot, facing as the first that has a front does.
 * @param facing the heading that they face along where none of them has a front, degrees
 */
export function frontOf(things: readonly Element[], facing: number): Frame {
  const [first] = things;
  if (hangs({ elements: [...things] })) return frameOf(first);
  const heading = things.map((one) => kindOf(one).faces?.(one)).find((one) => one !== undefined) ?? facing;
  const { right, along } = reachOf([first], heading);
  const [a, r] = [along[1], (right[0] + right[1]) / 2];
  const [s, c] = [Math.sin(radians(heading)), Math.cos(radians(heading))];
  const at: Vec2 = [a * s + r * c, a * c - r * s];
  return { at, z: kindOf(first).span(first)[0], heading };
}

const kitScene = (title: string, kit: KitKind, elements: readonly Element[]): Scene => ({
  ...newScene(title),
  kit,
  orientations: [{ id: "main", name: "Its walls", heading: 90 }],
  elements: [...elements],
  shots: [shotOfThings(elements)],
});

/**
 * Things as a kit: a scene of their own, in which they stand at the origin and face south.
 * @param facing as `frontOf` has it
 */
export const kitOfThings = (things: readonly Element[], title: string, facing: number): Scene =>
  kitScene(title, "things", carriedOver(things.map(plain), frontOf(things, facing), ORIGIN));

/** So deep is the building that a front is kept on, m. */
const DEEP = 6;

/** The front of a wall as a kit: on a plain building as wide and as high as the one that it was made for. */
export function kitOfFront(building: Building, { kit: _kit, ...front }: Front, title: string): Scene {
  const long = wallLengths(building)[front.side];
  const { height, storeys, groundFloor, storeyHeights, windows } = building;
  const half = long / 2;
  const wall = newBuilding({
    id: "wall",
    name: title,
    footprint: [
      { x: -half, y: 0 },
      { x: half, y: 0 },
      { x: half, y: DEEP },
      { x: -half, y: DEEP },
    ],
    base: 0,
    height,
    roof: { kind: "flat" },
    ...(storeys === undefined ? {} : { storeys }),
    ...(groundFloor === undefined ? {} : { groundFloor }),
    ...(storeyHeights ? { storeyHeights } : {}),
    ...(windows ? { windows } : {}),
    fronts: [{ ...front, side: 0 }],
  });
  return kitScene(title, "front", [wall]);
}
