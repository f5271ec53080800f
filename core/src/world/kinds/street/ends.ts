import { distance2, headingAlong, type Vec2 } from "../../../geometry";
import { lengthened, pathOf, ribbon } from "../../path";
import { prism } from "../../shapes";
import type { Solid } from "../../solid";
import { buildSteps, DEFAULT_STEPS } from "../steps";
import type { Street } from "./schema";

/** Whether each end of a street meets another way. */
export type Met = readonly [first: boolean, last: boolean];

/** Posts of a gate are so wide and high; its bars so thick, each from one height to another; m (common practice). */
const POST = { width: 0.25, height: 1.4 } as const;
const BAR = 0.06;
const BARS = [
  [0.2, 0.3],
  [0.55, 0.65],
  [0.9, 1],
  [1.2, 1.3],
] as const;
/** A flight at the end of a street has so many risers. */
const RISERS = 12;

/** A gate across a street, from the last place of a path on. */
function gateAt(id: string, end: Vec2, beyond: Vec2, half: number): Solid[] {
  const long = distance2(end, beyond);
  const [ux, uy] = [(beyond[0] - end[0]) / long, (beyond[1] - end[1]) / long];
  const box = (from: number, to: number, aside: readonly [number, number], heights: readonly [number, number]) => {
    const line = [from, to].map((s): Vec2 => [end[0] + s * ux, end[1] + s * uy]);
    return prism(id, ribbon(line, aside[1], aside[0]), [], heights);
  };
  const inner = Math.max(half - POST.width, half / 2);
  const middle = POST.width / 2;
  return [
    box(0, POST.width, [inner, half], [0, POST.height]),
    box(0, POST.width, [-half, -inner], [0, POST.height]),
    ...BARS.map((heights) => box(middle - BAR / 2, middle + BAR / 2, [-inner, inner], heights)),
  ];
}

/** A flight up from the end of a street, as wide as the carriageway. */
function stepsAt(id: string, end: Vec2, beyond: Vec2, width: number): Solid[] {
  const heading = headingAlong([beyond[0] - end[0], beyond[1] - end[1]]);
  const foot = { x: end[0], y: end[1], z: 0 };
  return buildSteps({ id, kind: "steps", name: "", foot, heading, ...DEFAULT_STEPS, width, count: RISERS });
}

/** What closes the ends of a street that meet no other way: gates, and flights of steps. */
export function endSolids(street: Street, [first, last]: Met = [false, false]): Solid[] {
  const { id, ends = {}, carriageway } = street;
  const path = pathOf(street);
  const led = lengthened(path, 1);
  const at = (end: Vec2, beyond: Vec2, how: typeof ends.first): Solid[] =>
    how === "gate"
      ? gateAt(id, end, beyond, carriageway / 2)
      : how === "steps"
        ? stepsAt(id, end, beyond, carriageway)
        : [];
  return [
    ...(first ? [] : at(path[0], led[0], ends.first)),
    ...(last ? [] : at(path[path.length - 1], led[led.length - 1], ends.last)),
  ];
}
