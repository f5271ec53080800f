import { meet, type Stretch } from "../dividing";
import { add, degrees, distance2, radians, scale, unit, type Vec2, type Vec3 } from "../geometry";
import type { Light } from "../light";
import type { OwnLine } from "../lines";
import { NoAnswer } from "../problem";
import type { Orientation, Reference, Shot, Tools } from "../scene";
import { project, viewOf, type View } from "../shot";
import { mm, sentence, type Sentence, type Told } from "../units";
import { fromEdge, offSheet, type Pin, pinsOf, type Reach, reachTo, vanishingPoint } from "../vanishing";
import { blockAxes, blockCorner, boxOf, type Block, type Element } from "../world";
import { nearCorner } from "../construct";

/** A place of a construction that is marked, and what it is called there. */
export interface Marked {
  readonly at: Vec2;
  readonly name?: string;
}

/** One step of a construction, as the hand does it. All places are mm of the desk. */
export interface Step {
  /** One sentence, with its measures. */
  readonly text: Told;
  /** Light lines that help, and are rubbed out in the end. */
  readonly lines: readonly Stretch[];
  /** Lines that stay. */
  readonly kept: readonly Stretch[];
  readonly points: readonly Marked[];
  /** The light lines are rubbed out in it. */
  readonly rubsOut?: boolean;
}

/** What of a scene constructions look at. */
export interface Pictured {
  readonly title?: string;
  readonly orientations: readonly Orientation[];
  readonly references?: readonly Reference[];
  readonly tools?: Tools;
  readonly lights?: readonly Light[];
}

/** What a construction is made for: a shot, and where it asks for them the element or the own line that is chosen. */
export interface Given {
  readonly scene: Pictured;
  readonly shot: Shot;
  readonly element?: Element;
  readonly line?: OwnLine;
}

/** A construction that is shown step by step. */
export interface Recipe<Id extends string = string> {
  readonly id: Id;
  readonly label: string;
  /** What it asks for besides a shot, as the end of "Choose ...". */
  readonly needs?: string;
  /**
   * Its steps, in the order of the hand.
   * @throws NoAnswer where the shot, or what is chosen, does not give it
   */
  readonly steps: (given: Given) => readonly Step[];
}

export const recipe = <const Id extends string>(one: Recipe<Id>): Recipe<Id> => one;

/** One step; what it leaves out is empty. */
export const step = (text: Told, parts: Partial<Omit<Step, "text">> = {}): Step => ({
  text,
  lines: [],
  kept: [],
  points: [],
  ...parts,
});

/** The sheet as the hand has it before it: where things are seen on it, and where lines run to. */
export interface Table {
  readonly view: View;
  readonly shot: Shot;
  readonly pins: readonly Pin[];
  readonly tools?: Tools;
}

/** The table of a shot whose lens draws straight lines. @throws NoAnswer in a curved lens */
export function tableOf({ scene, shot }: Given): Table {
  const view = viewOf(shot);
  if (!view.law.straight)
    throw new NoAnswer("This lens bends lines: its compass work stands on the set-up sheet, arc by arc.");
  return { view, shot, pins: pinsOf(scene.orientations, shot), tools: scene.tools };
}

/** Where a place of the world is seen. @throws NoAnswer behind the eye */
export function seen({ view }: Table, place: Vec3, what = "A corner of it"): Vec2 {
  const at = project(view, place);
  if (!at) throw new NoAnswer(`${what} lies behind the eye.`);
  return at;
}

/** Where lines of a direction run: the place of their point, or the way that they are drawn side by side. */
export interface Towards {
  readonly name: string;
  readonly at: Vec2 | null;
  readonly way: Vec2;
  /** What else it takes to rule a line there, as the end of a clause; nothing where a ruler reaches it. */
  readonly by: string;
}

/** How a point is aimed at that a ruler does not reach. */
const BY: Readonly<Record<Reach["by"], string>> = {
  ruler: "",
  ticks: ", by its edge ticks",
  nothing: ", by edge ticks and a longer ruler",
};

/** Where a direction of the world runs on paper, by the name of its pin where it has one. */
export function towards({ view, shot, pins, tools }: Table, direction: Vec3): Towards {
  const d = unit(direction);
  const pin = pins.find(({ direction: own }) => Math.abs(own[0] * d[0] + own[1] * d[1] + own[2] * d[2]) > 1 - 1e-9);
  const point = vanishingPoint(view, d);
  const angle = radians("angle" in point ? (point.angle ?? 0) : 0);
  const reach = point.at ? reachTo(shot, tools, point.at, offSheet(shot.sheet, ...point.at) !== null) : null;
  const by = reach === null ? "" : BY[reach.by];
  return { name: pin?.name ?? "its own point", at: point.at, way: [Math.cos(angle), Math.sin(angle)], by };
}

/** A light line from a place to where a direction runs; where that is nowhere, past another place by a tenth. */
export function ray(from: Vec2, { at, way }: Pick<Towards, "at" | "way">, past: Vec2): Stretch {
  if (at) return [from, at];
  const far = (past[0] - from[0]) * way[0] + (past[1] - from[1]) * way[1];
  return [from, [from[0] + 1.1 * far * way[0], from[1] + 1.1 * far * way[1]]];
}

/** The endless line through a place that runs a way, by two of its places. */
export const lineAlong = (from: Vec2, { at, way }: Pick<Towards, "at" | "way">): Stretch =>
  at && distance2(at, from) > 1e-9 ? [from, at] : [from, [from[0] + way[0], from[1] + way[1]]];

/** Where two endless lines cross. @throws NoAnswer where they run side by side */
export const cross = meet;

/** How a line runs, in words. */
export const runs = ({ name, at, way, by }: Towards): string =>
  at
    ? `to ${name}${by}`
    : Math.abs(way[1]) < 1e-9
      ? "level"
      : Math.abs(way[0]) < 1e-9
        ? "upright"
        : `at ${Number(degrees(Math.atan2(way[1], way[0])).toFixed(1))}° clockwise from right`;

/** Where a place is laid off, from the sheet's edges. */
export const place = ({ shot }: Table, [x, y]: Vec2): Sentence => fromEdge(shot.sheet, x, y);

export const long = (a: Vec2, b: Vec2) => mm(distance2(a, b));

/** A box of the world as it is seen: its near corner, and the two that stand beside it. */
export interface SeenBox {
  readonly box: Block;
  /** Places of the world, at the foot; `back` is the corner opposite to the near one. */
  readonly near: Vec3;
  readonly left: Vec3;
  readonly right: Vec3;
  readonly back: Vec3;
  /** Where its edges run: from the near corner to the left, and to the right. */
  readonly toLeft: Towards;
  readonly toRight: Towards;
  readonly up: Towards;
  /** Ways in the world, of length 1. */
  readonly ways: { readonly left: Vec3; readonly right: Vec3 };
  readonly above: (corner: Vec3, height?: number) => Vec3;
}

/**
 * The box that an element fills, seen from its near corner.
 * @throws NoAnswer where nothing is chosen, or it is behind
 */
export function boxSeen(table: Table, element: Element | undefined): SeenBox {
  if (!element) throw new NoAnswer("Choose a building first.");
  const { view } = table;
  const box = boxOf(element);
  const [u, v] = nearCorner(box, view.eye);
  const [l, w] = blockAxes(box);
  const near = blockCorner(box, u, v);
  const ends = [
    { at: blockCorner(box, 1 - u, v), way: scale(l, u ? -1 : 1) },
    { at: blockCorner(box, u, 1 - v), way: scale(w, v ? -1 : 1) },
  ];
  const places = ends.map(({ at }) => seen(table, at)[0]);
  const [left, right] = places[0] <= places[1] ? ends : [ends[1], ends[0]];
  return {
    box,
    near,
    left: left.at,
    right: right.at,
    back: blockCorner(box, 1 - u, 1 - v),
    toLeft: towards(table, left.way),
    toRight: towards(table, right.way),
    up: towards(table, [0, 0, 1]),
    ways: { left: left.way, right: right.way },
    above: (corner, height = box.height) => add(corner, [0, 0, height]),
  };
}

/** The last step of most of them. */
export const RUB_OUT: Step = step("Rub the light lines out, and keep what is seen.", { rubsOut: true });

export { mm, sentence };
