import { BadInput } from "../problem";
import { block } from "./block";
import { circle } from "./circle";
import { depth } from "./depth";
import { division } from "./division";
import { edgeTicks } from "./edgeTicks";
import { ellipse } from "./ellipse";
import { fullness } from "./fullness";
import { gable } from "./gable";
import { halfPlan } from "./halfPlan";
import { horizon } from "./horizon";
import { shadow } from "./shadow";
import { slope } from "./slope";
import { square } from "./square";
import { stairs } from "./stairs";
import { thirdPoint } from "./thirdPoint";
import { turned } from "./turned";
export { block as boxRecipe } from "./block";
export { givenIn } from "./given";
export type { Given, Marked, Recipe, Step } from "./recipe";

/** Every construction that is shown step by step, in the order in which a drawing is made. */
export const RECIPES = [
  horizon,
  turned,
  thirdPoint,
  edgeTicks,
  square,
  depth,
  block,
  gable,
  slope,
  division,
  circle,
  ellipse,
  fullness,
  halfPlan,
  stairs,
  shadow,
] as const;
export type RecipeId = (typeof RECIPES)[number]["id"];

/** A construction by its id. @throws BadInput where there is none of it */
export function recipeOf(id: string): (typeof RECIPES)[number] {
  const found = RECIPES.find((one) => one.id === id);
  if (found) return found;
  const ids = RECIPES.map((one) => one.id).join(", ");
  throw new BadInput([{ path: "recipe", message: `there is no construction "${id}"; there are ${ids}.` }]);
}
