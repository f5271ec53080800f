const KEY = "zanvo:lamp";

/** Whether the lamp is on: as last chosen, or as the machine prefers. */
export const lampIsOn = (): boolean => document.documentElement.dataset.lamp === "on";

const light = (on: boolean): void => {
  document.documentElement.dataset.lamp = on ? "on" : "off";
};

/** Lights the table when the page opens. */
export function startLamp(): void {
  const chosen = localStorage.getItem(KEY);
  light(chosen ? chosen === "on" : matchMedia("(prefers-color-scheme: dark)").matches);
}

/** Turns the lamp on or off, and remembers it. */
export function switchLamp(): void {
  light(!lampIsOn());
  localStorage.setItem(KEY, lampIsOn() ? "on" : "off");
}
