import { add, cross, norm, radians, scale, unit, type Vec2 } from "../geometry";
import { projectDirection, unproject, type View } from "../shot";

/** A line that goes on in a curved lens is drawn by chords of so many degrees, for a quarter turn at the most. */
const STEP = 0.25;
const MAX_TURN = 90;

/**
 * A ruled line as it goes on beyond its second end, from there: straight for so many mm, or along its great circle in a
 * curved lens for as long as that is shown.
 */
export function onward(view: View, [from, to]: readonly [Vec2, Vec2], most: number): Vec2[] {
  if (view.law.straight) {
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
    return [to, [to[0] + ((to[0] - from[0]) * most) / long, to[1] + ((to[1] - from[1]) * most) / long]];
  }
  const [a, b] = [unproject(view, from), unproject(view, to)];
  const normal = cross(a, b);
  if (norm(normal) < 1e-12) return [to];
  const ahead = unit(cross(normal, b));
  const places: Vec2[] = [to];
  for (let turn = STEP; turn <= MAX_TURN; turn += STEP) {
    const t = radians(turn);
    const seen = projectDirection(view, add(scale(b, Math.cos(t)), scale(ahead, Math.sin(t))));
    if (!seen || Math.hypot(seen[0] - to[0], seen[1] - to[1]) > most) break;
    places.push(seen);
  }
  return places;
}
