import { metres, metresBetween, sentence } from "../../../units";
import { heightTags } from "../block";
import { elementKind, onPath, type Figure } from "../kind";
import { groundAlong, validateSpots } from "../spots";
import { HABITS, PlantSchema, type Habit, type Plant } from "./schema";
export { HABITS, type Habit, type Plant } from "./schema";

/** A trunk reaches so far around its middle at the foot, as a part of the tree's height. */
const TRUNK = 0.03;
/** Street trees stand so far apart, m (common practice). */
const APART = [6, 10] as const;

/** A plant of its usual size, all but its id and its name. */
export function newPlant(habit: Habit, path: Plant["path"], seed: number): Omit<Plant, "id" | "name"> {
  const { height, spread, clear } = HABITS[habit];
  return { kind: "plant", habit, path, every: habit === "bush" ? 2 : 8, height, spread, clear, seed };
}

function figuresOf({ name, habit, path, every }: Plant): readonly Figure[] {
  if (habit === "bush" || path.length < 2) return [];
  const told = sentence`The trees of ${name} stand ${metres(every)} apart.`;
  return [{ value: every, limits: APART, told, usual: sentence`Street trees have ${metresBetween(...APART, 0)}` }];
}

export const plant = elementKind<Plant>(PlantSchema, {
  kind: "plant",
  word: "Tree",
  stands: true,
  validate: (element) =>
    validateSpots(element) ??
    (element.clear >= element.height ? { field: "clear", message: "leaves no room for a crown." } : null),
  outline: (element) => groundAlong(element, element.habit === "bush" ? element.spread / 2 : TRUNK * element.height),
  span: ({ height }) => [0, height],
  ...onPath,
  withoutPlace: (element, place) =>
    element.path.length > 1 ? { ...element, path: element.path.toSpliced(place, 1) } : null,
  geoJson: {
    write: ({ path, height }) =>
      path.length > 1
        ? { shape: "line", properties: { natural: "tree_row", height } }
        : { shape: "area", properties: { natural: "tree", ...heightTags(0, height) } },
    read: {
      shape: "line",
      is: ({ natural }) => natural === "tree_row",
      take: ({ places }) => newPlant("round", [...places], 1),
    },
  },
  figures: figuresOf,
  letsIn: () => true,
});
