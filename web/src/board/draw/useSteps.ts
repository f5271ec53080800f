import { toldBy } from "@zanvo/core/problem";
import { givenIn, recipeOf, type Step } from "@zanvo/core/recipes";
import type { Told } from "@zanvo/core/units";
import { useMemo } from "react";
import { useBoard } from "../useBoard";

/** The steps of the construction that is shown, or why it has none here; null where none is shown. */
export function useSteps(): { readonly steps: readonly Step[]; readonly wrong: Told | null } | null {
  const { useDraw, useDocument, useShot } = useBoard();
  const shown = useDraw((draw) => draw.shown);
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const [recipe, of] = [shown?.recipe, shown?.of];
  return useMemo(() => {
    if (recipe === undefined) return null;
    try {
      return { steps: recipeOf(recipe).steps(givenIn(scene, shot.id, of)), wrong: null };
    } catch (error) {
      return { steps: [], wrong: toldBy(error) };
    }
  }, [recipe, of, scene, shot.id]);
}
