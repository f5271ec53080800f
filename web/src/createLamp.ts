import { create } from "zustand";
import type { Memory } from "./remembered";

const KEY = "zanvo:lamp";

/**
 * Whether the lamp is on: as last chosen, or as the machine prefers.
 * @param light lights the table, or darkens it
 */
export function createLamp(memory: Memory, prefersDark: () => boolean, light: (on: boolean) => void) {
  const chosen = memory.get(KEY);
  const useLamp = create<{ readonly on: boolean }>(() => ({ on: chosen ? chosen === "on" : prefersDark() }));
  const shine = () => light(useLamp.getState().on);
  return {
    useLamp,
    /** Lights the table when the page opens. */
    startLamp: shine,
    /** Turns the lamp on or off, and remembers it. */
    switchLamp: (): void => {
      useLamp.setState(({ on }) => ({ on: !on }));
      memory.set(KEY, useLamp.getState().on ? "on" : "off");
      shine();
    },
  };
}
