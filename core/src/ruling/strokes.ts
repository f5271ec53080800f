import type { Vec2 } from "../geometry";
import { MAX_SAMPLES, placesOf } from "../lines";
import type { View } from "../shot";
import type { Pin } from "../vanishing";
import { aimsOf, ledTo, type Aim } from "./aim";

/** A sample nearer to the last than this (mm) tells nothing new. */
const LEAST_STEP = 0.05;

/** Rounded to what a pen can tell: hundredths of a mm, and of the pressure. */
const tidy = (value: number): number => Math.round(value * 100) / 100;

/**
 * Samples as they are kept: x y in mm and the pressure, those that lie on one another left out, and every second one
 * where there are too many.
 */
export function keptSamples(samples: readonly number[]): number[] {
  const kept: number[] = [];
  for (let i = 0; i + 2 < samples.length; i += 3) {
    const [x, y, pressure] = [tidy(samples[i]), tidy(samples[i + 1]), tidy(samples[i + 2])];
    const last = kept.length - 3;
    if (last >= 0 && Math.hypot(x - kept[last], y - kept[last + 1]) < LEAST_STEP) continue;
    kept.push(x, y, pressure);
  }
  return kept.length > 3 * MAX_SAMPLES ? keptSamples(kept.filter((_, i) => Math.floor(i / 3) % 2 === 0)) : kept;
}

/**
 * Samples smoothed: each place is led to the middle of its neighbours, so many times; the ends stay.
 * @param times 0 keeps the stroke as it was drawn
 */
export function smoothed(samples: readonly number[], times: number): number[] {
  let now = [...samples];
  for (let turn = 0; turn < times; turn++) {
    const next = [...now];
    for (let i = 3; i + 5 < now.length; i += 3)
      for (const axis of [0, 1]) next[i + axis] = (now[i - 3 + axis] + 2 * now[i + axis] + now[i + 3 + axis]) / 4;
    now = next;
  }
  return now;
}

/** A stroke straightened to the set that it aims at best, from where it began. */
export function straightened(
  view: View,
  pins: readonly Pin[],
  samples: readonly number[],
): { readonly from: Vec2; readonly to: Vec2; readonly aim: Aim | null } {
  const places = placesOf(samples);
  const [from, to] = [places[0], places[places.length - 1]];
  const [aim = null] = aimsOf(view, pins, [from, to]);
  return { from, to: aim ? ledTo(view, aim.pin, [from, to]) : to, aim };
}
