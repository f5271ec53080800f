import { pathOf, ribbon } from "../../path";
import { elementKind, onPath } from "../kind";
import { measureIn } from "../tags";
import { DEFAULT_WALLS, validateWall } from "./measures";
import { WallSchema, type Boundary, type Wall } from "./schema";
export * from "./measures";
export { BOUNDARIES, type Boundary, type Wall } from "./schema";

/** What OpenStreetMap's key "barrier" calls boundaries (from memory). */
const BARRIERS: Readonly<Record<string, Boundary>> = {
  wall: "wall",
  retaining_wall: "wall",
  city_wall: "wall",
  hedge: "hedge",
  fence: "fence",
  handrail: "railing",
  guard_rail: "railing",
};

/** A wall, from its measures. */
export const newWall = (of: Omit<Wall, "kind">): Wall => ({ ...of, kind: "wall" });

/** A wall for itself, of no row. */
function alone({ row: _row, ...wall }: Wall): Wall {
  return wall;
}

export const wall = elementKind<Wall>(WallSchema, {
  kind: "wall",
  word: "Wall",
  stands: false,
  validate: validateWall,
  outline: (element) => ribbon(pathOf(element), element.thickness / 2, -element.thickness / 2),
  span: ({ height }) => [0, height],
  ...onPath,
  geoJson: {
    write: ({ of = "wall", height }) => ({
      shape: "line",
      properties: { barrier: of === "railing" ? "handrail" : of, height },
    }),
    read: {
      shape: "line",
      is: ({ barrier }) => typeof barrier === "string" && barrier in BARRIERS,
      take: ({ places, properties: { barrier, height } }) => {
        const of = BARRIERS[String(barrier)];
        const own = { path: [...places], ...(of === "wall" ? {} : { of }), ...DEFAULT_WALLS[of] };
        return { ...own, height: measureIn(height) ?? own.height };
      },
    },
  },
  row: ({ row }) => row,
  alone,
});
