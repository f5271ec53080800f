import { union, type Interval, type Vec2, type Vec3 } from "../../../geometry";
import { clearBeside, isTangledBetween } from "../../bends";
import type { Detail } from "../../details";
import { MAX_MARKS } from "../../marking";
import { beside, lengthOf, pathOf, placeAlong, stretch } from "../../path";
import { slabAlong } from "../../slab";
import type { Solid } from "../../solid";
import { validateWall } from "./measures";
import type { Wall } from "./schema";

/** Bars and boards stand so far apart where nothing is said, m. */
const BARS = 0.15;
/** The lower rail of a railing lies so far over the ground, m. */
const LOWER = 0.1;

/** The stretches of a wall between its gates. */
function stretchesOf(wall: Wall): readonly (readonly Vec2[])[] {
  const path = pathOf(wall);
  const gates = union((wall.gates ?? []).map(({ at, width }): Interval => [at - width / 2, at + width / 2]));
  const ends = [0, ...gates.flat(), lengthOf(path)];
  return Array.from({ length: gates.length + 1 }, (_, i) => stretch(path, ends[2 * i], ends[2 * i + 1])).filter(
    (part) => part.length > 1,
  );
}

const isOpen = ({ of }: Wall): boolean => of === "railing";

/** The solids of a wall between its gates, however sharply it bends; none of a railing, which one sees through. */
export const buildWall = (wall: Wall): Solid[] =>
  validateWall(wall) || isOpen(wall)
    ? []
    : stretchesOf(wall).flatMap((path) => slabAlong(wall.id, path, wall.thickness / 2, [0, wall.height]));

/** Places along a path, one every so many m, and at its ends. */
function places(path: readonly Vec2[], every: number): readonly Vec2[] {
  const length = lengthOf(path);
  const number = Math.max(1, Math.min(MAX_MARKS, Math.round(length / every)));
  return Array.from({ length: number + 1 }, (_, i) =>
    i === number ? path[path.length - 1] : (placeAlong(path, (i * length) / number, 0) ?? path[0]),
  );
}

/** The bars and rails of a railing. */
function railing({ height, bars = BARS }: Wall, path: readonly Vec2[]): Detail[] {
  const up = ([x, y]: Vec2, z: number): Vec3 => [x, y, z];
  const rails = [Math.min(LOWER, height / 2), height].flatMap((z) =>
    path.slice(1).map((q, i): Detail => ({ kind: "rail", a: up(path[i], z), b: up(q, z) })),
  );
  const uprights = places(path, bars).map((at, index): Detail => ({
    kind: "bar",
    a: up(at, 0),
    b: up(at, height),
    item: { index },
  }));
  return [...rails, ...uprights];
}

/** The joints between the boards of a fence, on both its sides. */
function boards({ height, thickness, bars = BARS }: Wall, path: readonly Vec2[], solids: readonly Solid[]): Detail[] {
  const half = thickness / 2;
  const tangled = isTangledBetween(path, half, -half);
  return [half, -half].flatMap((by) =>
    (tangled ? clearBeside(path, by) : [beside(path, by)]).flatMap((line) =>
      places(line, bars)
        .slice(1, -1)
        .flatMap((at, index): Detail[] => {
          const on = wallFaceAt(solids, at);
          return on ? [{ kind: "bar", a: [...at, 0], b: [...at, height], item: { index: index + 1 }, on }] : [];
        }),
    ),
  );
}

/** A place this near to a wall's face is on it, m. */
const ON = 1e-6;

/** The upright face that a place of the plan lies on, of any of some solids. */
function wallFaceAt(solids: readonly Solid[], [x, y]: Vec2): Detail["on"] {
  for (const solid of solids) {
    const face = solid.faces.findIndex(({ normal, offset, loop }) => {
      if (Math.abs(normal[2]) > ON || Math.abs(normal[0] * x + normal[1] * y - offset) > ON) return false;
      const along = loop.map((n) => solid.vertices[n][1] * normal[0] - solid.vertices[n][0] * normal[1]);
      const at = y * normal[0] - x * normal[1];
      return at > Math.min(...along) && at < Math.max(...along);
    });
    if (face >= 0) return { solid, face };
  }
  return undefined;
}

/** What is drawn on a wall: the bars of a railing, the boards of a fence. */
export function wallDetails(wall: Wall, solids: readonly Solid[]): Detail[] {
  if (validateWall(wall)) return [];
  if (wall.of === "railing") return stretchesOf(wall).flatMap((path) => railing(wall, path));
  return wall.of === "fence" ? stretchesOf(wall).flatMap((path) => boards(wall, path, solids)) : [];
}
