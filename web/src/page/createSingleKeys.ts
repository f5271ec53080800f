import { create } from "zustand";
import type { Memory } from "../remembered";

const KEY = "zanvo:single-keys";

/**
 * Whether keys by themselves, without Ctrl, do something: those who speak to their machine, or whose hands shake, may
 * switch them off (WCAG 2.2, 2.1.4).
 */
export function createSingleKeys(memory: Memory) {
  const useSingleKeys = create<{ readonly on: boolean }>(() => ({ on: memory.get(KEY) !== "off" }));
  return {
    useSingleKeys,
    switchSingleKeys: (on: boolean): void => {
      useSingleKeys.setState({ on });
      memory.set(KEY, on ? "on" : "off");
    },
  };
}
