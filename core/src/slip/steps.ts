import {
  byCompass,
  type CompassArc,
  compassArc,
  crossings,
  type EdgeMark,
  footLine,
  fromEdge,
  heightAt,
  horizon,
  horizonPlanes,
  lineArcs,
  offPageAids,
  type OffPageAids,
  offSheet,
  type OffSheet,
  pickedArcs,
  type Pin,
  pinsOf,
  type ScaledSetUp,
  scaledSetUp,
  toolNotes,
} from "../vanishing";
import type { Vec2 } from "../geometry";
import type { Scene, Shot } from "../scene";
import { viewOf, type View } from "../shot";
import { mm, sentence, sizeInMm, type Sentence, type Told } from "../units";
import { cornerSteps } from "./corners";
import { degree } from "./slip";

/** Paper that is taped on beyond a pin, so that it has something to stand in, mm. */
const BEYOND = 20;

/** How one line is drawn with the compass, in words. */
export interface CompassRow {
  readonly name: string;
  readonly how: Told;
}

/**
 * What is told of the compass: each horizon, the lines of feet, lines to each point in steps of 15 degrees, and those
 * picked.
 */
export interface CompassSheet {
  readonly horizons: readonly CompassRow[];
  readonly feet: readonly CompassRow[];
  readonly lines: readonly CompassRow[];
  readonly picked: readonly CompassRow[];
}

/** What the set-up sheet of a shot holds besides its measures. */
export interface SetUp {
  /** Only for lenses that are drawn by compass. */
  readonly compass: CompassSheet | null;
  /** What the tools that somebody has mean for it; nothing where they are not told. */
  readonly tools: readonly Told[];
  /** What to do, in order. */
  readonly steps: readonly Told[];
  /** Aids for each point off the sheet. */
  readonly aids: readonly { readonly pin: Pin; readonly aids: OffPageAids }[];
  readonly scaled: ScaledSetUp & {
    readonly named: readonly { readonly name: string; readonly x: number; readonly y: number }[];
  };
}

/** Shown once, in small type, wherever somebody goes to work with the slip. */
export const CAUTIONS =
  "Pad under the sheet before you press pins or compass points into it, and cap pins that stay on the desk. " +
  "Dimensions are for pictures, not for building.";

/** How a line lies on the sheet, from its slant, degrees. */
function slanted(angle: number): string {
  if (Math.abs(angle - 90) < 1e-9) return "upright";
  return Math.abs(angle) < 1e-9 ? "level" : `at ${degree(angle)} clockwise from right`;
}

/** How the horizon is laid out: by marks that lie on the sheet, or by how far it passes beside it. */
function horizonStep(sheet: Shot["sheet"], view: View): Told {
  if (!view.law.straight) return "The horizon is a curve in this lens: draw it by its compass foot, or trace it.";
  const line = horizon(view);
  const [left, right] = [0, sheet.width].map((x) => line && heightAt(line, x));
  if (left === null || right === null) return "There is no horizon on this sheet: the view looks straight up or down.";
  const on = (y: number) => y >= 0 && y <= sheet.height;
  if (on(left) && on(right))
    return sentence`Horizon: measure down ${mm(left)} at the left edge and ${mm(right)} at the right edge, and join
      the two marks.`;
  const marks = crossings({ x: 0, y: 0, ...sheet }, [0, left], [sheet.width, right]);
  if (marks.length >= 2)
    return sentence`Horizon: mark ${markTold(marks[0])} and ${markTold(marks[1])}, and join the two marks.`;
  const above = left < 0;
  const off = (y: number) => mm(above ? -y : y - sheet.height);
  const tape = Math.max(above ? -left : left - sheet.height, above ? -right : right - sheet.height) + BEYOND;
  return sentence`Horizon: it passes ${above ? "above" : "below"} the sheet, ${off(left)} at its left edge and
    ${off(right)} at its right one. Tape ${mm(Math.ceil(tape))} of paper to the ${above ? "top" : "bottom"} edge
    where it is wanted.`;
}

/** A place on an edge of the sheet, as one measures it. */
const markTold = ({ edge, at }: EdgeMark): Sentence =>
  edge === "left" || edge === "right"
    ? sentence`${mm(at)} down on the ${edge} edge`
    : sentence`${mm(at)} from the left on the ${edge} edge`;

function pinStep(shot: Shot, pin: Pin): Told {
  const {
    point: { at },
    offSheet,
    name,
  } = pin;
  if (!at) {
    const angle = "angle" in pin.point ? pin.point.angle : 0;
    if (angle === null) return `${name}: beyond what this lens shows.`;
    return `${name}: no point. Draw these lines parallel, ${slanted(angle)}.`;
  }
  if (!offSheet) return sentence`${name}: mark the point ${fromEdge(shot.sheet, ...at)}.`;
  return sentence`${name}: tape ${strip(offSheet)}; the pin stands ${fromEdge(shot.sheet, ...at)}.`;
}

/** The paper that is taped on for what stands off the sheet. */
function strip({ side, distance }: OffSheet): Sentence {
  return sentence`${mm(Math.ceil(distance + BEYOND))} of paper to the ${side} edge`;
}

/** A compass foot: from C, from the sheet's edges, and the strip it needs where it stands off the sheet. */
function footTold({ sheet, lens: { centre } }: Shot, [x, y]: Vec2): Sentence {
  const off = offSheet(sheet, x, y);
  const across = sentence`${mm(Math.abs(x - centre.x))} ${x < centre.x ? "left" : "right"}`;
  const down = sentence`${mm(Math.abs(y - centre.y))} ${y < centre.y ? "up" : "down"}`;
  return sentence`foot ${across}, ${down} from C
    (${fromEdge(sheet, x, y)}${off ? sentence`; tape ${strip(off)}` : ""})`;
}

/** How a line is drawn with the compass, in words. */
export function arcTold(shot: Shot, { foot, radius, slant, departure }: CompassArc): Told {
  if (!foot) return `a straight line through the centre of vision, at ${degree(slant ?? 0)} clockwise from right`;
  return sentence`${footTold(shot, foot)}, opening
    ${mm(radius)}${departure > 0.005 ? sentence`, up to ${mm(departure, 2)} off the exact curve` : ""}`;
}

function compassSheet(shot: Shot, view: View, pins: readonly Pin[]): CompassSheet {
  const told = (arc: CompassArc): CompassRow => ({ name: arc.name, how: arcTold(shot, arc) });
  const first = pins.filter(({ opposite, slope }) => !opposite && slope === null);
  return {
    horizons: horizonPlanes(pins).map(({ id, name, normal }) => told(compassArc(view, normal, id, name))),
    feet: first.flatMap((pin) => {
      const line = footLine(view, pin);
      const slant = line && ((Math.atan2(line.along[1], line.along[0]) * 180) / Math.PI + 180) % 180;
      return line && slant !== null
        ? [
            {
              name: `All lines to ${pin.name}`,
              how: sentence`feet on the line through ${fromEdge(shot.sheet, ...line.at)}, at ${degree(slant)}
                clockwise from right`,
            },
          ]
        : [];
    }),
    lines: first.flatMap((pin) => lineArcs(view, pin).map(told)),
    picked: pickedArcs(view, pins, shot.arcs).map(({ arc }) => told(arc)),
  };
}

/**
 * How to lay a shot out by hand: the steps in order, aids for points off the sheet, and the whole at a smaller scale.
 * @param spacing mm between edge ticks
 */
export function setUpOf(scene: Scene, shot: Shot, spacing = 10): SetUp {
  const { sheet, frame, lens } = shot;
  const view = viewOf(shot);
  const pins = pinsOf(scene.orientations, shot);
  const placed = pins.flatMap((pin) => (pin.point.at ? [{ pin, at: pin.point.at }] : []));
  const scaled = scaledSetUp(
    sheet,
    placed.map(({ at }) => at),
  );
  return {
    tools: toolNotes(shot, scene.tools, pins),
    compass: byCompass(view) ? compassSheet(shot, view, pins) : null,
    steps: [
      sentence`Lay the sheet ${sheet.width >= sheet.height ? "landscape" : "upright"},
        ${sizeInMm(sheet.width, sheet.height)}, and rule the panel ${mm(frame.x)} from the left and ${mm(frame.y)}
        from the top, ${sizeInMm(frame.width, frame.height)}.`,
      horizonStep(sheet, view),
      sentence`Mark the centre of vision ${fromEdge(sheet, lens.centre.x, lens.centre.y)}. The eye is
        ${mm(lens.distance)} before it.`,
      ...pins.map((pin) => pinStep(shot, pin)),
      ...cornerSteps(scene, shot, view),
      "Check: both ends of the horizon again from the top edge, and one upright of the panel against a set square.",
    ],
    aids: (view.law.straight ? placed : []).flatMap(({ pin, at }) => {
      const aids = offPageAids(sheet, at, spacing);
      return aids ? [{ pin, aids }] : [];
    }),
    scaled: {
      ...scaled,
      named: placed.map(({ pin }, i) => ({ name: pin.name, x: scaled.pins[i][0], y: scaled.pins[i][1] })),
    },
  };
}
