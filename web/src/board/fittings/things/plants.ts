import { HABITS, newPlant, type Habit } from "@zanvo/core/world";
import { newSeed } from "../../../seed";
import { isFloor, type Thing } from "./thing";

export const plants: readonly Thing[] = (Object.keys(HABITS) as Habit[]).map((habit) => ({
  id: `plant-${habit}`,
  label: HABITS[habit].label,
  put: (place) => {
    const [x, y] = place.at;
    return isFloor(place) ? newPlant(habit, [{ x, y }], newSeed()) : "Trees stand on the ground: press there.";
  },
}));
