import type { Rect, Vec2 } from "../../geometry";
import { isCaster, type Light } from "../../light";
import type { Shot } from "../../scene";
import {
  crossings,
  isSideways,
  lightPoints,
  offPageAids,
  tickPlace,
  type Edge,
  type EdgeMark,
  type OffPageAids,
  type Pin,
} from "../../vanishing";
import { lettering, letteringWidth } from "../lettering";
import { setStyle } from "../style";

/** Height of letters on the sheet's margin, and of the smallest that can be read, mm. */
export const LETTER = 1.9;
const SMALLEST = 1;
/** How deep a tick reaches into its lane, mm, and at most which share of it; and the gap to its number, mm. */
const TICK = 3;
const TICK_SHARE = 0.4;
const GAP = 0.6;
/** Widths of a lane with numbers alone, with tilts beside them, and the least that holds a tick and a number, mm. */
const LANE = 9;
const LANE_WITH_TILTS = 19;
const LEAST_LANE = 2.6;

type Widths = Readonly<Record<Edge, number>>;
const EDGES = ["left", "right", "top", "bottom"] as const;
/** The way from each edge into the sheet. */
const INWARD: Readonly<Record<Edge, Vec2>> = { left: [1, 0], right: [-1, 0], top: [0, 1], bottom: [0, -1] };

/** The margin around the panel, mm. */
const marginsOf = ({ sheet, frame }: Pick<Shot, "sheet" | "frame">): Widths => ({
  left: frame.x,
  right: sheet.width - frame.x - frame.width,
  top: frame.y,
  bottom: sheet.height - frame.y - frame.height,
});

const eachEdge = (width: (edge: Edge) => number): Widths => ({
  left: width("left"),
  right: width("right"),
  top: width("top"),
  bottom: width("bottom"),
});

/** A point that lines run to, which may lie beyond the sheet: a pin, or one of a light. */
export interface AimedAt extends Pick<Pin, "id" | "name" | "offSheet"> {
  readonly point: { readonly at: Vec2 | null };
  /** The hue of its marks. */
  readonly stroke: string;
}

/** The hue of the points of lights. */
const LIGHT = "#a8741a";

/** What has aids on the margin: the pins, and the points of the lights that are on, each place once. */
export function aimedAt(shot: Shot, pins: readonly Pin[], lights: readonly Light[]): readonly AimedAt[] {
  const ofLights = lights
    .filter(isCaster)
    .filter(({ off }) => !off)
    .flatMap((light) => lightPoints(shot, light))
    .map(({ at, ...point }): AimedAt => ({ ...point, point: { at }, stroke: LIGHT }));
  return [...pins.map((pin) => ({ ...pin, stroke: setStyle(pin).stroke })), ...ofLights];
}

/** The ticks of one point: in a lane of the margin of its own, within the lanes of those before it. */
export interface TickLane {
  readonly pin: AimedAt;
  readonly point: Vec2;
  readonly aids: OffPageAids;
  /** The rectangle on which its marks stand, and how wide its lane is at each edge, mm. */
  readonly rect: Rect;
  readonly widths: Widths;
}

/**
 * A lane of the margin for each point beyond the sheet, outermost first: none reaches into the panel. On an edge whose
 * margin is too narrow for all of them no ticks stand.
 * @param every mm between ticks on the edge next to the point
 */
export function tickLanes(
  shot: Pick<Shot, "sheet" | "frame">,
  pins: readonly AimedAt[],
  every: number,
  tilts: boolean,
): readonly TickLane[] {
  const far = pins.flatMap((pin) => {
    const point = pin.point.at;
    const aids = point && offPageAids(shot.sheet, point, every);
    return point && aids ? [{ pin, point, aids }] : [];
  });
  const margins = marginsOf(shot);
  const most = tilts ? LANE_WITH_TILTS : LANE;
  const widths = eachEdge((edge) => {
    const width = Math.min(most, margins[edge] / Math.max(1, far.length));
    return width < LEAST_LANE ? 0 : width;
  });
  return far.map((one, k) => ({
    ...one,
    widths,
    rect: {
      x: k * widths.left,
      y: k * widths.top,
      width: shot.sheet.width - k * (widths.left + widths.right),
      height: shot.sheet.height - k * (widths.top + widths.bottom),
    },
  }));
}

const placeOn = ({ x, y, width, height }: Rect, { edge, at }: EdgeMark): Vec2 =>
  (({ left: [x, at], right: [x + width, at], top: [at, y], bottom: [at, y + height] }) as const)[edge];

/** A tick along the line that it is of, from its mark into the lane: wherever a ruler touches it, it is true. */
function tick([mx, my]: Vec2, [px, py]: Vec2, [nx, ny]: Vec2, depth: number): number[] {
  const long = Math.hypot(mx - px, my - py);
  const [ux, uy] = [(mx - px) / long, (my - py) / long];
  const into = ux * nx + uy * ny;
  const t = Math.sign(into) * Math.min(depth / Math.max(1e-9, Math.abs(into)), 3 * depth);
  return [mx, my, mx + t * ux, my + t * uy];
}

/** Numbers stay so far from the ends of an edge, mm: those of two edges would run into one another. */
const CORNER = 4;

/** How far a mark is from the nearer end of its edge. */
const fromCorner = ({ x, y, width, height }: Rect, { edge, at }: EdgeMark): number =>
  isSideways(edge) ? Math.min(at - y, y + height - at) : Math.min(at - x, x + width - at);

/** A word at the inner end of a tick, as large as the lane lets it be; nothing where it could not be read. */
function word(text: string, [mx, my]: Vec2, edge: Edge, depth: number, width: number): number[] {
  const space = width - depth - 2 * GAP;
  const high = Math.min(LETTER, isSideways(edge) ? (space * LETTER) / letteringWidth(text, LETTER) : space);
  if (high < SMALLEST) return [];
  const [nx, ny] = INWARD[edge];
  const off = depth + GAP;
  if (isSideways(edge)) return lettering(text, [mx + nx * off, my + high / 2], high, edge === "left" ? "start" : "end");
  return lettering(text, [mx, edge === "top" ? my + off + high : my + ny * off], high, "middle");
}

/** The ticks of one point on all edges that its lines cross, their numbers (and tilts) beside them. */
export function ticksIn({ point, aids, rect, widths }: TickLane, sheet: Shot["sheet"], tilts: boolean): number[] {
  const { side, spacing, ticks } = aids;
  // Where ticks stand closer than their numbers need, only every second, third or further one is numbered.
  const needed = isSideways(side) ? LETTER * 1.4 : letteringWidth("-00", LETTER) * 1.2;
  const every = Math.ceil(needed / spacing.near);
  return ticks.flatMap(({ number, tilt }) => {
    const marks = crossings(rect, point, tickPlace(sheet, point, side, spacing.near, number));
    return marks.flatMap((mark) => {
      const { edge } = mark;
      const depth = Math.min(TICK, TICK_SHARE * widths[edge]);
      if (depth === 0) return [];
      const place = placeOn(rect, mark);
      const line = tick(place, point, INWARD[edge], depth);
      if (number % every !== 0 || fromCorner(rect, mark) < CORNER) return line;
      const tilted =
        tilts && edge === side ? word(`${number}:${Math.abs(tilt).toFixed(1)}°`, place, edge, depth, widths[edge]) : [];
      return [...line, ...(tilted.length ? tilted : word(String(number), place, edge, depth, widths[edge]))];
    });
  });
}

/** Edges whose margin is too narrow for the ticks of so many points. */
export const edgesWithoutTicks = (lanes: readonly TickLane[]): readonly Edge[] =>
  lanes.length ? EDGES.filter((edge) => lanes[0].widths[edge] === 0) : [];
