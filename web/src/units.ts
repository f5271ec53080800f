import { remembered } from "./remembered";
import { create } from "zustand";
import { inSystem, type System, type Told } from "@zanvo/core/units";

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

/** What is told, in words for this moment, its lengths in the system that one reads. */
export const inWords = (told: Told): string => inSystem(told, useUnits.getState().system);

/** Puts what is told into words, its lengths in the system that one reads. */
export function useMeasures(): (told: Told) => string {
  const system = useUnits((units) => units.system);
  return (told) => inSystem(told, system);
}
