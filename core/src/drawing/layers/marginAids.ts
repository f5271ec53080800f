import type { Vec2 } from "../../geometry";
import type { Aids, Shot } from "../../scene";
import { viewOf } from "../../shot";
import { isSideways, scaledSetUp, type Edge, type OffPageAids } from "../../vanishing";
import { lettering } from "../lettering";
import { STYLES } from "../style";
import { aimedAt, LETTER, tickLanes, ticksIn, type AimedAt } from "./edgeTicks";
import { layerKind, type LayerPart } from "./kind";

/** Half the arms of a cross, mm. */
const ARM = 2;
const cross = ([x, y]: Vec2, r = ARM): number[] => [x - r, y, x + r, y, x, y - r, x, y + r];
const circle = ([x, y]: Vec2, r: number): number[] =>
  Array.from({ length: 16 }, (_, i) => {
    const [a, b] = [(i * Math.PI) / 8, ((i + 1) * Math.PI) / 8];
    return [x + r * Math.cos(a), y + r * Math.sin(a), x + r * Math.cos(b), y + r * Math.sin(b)];
  }).flat();
const box = (x: number, y: number, width: number, height: number): number[] => {
  const [right, bottom] = [x + width, y + height];
  return [x, y, right, y, right, y, right, bottom, right, bottom, x, bottom, x, bottom, x, y];
};

/** A place on an edge of the sheet. */
const onEdge = ({ width, height }: Shot["sheet"], edge: Edge, at: number): Vec2 =>
  isSideways(edge) ? [edge === "left" ? 0 : width, at] : [at, edge === "top" ? 0 : height];

/** The way out of the sheet over an edge. */
const OUTWARD: Readonly<Record<Edge, Vec2>> = { left: [-1, 0], right: [1, 0], top: [0, -1], bottom: [0, 1] };

/** The measure of an arrow stands so far over it, clear of the number of the tick on its level, mm. */
const ABOVE = 2.6;
/** Words stay so far from the sheet's corners, mm. */
const CORNER = 4;

/**
 * Where the pin stands on paper that is taped on: an arrow at the edge on its level, with the measure. One that lies
 * beyond the edge's end, too, stands at that end, and says how far on.
 */
function strip(sheet: Shot["sheet"], { point, offSheet }: AimedAt): number[] {
  if (!offSheet || !point.at) return [];
  const { side, distance } = offSheet;
  const sideways = isSideways(side);
  const [level, size] = sideways ? [point.at[1], sheet.height] : [point.at[0], sheet.width];
  const stands = Math.min(Math.max(level, 0), size);
  const [ex, ey] = onEdge(sheet, side, stands);
  const [dx, dy] = OUTWARD[side];
  const [bx, by] = [ex - 2.5 * dx, ey - 2.5 * dy];
  const back: Vec2 = [ex - 9 * dx, ey - 9 * dy];
  const arrow = [...back, ex, ey, bx - 1.2 * dy, by + 1.2 * dx, ex, ey, bx + 1.2 * dy, by - 1.2 * dx, ex, ey];
  const beyond = Math.abs(level - stands);
  const way = sideways ? (level < 0 ? "up" : "down") : level < 0 ? "left" : "right";
  const text = `${distance.toFixed(1)} mm${beyond > 0.05 ? `, ${beyond.toFixed(1)} ${way}` : ""}`;
  const clear = (at: number, most: number) => Math.min(Math.max(at, CORNER), most - CORNER);
  const at: Vec2 = sideways ? [back[0], clear(ey - ABOVE, sheet.height)] : [clear(ex + 1.5, sheet.width), back[1]];
  const end = side === "right" || (!sideways && ex > sheet.width / 2);
  return [...arrow, ...lettering(text, end && !sideways ? [at[0] - 3, at[1]] : at, LETTER, end ? "end" : "start")];
}

/** Pegs of a centrolinead on the edge, and the angle of its legs. */
function pegs(sheet: Shot["sheet"], { side, level, centrolinead }: OffPageAids): number[] {
  if (!centrolinead) return [];
  const { pegs: h, angle } = centrolinead;
  const [dx, dy] = OUTWARD[side];
  const [x, y] = onEdge(sheet, side, level + h);
  const text: Vec2 = [x - 3 * dx, y - 3 * dy + (dy < 0 ? LETTER : dy > 0 ? 0 : LETTER / 2)];
  const align = side === "left" ? "start" : side === "right" ? "end" : "middle";
  return [
    ...[level - h, level + h].flatMap((at) => {
      const place = onEdge(sheet, side, at);
      return [...circle(place, 1.2), ...cross(place, 2)];
    }),
    ...lettering(`peg ${angle.toFixed(1)}°`, text, LETTER, align),
  ];
}

/** The whole desk small on this sheet: its outline, the panel, the centre of vision and the pins. */
function scaled(shot: Shot, pins: readonly AimedAt[]): number[] {
  const { sheet, frame } = shot;
  const placed = pins.flatMap(({ point: { at }, name }) => (at ? [{ at, name }] : []));
  const small = scaledSetUp(
    sheet,
    placed.map(({ at }) => at),
  );
  const { x, y, width, height } = small.sheet;
  const place = ([px, py]: Vec2): Vec2 => [x + px / small.factor, y + py / small.factor];
  const [fx, fy] = place([frame.x, frame.y]);
  return [
    ...box(x, y, width, height),
    ...box(fx, fy, frame.width / small.factor, frame.height / small.factor),
    ...cross(place(viewOf(shot).centre), 1.2),
    ...lettering(`1:${small.factor}`, [x, y - 1], LETTER),
    ...small.pins.flatMap((at, i) => [
      ...cross(at),
      ...circle(at, 1),
      ...lettering(placed[i].name, [at[0], at[1] + 5], 1.5, at[0] > sheet.width / 2 ? "end" : "start"),
    ]),
  ];
}

const WANTED = ["ticks", "tilts", "strips", "pegs", "scaled"] as const satisfies readonly (keyof Aids)[];

/**
 * Aids for points off the page, drawn on the sheet's margin: a part for each pin in the hue of its set and for
 * each point of a light, and the scaled set-up.
 */
export const marginAids = layerKind({
  id: "aids",
  label: "Aids on the margin",
  order: 130,
  style: STYLES.aids,
  strength: 1,
  reach: "desk",
  construction: true,
  ofLights: true,
  compute: ({ shot, view, pins, lights }) => {
    const { aids } = shot;
    // Lines to a far point are curves in any other lens: no ruler aims at it.
    if (!view.law.straight || !aids || !WANTED.some((kind) => aids[kind])) return [];
    const points = aimedAt(shot, pins, lights);
    const own = pinAids(shot, aids, points);
    if (!aids.scaled) return own;
    return [...own, { id: "aids-scaled", label: "Scaled set-up", lines: Float64Array.from(scaled(shot, points)) }];
  },
});

function pinAids(shot: Shot, aids: Aids, pins: readonly AimedAt[]): LayerPart[] {
  const { sheet } = shot;
  const lanes = tickLanes(shot, pins, aids.every, aids.tilts);
  return pins.map((pin) => {
    const lane = lanes.find((one) => one.pin === pin);
    const lines = [
      ...(lane && (aids.ticks || aids.tilts) ? ticksIn(lane, sheet, aids.tilts) : []),
      ...(aids.strips ? strip(sheet, pin) : []),
      ...(lane && aids.pegs ? pegs(sheet, lane.aids) : []),
    ];
    return {
      id: `aids-${pin.id}`,
      label: `Aids: ${pin.name}`,
      style: { stroke: pin.stroke },
      lines: Float64Array.from(lines),
    };
  });
}
