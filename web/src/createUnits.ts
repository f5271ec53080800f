import { inSystem, type System, type Told } from "@zanvo/core/units";
import { create } from "zustand";
import type { Memory } from "./remembered";

const KEY = "zanvo:units";

/** What lengths are shown in, as last chosen. What is typed may have any unit. */
export function createUnits(memory: Memory) {
  const useUnits = create<{ readonly system: System }>(() => ({
    system: memory.get(KEY) === "imperial" ? "imperial" : "metric",
  }));
  return {
    useUnits,
    /** From millimetres and metres to inches and feet, and back. */
    switchUnits: (): void => {
      useUnits.setState(({ system }) => ({ system: system === "metric" ? "imperial" : "metric" }));
      memory.set(KEY, useUnits.getState().system);
    },
    /** What is told, in words for this moment, its lengths in the system that one reads. */
    inWords: (told: Told): string => inSystem(told, useUnits.getState().system),
    /** Puts what is told into words, its lengths in the system that one reads. */
    useMeasures: (): ((told: Told) => string) => {
      const system = useUnits((units) => units.system);
      return (told) => inSystem(told, system);
    },
  };
}
