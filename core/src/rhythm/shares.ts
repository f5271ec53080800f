import { NoAnswer } from "../problem";
import type { Fit } from "./fits";
import type { Part } from "./rhythm";

/** Sizes nearer than this, as a share of the whole, are one. */
const SAME = 1e-9;

/**
 * Where parts begin and end along a length, as shares of it, first to last.
 * @param length in the parts' own unit; what is stretched does without
 * @throws NoAnswer where the length is not known, or there is no room for the first part
 */
export function sharesOf(parts: readonly Part[], fit: Fit = "stretch", length?: number): number[] {
  const places = [0];
  for (const { size } of parts) places.push(places[places.length - 1] + size);
  const whole = places[places.length - 1];
  if (fit === "stretch") return places.map((at) => at / whole);
  if (length === undefined || !(length > 0)) throw new NoAnswer("How long the line is in the world is not known.");
  const room = places.filter((at) => at <= length * (1 + SAME));
  if (room.length < 2)
    throw new NoAnswer(`The first part, ${Number(parts[0].size.toFixed(3))}, is longer than the line, ${length}.`);
  if (fit === "centre") {
    const margin = (length - room[room.length - 1]) / 2;
    return room.map((at) => Math.min(1, (at + margin) / length));
  }
  const shares = room.map((at) => Math.min(1, at / length));
  return room.length < places.length && 1 - shares[shares.length - 1] > SAME ? [...shares, 1] : shares;
}
