import { circleInQuad, circleSeen, discOn, levelDisc, onEllipse, type CircleInQuad, type Disc } from "../conics";
import type { Stretch } from "../dividing";
import { add, radians, scale, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { kindOf, type Element, type LevelCircle } from "../world";
import type { Given, Table } from "./recipe";

/** A curve is drawn in so many stretches. */
const STRETCHES = 90;

/** A closed curve, as stretches between its places at so many degrees. */
export function curveOf(at: (degrees: number) => Vec2): readonly Stretch[] {
  const places = Array.from({ length: STRETCHES + 1 }, (_, i) => at((360 * i) / STRETCHES));
  return places.slice(1).map((place, i): Stretch => [places[i], place]);
}

/** An ellipse as stretches. */
export const drawnEllipse = (ellipse: CircleInQuad): readonly Stretch[] => curveOf((turn) => onEllipse(ellipse, turn));

/** A place on a circle of the world, degrees counter-clockwise from its first way. */
export function onDisc({ centre, ways: [u, v], radius }: Disc, turn: number): Vec3 {
  const [c, s] = [radius * Math.cos(radians(turn)), radius * Math.sin(radians(turn))];
  return add(centre, add(scale(u, c), scale(v, s)));
}

/** The level circles of what is chosen, from its foot up. @throws NoAnswer where that is not round */
export function circlesIn(element: Element | undefined): readonly LevelCircle[] {
  const circles = (element && kindOf(element).circles?.(element)) ?? [];
  if (circles.length === 0) throw new NoAnswer("Choose something round: a drum, a dome, a ring of columns.");
  return circles;
}

/**
 * The circle that is chosen as an ellipse: one on a plane, the one in four corners, or the foot of something round.
 * @throws NoAnswer where none is chosen, or it is not seen whole
 */
export function ellipseOf({ view }: Table, { line, element }: Given): CircleInQuad {
  if (line?.kind === "quad") return circleInQuad(line.corners);
  const seen = circleSeen(view, discOf(view, line, element));
  if (!seen) throw new NoAnswer("Of this circle no ellipse is seen: it reaches behind the eye, or lies level with it.");
  return seen;
}

function discOf(view: Table["view"], line: Given["line"], element: Given["element"]): Disc {
  if (line?.kind === "circle" && "plane" in line) return discOn(line.plane, line.centre, line.radius);
  if (line) throw new NoAnswer("Choose a circle on a plane of the world, four corners, or something round.");
  const [{ centre, radius }] = circlesIn(element);
  return levelDisc(view, centre, radius);
}
