import { roundSolid, type Hull } from "../../round";
import type { Solid } from "../../solid";
import { elementBuilder } from "../builder";
import { spotsOf, validateSpots } from "../spots";
import { hullsOfPlant } from "./crown";
import type { Plant } from "./schema";

/** Shapes that were asked for, by what they follow from. */
const known = new Map<string, readonly Hull[]>();

function hullsFor({ habit, height, spread, clear }: Plant, seed: number): readonly Hull[] {
  const key = `${habit} ${height} ${spread} ${clear} ${seed}`;
  const before = known.get(key);
  if (before) return before;
  if (known.size > 2000) known.clear();
  const hulls = hullsOfPlant({ habit, height, spread, clear }, seed);
  known.set(key, hulls);
  return hulls;
}

/** The plants of a line, each with an outline of its own. */
function buildPlant(plant: Plant): Solid[] {
  if (validateSpots(plant)) return [];
  return spotsOf(plant).map(([x, y], i) =>
    roundSolid(plant.id, {
      kind: "hulls",
      at: [x, y, 0],
      turn: i,
      hulls: hullsFor(plant, plant.seed + i),
      before: 0,
    }),
  );
}

export const plantBuilder = elementBuilder<Plant>({ build: buildPlant, settle: () => "draped" });
