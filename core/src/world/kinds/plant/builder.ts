import { rememberedByValues } from "../../remembered";
import { roundSolid, type Hull } from "../../round";
import type { Solid } from "../../solid";
import { elementBuilder } from "../builder";
import { spotsOf, validateSpots } from "../spots";
import { hullsOfPlant } from "./crown";
import type { Plant } from "./schema";

const hullsFor = rememberedByValues(
  (habit: Plant["habit"], height: number, spread: number, clear: number, seed: number): readonly Hull[] =>
    hullsOfPlant({ habit, height, spread, clear }, seed),
);

/** The plants of a line, each with an outline of its own. */
function buildPlant(plant: Plant): Solid[] {
  if (validateSpots(plant)) return [];
  const { habit, height, spread, clear, seed } = plant;
  return spotsOf(plant).map(([x, y], i) =>
    roundSolid(plant.id, {
      kind: "hulls",
      at: [x, y, 0],
      turn: i,
      hulls: hullsFor(habit, height, spread, clear, seed + i),
      before: 0,
    }),
  );
}

export const plantBuilder = elementBuilder<Plant>({ build: buildPlant, settle: () => "draped" });
