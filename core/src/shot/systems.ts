import { degrees, radians, type Vec3 } from "../geometry";
import { LAWS, type LawId } from "../lens";
import { NoAnswer } from "../problem";
import type { Orientation, Shot } from "../scene";
import { toEye, unproject, viewOf, type View } from "./view";

/** A curved system to start from, called by what it shows. */
export interface CurvedSystem {
  readonly id: string;
  readonly name: string;
  readonly law: LawId;
  /** Degrees covered from side to side of the panel's shorter half, or around a drum along the panel's length. */
  readonly covers: number;
  /** Degrees from the gaze to the main direction on its right. */
  readonly turn: number;
  readonly pitch: number;
  readonly roll: number;
  /** As two discs: a second one shows what is behind. */
  readonly both?: boolean;
}

export const CURVED_SYSTEMS: readonly CurvedSystem[] = [
  {
    id: "sweep-around",
    name: "Four points: a panorama",
    law: "cylindrical",
    covers: 220,
    turn: 45,
    pitch: 0,
    roll: 0,
  },
  {
    id: "sweep-over",
    name: "Four points: a panorama up and over",
    law: "cylindrical-lying",
    covers: 220,
    turn: 90,
    pitch: 0,
    roll: 0,
  },
  {
    id: "disc-ahead",
    name: "Five points: a disc, looking ahead",
    law: "stereographic",
    covers: 180,
    turn: 90,
    pitch: 0,
    roll: 0,
  },
  {
    id: "disc-down",
    name: "Five points: down on the city",
    law: "stereographic",
    covers: 180,
    turn: 90,
    pitch: -90,
    roll: 0,
  },
  {
    id: "disc-up",
    name: "Five points: up between towers",
    law: "stereographic",
    covers: 180,
    turn: 90,
    pitch: 90,
    roll: 0,
  },
  {
    id: "six-disc",
    name: "Six points: a tilted disc",
    law: "stereographic",
    covers: 220,
    turn: 52,
    pitch: -28,
    roll: 14,
  },
  {
    id: "six-two",
    name: "Six points: two discs, back to back",
    law: "stereographic",
    covers: 180,
    turn: 52,
    pitch: -28,
    roll: 14,
    both: true,
  },
  {
    id: "six-large",
    name: "Six points: one large disc",
    law: "equidistant",
    covers: 350,
    turn: 52,
    pitch: -20,
    roll: 0,
  },
  {
    id: "six-unwrapped",
    name: "Six points: unwrapped 2 : 1",
    law: "equirectangular",
    covers: 360,
    turn: 45,
    pitch: 0,
    roll: 0,
  },
];

/**
 * The length of the panel that a covered angle is laid along: its shorter side for a disc, that around the axis for a
 * drum.
 */
const along = ({ frame, lens }: Shot): number => {
  const { shape } = LAWS[lens.law];
  return shape === "round" ? Math.min(frame.width, frame.height) : shape === "drum" ? frame.width : frame.height;
};

/**
 * How much of the world the panel holds, in degrees: across a disc on the panel's shorter side, around a drum. Curved
 * lenses.
 */
export function covered(shot: Shot): number {
  const law = LAWS[shot.lens.law];
  const half = along(shot) / 2 / shot.lens.distance;
  if (law.shape !== "round") return Math.min(360, degrees(2 * half));
  return degrees(2 * Math.acos(Math.min(1, Math.max(-1, law.unproject([half, 0])[2]))));
}

/**
 * The shot with its panel holding so many degrees, the centre of vision held.
 * @throws NoAnswer for an angle that the lens does not show
 */
export function withCovered(shot: Shot, angle: number): Shot {
  const law = LAWS[shot.lens.law];
  const half = radians(angle) / 2;
  const most = law.shape === "round" ? degrees(2 * law.limit) : 360;
  const size = law.shape === "round" ? law.project([Math.sin(half), 0, Math.cos(half)])?.[0] : half;
  if (!(angle > 0 && angle <= most && size !== undefined && size > 0))
    throw new NoAnswer(`This lens shows up to ${Math.round(most)}°, and an angle of more than nothing.`);
  return { ...shot, lens: { ...shot.lens, distance: along(shot) / 2 / size } };
}

/** The shot through another lens, its middle unchanged. */
export const withLaw = (shot: Shot, law: LawId): Shot => ({ ...shot, lens: { ...shot.lens, law } });

/** The shot as a curved system shows it, in the middle of its panel; world and eye stay. */
export function inCurvedSystem(
  shot: Shot,
  { heading }: Pick<Orientation, "heading">,
  { law, covers, turn, pitch, roll }: CurvedSystem,
): Shot {
  const { frame } = shot;
  const set: Shot = {
    ...shot,
    gaze: { heading: heading - turn, pitch, roll },
    lens: { law, distance: 1, centre: { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 } },
  };
  const fitted = withCovered(set, covers);
  // An unwrapped sheet holds all of the world's height, too.
  return law === "equirectangular"
    ? { ...fitted, lens: { ...fitted.lens, distance: Math.min(fitted.lens.distance, frame.height / Math.PI) } }
    : fitted;
}

/** How far from the centre of vision the rim of a disc is, mm: what lies 90 degrees off the gaze. */
export const rimRadius = ({ lens }: Shot): number => lens.distance * (LAWS[lens.law].project([1, 0, 1e-12])?.[0] ?? 0);

/**
 * The shot with its view turned so that a world direction is seen at a place of the sheet (mm). The roll stays, but for
 * the plumb line, which takes pitch and roll along and leaves the heading.
 * @throws NoAnswer where with this roll the direction cannot come to lie there
 */
export function turnedTo(shot: Shot, direction: Vec3, to: readonly [number, number]): Shot {
  const view = viewOf(shot);
  const [a, b, c] = toEye(view, unproject(view, to));
  if (Math.hypot(direction[0], direction[1]) < 1e-9) {
    const side = direction[2] < 0 ? -1 : 1;
    return {
      ...shot,
      gaze: {
        ...shot.gaze,
        pitch: degrees(Math.asin(Math.min(1, Math.max(-1, side * c)))),
        roll: degrees(Math.atan2(-side * a, side * b)),
      },
    };
  }
  const q = radians(shot.gaze.roll);
  const [right, up] = [a * Math.cos(q) + b * Math.sin(q), b * Math.cos(q) - a * Math.sin(q)];
  const reach = Math.hypot(up, c);
  const middle = degrees(Math.atan2(c, up));
  const half = degrees(Math.acos(Math.min(1, Math.max(-1, direction[2] / reach))));
  const wrapped = (angle: number) => ((((angle + 180) % 360) + 360) % 360) - 180;
  const pitches = [wrapped(middle + half), wrapped(middle - half)].filter((pitch) => Math.abs(pitch) <= 90 + 1e-9);
  if (Math.abs(direction[2]) > reach + 1e-12 || pitches.length === 0)
    throw new NoAnswer("With this roll the point cannot come to lie here: it would have to leave its own height.");
  const pitch = Math.min(
    90,
    Math.max(
      -90,
      pitches.reduce((near, one) => (Math.abs(one - shot.gaze.pitch) < Math.abs(near - shot.gaze.pitch) ? one : near)),
    ),
  );
  const p = radians(pitch);
  const ahead = c * Math.cos(p) - up * Math.sin(p);
  const heading = degrees(Math.atan2(direction[0], direction[1])) - degrees(Math.atan2(right, ahead));
  return { ...shot, gaze: { ...shot.gaze, heading: wrapped(heading), pitch } };
}

/** How far from the centre of vision a round lens draws what is so many degrees off the gaze, mm. */
export const ringRadius = ({ law, distance }: View, angle: number): number =>
  distance * Math.hypot(...(law.project([Math.sin(radians(angle)), 0, Math.cos(radians(angle))]) ?? [0, 0]));
