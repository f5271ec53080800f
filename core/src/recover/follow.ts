import type { Vec2 } from "../geometry";
import type { Grey } from "./grey";
import { settle } from "./settle";

/** Where so many of the places of an edge find it, the others were drawn past its end or beside it. */
const MOST = 0.6;

/** A place laid on the picture's edge by the piece between its neighbours; null where there is none near enough. */
function laid(grey: Grey, places: readonly Vec2[], i: number, reach: number): Vec2 | null {
  const [from, to] = [places[Math.max(0, i - 1)], places[Math.min(places.length - 1, i + 1)]];
  const found = settle(grey, from, to, reach);
  if (!found) return null;
  const [x, y] = places[i];
  const t = Math.hypot(x - from[0], y - from[1]) / (Math.hypot(to[0] - from[0], to[1] - from[1]) || 1);
  return [found.a[0] + t * (found.b[0] - found.a[0]), found.a[1] + t * (found.b[1] - found.a[1])];
}

/**
 * Places along a bowed edge, each laid on the edge by the piece around it. Where most find the edge, those that do not
 * are left out; else every one that finds none stays where the hand had it.
 * @param reach px to either side
 */
export function follow(grey: Grey, places: readonly Vec2[], reach: number): readonly Vec2[] {
  const found = places.map((_, i) => laid(grey, places, i, reach));
  const on = found.filter((place) => place !== null);
  return on.length >= 3 && on.length >= MOST * places.length ? on : places.map((place, i) => found[i] ?? place);
}
