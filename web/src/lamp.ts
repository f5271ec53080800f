import { remembered } from "./remembered";
import { create } from "zustand";

const KEY = "zanvo:lamp";

/** Whether the lamp is on: as last chosen, or as the machine prefers. */
export const useLamp = create<{ readonly on: boolean }>(() => {
  const chosen = remembered.visits.get(KEY);
  return { on: chosen ? chosen === "on" : matchMedia("(prefers-color-scheme: dark)").matches };
});

const light = (): void => {
  document.documentElement.dataset.lamp = useLamp.getState().on ? "on" : "off";
};

/** Lights the table when the page opens. */
export const startLamp = light;

/** Turns the lamp on or off, and remembers it. */
export function switchLamp(): void {
  useLamp.setState(({ on }) => ({ on: !on }));
  remembered.visits.set(KEY, useLamp.getState().on ? "on" : "off");
  light();
}
