import type { Vec2 } from "@zanvo/core/geometry";

/** The keys that nudge, for what is told of keys by name. */
export const ARROWS = "left, right, up, down, shift+left, shift+right, shift+up, shift+down";

const WAYS: Readonly<Record<string, Vec2>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** What an arrow key moves by, on a screen whose y runs down; with Shift as many times as far. Null for other keys. */
export function arrowBy(
  { key, shiftKey }: { readonly key: string; readonly shiftKey: boolean },
  step: number,
  times = 10,
): Vec2 | null {
  const way = WAYS[key];
  const by = shiftKey ? times * step : step;
  return way ? [way[0] * by, way[1] * by] : null;
}
