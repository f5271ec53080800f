import { radians } from "../../../geometry";
import type { Detail } from "../../details";
import { bendBetween, piecesOfOutline, roundSolid, surfacesOf, turnedPlace } from "../../round";
import type { Solid } from "../../solid";
import { outlineOfTurned, validateTurned } from "./outline";
import type { TurnedThing } from "./schema";

/** What goes all the way around. */
const WHOLE = 360;

/** The exact solid of a turned thing; none where it cannot be. */
export function buildTurned(thing: TurnedThing): Solid[] {
  if (validateTurned(thing)) return [];
  const { id, at, heading, sweep = WHOLE } = thing;
  const { outline, closed } = outlineOfTurned(thing);
  // Headings run clockwise from north, angles counter-clockwise from the side: what begins at a heading ends there.
  const from = radians(90 - heading - sweep);
  return [
    roundSolid(id, {
      kind: "revolved",
      axis: { origin: [at.x, at.y, at.z], up: [0, 0, 1], side: [1, 0, 0] },
      outline,
      ...(closed ? { closed } : {}),
      ...(sweep < WHOLE ? { sweep: [from, from + radians(sweep)] as const } : {}),
    }),
  ];
}

/** Each rib of a dome is drawn in so many arcs. */
const STEPS = 12;

/** The ribs of a dome. */
export function turnedDetails(thing: TurnedThing, [solid]: readonly Solid[]): Detail[] {
  const { ribs = 0, form, heading, sweep = WHOLE } = thing;
  const shape = solid?.shape;
  if (form !== "dome" || ribs === 0 || shape?.kind !== "revolved") return [];
  const [arc] = piecesOfOutline(shape.outline, false);
  const [number] = surfacesOf(shape);
  const count = sweep < WHOLE ? ribs + 1 : ribs;
  return Array.from({ length: count }, (_, index) => index).flatMap((index) => {
    const angle = radians(90 - heading - (index * sweep) / ribs);
    const item = { index };
    const places = Array.from({ length: STEPS + 1 }, (_, i) => turnedPlace(shape.axis, arc, i / STEPS, angle));
    return places.slice(1).map((b, i): Detail => {
      const a = places[i];
      const normals = [a.normal, b.normal] as const;
      return {
        kind: "joint",
        a: a.at,
        b: b.at,
        bend: bendBetween(a.at, a.meridian, b.at, b.meridian),
        on: { solid, face: -1, round: { number, normals } },
        item,
      };
    });
  });
}
