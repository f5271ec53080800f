import { createLamp } from "./createLamp";
import { remembered } from "./remembered";

/** The lamp of this window. */
export const { useLamp, startLamp, switchLamp } = createLamp(
  remembered.visits,
  () => matchMedia("(prefers-color-scheme: dark)").matches,
  (on) => {
    document.documentElement.dataset.lamp = on ? "on" : "off";
  },
);
