import { remembered } from "./remembered";
import { create } from "zustand";
import { inSystem, type System } from "@zanvo/core/units";

const KEY = "zanvo:units";

/** What lengths are shown in, as last chosen. What is typed may have any unit. */
export const useUnits = create<{ readonly system: System }>(() => ({
  system: remembered.visits.get(KEY) === "imperial" ? "imperial" : "metric",
}));

/** From millimetres and metres to inches and feet, and back. */
export function switchUnits(): void {
  useUnits.setState(({ system }) => ({ system: system === "metric" ? "imperial" : "metric" }));
  remembered.visits.set(KEY, useUnits.getState().system);
}

/** Turns the lengths in a sentence into those one reads. */
export function useMeasures(): (text: string) => string {
  const system = useUnits((units) => units.system);
  return (text) => inSystem(text, system);
}
