import { distance2, headingAlong, headingDirection, radians, type Vec2 } from "../../../geometry";
import { metres, sentence } from "../../../units";
import { placeBeside } from "../../around";
import { chordsAlong, ON_AXIS, piecesOfOutline, placeOn } from "../../round";
import { heightTags } from "../block";
import { elementKind, type LevelCircle } from "../kind";
import { outlineOfTurned, validateTurned } from "./outline";
import { TURNED, TurnedSchema, type TurnedForm, type TurnedThing } from "./schema";
export { outlineOfTurned, validateTurned } from "./outline";
export { TURNED, type TurnedForm, type TurnedThing } from "./schema";

/** On the plan and in GeoJSON a circle is drawn as a polygon with one corner for so many degrees. */
const STEP = 3;
/** The half outline is measured within this, m. */
const FINE = 1e-3;

/** The form of a thing at its usual size, all but its id and its name. */
export function newTurned(form: TurnedForm, at: TurnedThing["at"], heading = 0): Omit<TurnedThing, "id" | "name"> {
  const { radius, height, top }: { radius: number; height: number; top?: number } = TURNED[form];
  const narrows = top === undefined ? {} : { top };
  return { kind: "turned", form, at, heading, radius, height, ...narrows, ...(form === "own" ? { outline: OWN } : {}) };
}

/** The outline that one's own begins as. */
const OWN = [
  { r: 1, z: 0 },
  { r: 1, z: 1, bulge: 0.4 },
  { r: 0.4, z: 2 },
];

/** The places of a half outline, its arcs in chords. */
function sectionOf(thing: TurnedThing): readonly Vec2[] {
  const { outline, closed } = outlineOfTurned(thing);
  const end = closed || outline.length === 0 ? [] : [outline[outline.length - 1].at];
  return [...chordsAlong(piecesOfOutline(outline, closed), FINE), ...end];
}

/** From where to where it reaches over its foot, m. */
function heightsOf(thing: TurnedThing): readonly [number, number] {
  const heights = sectionOf(thing).map(([, z]) => z);
  return [Math.min(0, ...heights), Math.max(0.01, ...heights)];
}

/** The ground that a turned thing covers: a fine polygon in its circle, counter-clockwise, or a sector of it. */
export function turnedOutline(thing: TurnedThing): readonly Vec2[] {
  const { at, heading, sweep = 360, radius } = thing;
  const far = Math.max(...sectionOf(thing).map(([r]) => r), radius * 1e-3);
  const from = 90 - heading - sweep;
  const steps = Math.max(3, Math.ceil(sweep / STEP));
  const on = (degrees: number): Vec2 => [
    at.x + far * Math.cos(radians(degrees)),
    at.y + far * Math.sin(radians(degrees)),
  ];
  if (sweep >= 360) return Array.from({ length: steps }, (_, i) => on(from + (i * 360) / steps));
  return [...Array.from({ length: steps + 1 }, (_, i) => on(from + (i * sweep) / steps)), [at.x, at.y]];
}

/** Circles of a turned thing are no farther apart along its outline than this part of its height. */
const APART = 1 / 4;

/** Its rims, and circles between them where its outline runs on. */
function circlesOf(thing: TurnedThing): readonly LevelCircle[] {
  const { at } = thing;
  const { outline } = outlineOfTurned(thing);
  const [low, high] = heightsOf(thing);
  return piecesOfOutline(outline, false)
    .flatMap((piece, p, all) => {
      const rise = Math.abs(piece.to[1] - piece.from[1]);
      const steps = Math.max(1, Math.ceil(rise / (APART * (high - low)) - 1e-9));
      const count = p === all.length - 1 ? steps + 1 : steps;
      return Array.from({ length: count }, (_, i) => placeOn(piece, i / steps));
    })
    .filter(([r]) => r > ON_AXIS)
    .map(([radius, z]) => ({ centre: [at.x, at.y, at.z + z], radius }));
}

export const turned = elementKind<TurnedThing>(TurnedSchema, {
  kind: "turned",
  word: "Turned",
  stands: true,
  validate: validateTurned,
  outline: turnedOutline,
  span: (element) => {
    const [low, high] = heightsOf(element);
    return [element.at.z + low, high - low];
  },
  // Its radius is drawn on the plan, but where its outline is its own.
  places: (element) => {
    if (element.form === "own") return [];
    const { at, heading, radius } = element;
    return [placeBeside([at.x, at.y], headingDirection(heading), [0, radius])];
  },
  placed: (element, _place, at) => {
    const radius = Math.max(0.01, distance2([element.at.x, element.at.y], at));
    const heading = headingAlong([at[0] - element.at.x, at[1] - element.at.y]);
    const isBall = element.form === "ball";
    return { ...element, radius, heading, ...(isBall ? { height: 2 * radius } : {}) };
  },
  isRound: () => true,
  circles: circlesOf,
  geoJson: {
    write: (element) => {
      const [low, high] = heightsOf(element);
      return {
        shape: "area",
        properties: { ...heightTags(element.at.z + low, high - low), "zanvo:note": "a circle as a polygon" },
      };
    },
  },
  figures: (element) =>
    element.form === "baluster"
      ? [
          {
            value: element.height,
            limits: [0.6, 1.1],
            told: sentence`${element.name} is ${metres(element.height)} high.`,
            usual: sentence`Balusters have ${metres(0.6)} to ${metres(1.1)}.`,
          },
        ]
      : [],
});
