import type { Vec2 } from "../../geometry";
import type { Aids, Shot } from "../../scene";
import { offPageAids, scaledSetUp, type OffPageAids, type Pin } from "../../vanishing";
import { viewOf } from "../../shot";
import { lettering } from "../lettering";
import { setStyle, STYLES } from "../style";
import { layerKind, type LayerPart } from "./kind";

/** Height of letters on the sheet's margin, mm. */
const LETTER = 1.9;
/** Length of a tick, mm. */
const TICK = 3;
/**
 * Ticks of each further pin on an edge stand this much farther in, so that numbers do not run into each other; with
 * tilts, more.
 */
const LANE = 9;
const LANE_WITH_TILTS = 19;

/** Half the arms of a cross, mm. */
const ARM = 2;
const cross = ([x, y]: Vec2, r = ARM): number[] => [x - r, y, x + r, y, x, y - r, x, y + r];
const circle = ([x, y]: Vec2, r: number): number[] =>
  Array.from({ length: 16 }, (_, i) => {
    const [a, b] = [(i * Math.PI) / 8, ((i + 1) * Math.PI) / 8];
    return [x + r * Math.cos(a), y + r * Math.sin(a), x + r * Math.cos(b), y + r * Math.sin(b)];
  }).flat();
const box = (x: number, y: number, width: number, height: number): number[] => [
  x,
  y,
  x + width,
  y,
  x + width,
  y,
  x + width,
  y + height,
  x + width,
  y + height,
  x,
  y + height,
  x,
  y + height,
  x,
  y,
];

/** How far in the ticks of a pin stand, in mm, on the edge next to it and on the opposite one. */
interface Lanes {
  readonly near: number;
  readonly far: number;
}

/**
 * Ticks of one pin on both edges, the numbers (and tilts) beside them on the edge next to it, the numbers alone
 * opposite.
 */
function ticks(
  { width }: Shot["sheet"],
  { side, ticks: all, spacing }: OffPageAids,
  tilts: boolean,
  lanes: Lanes,
): number[] {
  const inward = side === "left" ? 1 : -1;
  const edge = side === "left" ? 0 : width;
  const row = (x: number, way: number, y: number, text: string): number[] => [
    x,
    y,
    x + way * TICK,
    y,
    ...lettering(text, [x + way * (TICK + 1), y + LETTER / 2], LETTER, way > 0 ? "start" : "end"),
  ];
  // Where ticks stand closer than letters are high, only every second, third or further one is numbered.
  const every = Math.ceil((LETTER * 1.4) / spacing.near);
  return all.flatMap(({ number, near, far, tilt }) => {
    const name = number % every === 0 ? String(number) : "";
    return [
      ...(near === null
        ? []
        : row(
            edge + inward * lanes.near,
            inward,
            near,
            name && tilts ? `${name}:${Math.abs(tilt).toFixed(1)}°` : name,
          )),
      ...(far === null ? [] : row(width - edge - inward * lanes.far, -inward, far, name)),
    ];
  });
}

/** Where the pin stands on paper that is taped on: an arrow at the edge on its level, with the measure. */
function strip({ width, height }: Shot["sheet"], { point, offSheet }: Pin): number[] {
  if (!offSheet || !point.at) return [];
  const [px, py] = point.at;
  const inside = (value: number, most: number) => Math.min(Math.max(value, 8), most - 8);
  const [x, y] = [inside(px, width), inside(py, height)];
  const [ex, ey, dx, dy] = {
    left: [0, y, -1, 0],
    right: [width, y, 1, 0],
    top: [x, 0, 0, -1],
    bottom: [x, height, 0, 1],
  }[offSheet.side];
  const back: Vec2 = [ex - 9 * dx, ey - 9 * dy];
  const [bx, by] = [ex - 2.5 * dx, ey - 2.5 * dy];
  const arrow = [...back, ex, ey, bx - 1.2 * dy, by + 1.2 * dx, ex, ey, bx + 1.2 * dy, by - 1.2 * dx, ex, ey];
  const align = offSheet.side === "right" ? "end" : "start";
  return [
    ...arrow,
    ...lettering(
      `${offSheet.distance.toFixed(1)} mm`,
      dy === 0 ? [back[0], back[1] - 1.2] : [back[0] + 1.5, back[1]],
      LETTER,
      align,
    ),
  ];
}

/** Pegs of a centrolinead on the edge, and the angle of its legs. */
function pegs({ width }: Shot["sheet"], { side, level, centrolinead }: OffPageAids): number[] {
  if (!centrolinead) return [];
  const { pegs: h, angle } = centrolinead;
  const x = side === "left" ? 0 : width;
  const text: Vec2 = [side === "left" ? 3 : width - 3, level + h + LETTER / 2];
  return [
    ...[level - h, level + h].flatMap((y) => [...circle([x, y], 1.2), ...cross([x, y], 2)]),
    ...lettering(`peg ${angle.toFixed(1)}°`, text, LETTER, side === "left" ? "start" : "end"),
  ];
}

/** The whole desk small on this sheet: its outline, the panel, the centre of vision and the pins. */
function scaled(shot: Shot, pins: readonly Pin[]): number[] {
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
 * Aids for points off the page, drawn on the sheet's margin: a part for each pin in the hue of its set, and the
 * scaled set-up.
 */
export const marginAids = layerKind({
  id: "aids",
  label: "Aids on the margin",
  order: 130,
  style: STYLES.aids,
  strength: 1,
  construction: true,
  compute: ({ shot, view, pins }) => {
    const { aids } = shot;
    // Lines to a far point are curves in any other lens: no ruler aims at it.
    if (!view.law.straight || !aids || !WANTED.some((kind) => aids[kind])) return [];
    const own = pinAids(shot, aids, pins);
    if (!aids.scaled) return own;
    return [...own, { id: "aids-scaled", label: "Scaled set-up", lines: Float64Array.from(scaled(shot, pins)) }];
  },
});

function pinAids({ sheet }: Shot, aids: Aids, pins: readonly Pin[]): LayerPart[] {
  const lane = aids.tilts ? LANE_WITH_TILTS : LANE;
  const taken = { left: 0, right: 0 };
  return pins.map((pin) => {
    const off = pin.point.at && offPageAids(sheet, pin.point.at, aids.every);
    const lanes =
      off &&
      (off.side === "left"
        ? { near: lane * taken.left++, far: lane * taken.right++ }
        : { near: lane * taken.right++, far: lane * taken.left++ });
    const lines = [
      ...(off && lanes && (aids.ticks || aids.tilts) ? ticks(sheet, off, aids.tilts, lanes) : []),
      ...(aids.strips ? strip(sheet, pin) : []),
      ...(off && aids.pegs ? pegs(sheet, off) : []),
    ];
    return {
      id: `aids-${pin.id}`,
      label: `Aids: ${pin.name}`,
      style: { stroke: setStyle(pin).stroke },
      lines: Float64Array.from(lines),
    };
  });
}
