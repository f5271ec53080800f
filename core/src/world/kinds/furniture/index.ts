import { metres, metresBetween, sentence, type Told } from "../../../units";
import { boxOutline, heightTags } from "../block";
import { elementKind, hangsAt, type Figure } from "../kind";
import { boxOfFurniture, reachOfFurniture } from "./measures";
import { FURNITURE, FurnitureSchema, type Furniture, type FurnitureThing } from "./schema";
export { FURNITURE, type Furniture, type FurnitureThing } from "./schema";

/** Between which heights what people sit, eat and serve at is usual, m (common practice). */
const USUAL: Partial<Record<FurnitureThing, readonly [string, number, number]>> = {
  chair: ["Seats have", 0.4, 0.5],
  bench: ["Seats have", 0.4, 0.5],
  table: ["Tables have", 0.7, 0.76],
  counter: ["Counters have", 0.85, 1.1],
};

/** A thing of its usual size, all but its id and its name. */
export function newFurniture(
  thing: FurnitureThing,
  at: Furniture["at"],
  heading: number,
): Omit<Furniture, "id" | "name"> {
  const { width, depth, height } = FURNITURE[thing];
  return { kind: "furniture", thing, at, heading, width, depth, height };
}

function figuresOf({ thing, height: value, name }: Furniture): readonly Figure[] {
  const usual = USUAL[thing];
  if (!usual) return [];
  const [have, low, high] = usual;
  const told: Told = sentence`${name} is ${metres(value)} high.`;
  return [{ value, limits: [low, high], told, usual: sentence`${have} ${metresBetween(low, high)}` }];
}

export const furniture = elementKind<Furniture>(FurnitureSchema, {
  kind: "furniture",
  word: "Furniture",
  stands: true,
  outline: (element) => boxOutline(boxOfFurniture(element)),
  span: (element) => [element.at.z, reachOfFurniture(element)],
  box: boxOfFurniture,
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.at.z, reachOfFurniture(element)) }),
  },
  figures: figuresOf,
  faces: ({ heading }) => heading,
  hangs: (element) =>
    element.thing === "picture"
      ? hangsAt(element, { from: [-element.width / 2, 0], to: [element.width / 2, element.height] })
      : null,
});
